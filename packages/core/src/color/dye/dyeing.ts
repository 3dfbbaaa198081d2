import { BANDS } from '../spectrum';
import { buildUp, POWER, SATURATION, type DyeModel } from './dyeModel';
import { readingOf, readingPerAbsorption } from './layer';
import { COEFFICIENTS, SPLINE } from './spline';

/** A dye in a dyeing. */
export interface Dose {
  dye: DyeModel;
  /** % on weight of fiber. */
  dosPercent: number;
  /** Dyes of one bath keep some of each other away; those of a later pass do not. The same bath where it is not said. */
  bath?: number;
}

/** What dyes go onto, and what all of them have in common there. */
export interface Ground {
  /** Absorption over scattering before, band by band. */
  absorption: Float64Array;
  /** Logarithm of how much more of a dye shows here than on the base that dyes were measured on. */
  affinity: number;
  /** Part of a dye that is lost to others in the same bath, times their share of it. */
  loss: number;
}

/** A dyeing as an instrument would read it, with what is needed for its slopes. */
export interface Dyeing {
  reading: Float64Array;
  absorption: Float64Array;
  doses: readonly DyeingDose[];
  ground: Ground;
}

interface DyeingDose {
  dye: DyeModel;
  /** Depth that the fiber really takes, %. */
  depth: number;
  /** The share of the others in the bath, 0 to 1. */
  others: number;
  built: number;
  perDepth: number;
}

/** The color of some dyes, pass by pass: their absorptions come to that of the ground. */
export function dyeingOf(ground: Ground, doses: readonly Dose[]): Dyeing {
  const inBath = (bath: number): number =>
    doses.reduce((sum, dose) => ((dose.bath ?? 0) === bath ? sum + dose.dosPercent : sum), 0);
  const absorption = Float64Array.from(ground.absorption);
  const times = Math.exp(ground.affinity);
  const laid = doses.map(({ dye, dosPercent, bath = 0 }): DyeingDose => {
    const inAll = inBath(bath);
    const others = inAll > 0 ? 1 - dosPercent / inAll : 0;
    const depth = dosPercent * times * Math.max(0, 1 - ground.loss * others);
    const { value, perDepth } = buildUp(dye, depth);
    for (let band = 0; band < BANDS; band += 1)
      absorption[band] = (absorption[band] as number) + (dye.k[band] as number) * value;
    return { dye, depth, others, built: value, perDepth };
  });
  return { reading: readingOf(absorption), absorption, doses: laid, ground };
}

/** How one thing that is read of a dyeing, such as its L, grows with everything it hangs on. */
export interface Slopes {
  /** With the numbers of each dye, in the order of the doses. */
  numbers: Float64Array[];
  /** With the logarithm of each dose. */
  doses: number[];
  affinity: number;
  loss: number;
}

/** How the absorption of each band weighs on a thing that hangs on the reading. @param perBand slope with the reading */
export function perAbsorption({ absorption }: Dyeing, perBand: readonly Float64Array[]): Float64Array[] {
  const falls = readingPerAbsorption(absorption);
  return perBand.map((slope) => slope.map((value, band) => value * (falls[band] as number)));
}

/** @param slope of the thing with the absorption of each band */
export function slopesOf({ doses, ground }: Dyeing, slope: Float64Array): Slopes {
  const slopes: Slopes = { numbers: [], doses: [], affinity: 0, loss: 0 };
  for (const { dye, depth, others, built, perDepth } of doses) {
    const numbers = new Float64Array(COEFFICIENTS + 2);
    let inAll = 0;
    for (let band = 0; band < BANDS; band += 1) {
      const of = (slope[band] as number) * (dye.k[band] as number);
      inAll += of;
      const at = band * COEFFICIENTS;
      for (let i = 0; i < COEFFICIENTS; i += 1)
        numbers[i] = (numbers[i] as number) + of * built * (SPLINE[at + i] as number);
    }
    if (depth > 0) {
      numbers[POWER] = inAll * built * Math.log(depth);
      numbers[SATURATION] = (-inAll * built * dye.saturation * depth) / (1 + dye.saturation * depth);
    }
    const perLog = inAll * perDepth * depth;
    slopes.numbers.push(numbers);
    slopes.doses.push(perLog);
    slopes.affinity += perLog;
    const kept = Math.max(LEAST_KEPT, 1 - ground.loss * others);
    slopes.loss -= (inAll * perDepth * depth * others) / kept;
  }
  return slopes;
}

/** No bath takes nearly all of a dye away from it. */
const LEAST_KEPT = 0.05;
