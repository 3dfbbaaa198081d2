import { BANDS } from '../../units/bands';
import { buildUp, type Building } from './dyeModel';
import { readingOf, readingPerAbsorption } from './layer';

/** A dye in a dyeing. */
export interface Dose {
  dye: Building;
  /** % on weight of fiber. */
  dosPercent: number;
  /** Logarithm of how much more of it shows here, beside what the ground says of all; 0 where it is not said. */
  affinity?: number;
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
  dye: Building;
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
  const laid = doses.map(({ dye, dosPercent, affinity = 0, bath = 0 }): DyeingDose => {
    const inAll = inBath(bath);
    const others = inAll > 0 ? 1 - dosPercent / inAll : 0;
    const depth = dosPercent * times * Math.exp(affinity) * Math.max(0, 1 - ground.loss * others);
    const { value, perDepth } = buildUp(dye, depth);
    for (let band = 0; band < BANDS; band += 1)
      absorption[band] = (absorption[band] as number) + (dye.k[band] as number) * value;
    return { dye, depth, others, built: value, perDepth };
  });
  return { reading: readingOf(absorption), absorption, doses: laid, ground };
}

/** How one thing that is read of a dyeing, such as its L, grows with everything it hangs on. */
export interface Slopes {
  /** With each dye, in the order of the doses. */
  dyes: DyeSlopes[];
  /** With the logarithm of each dose. */
  doses: number[];
  affinity: number;
  loss: number;
}

/** How it grows with what a dye is. */
interface DyeSlopes {
  /** With the logarithm of its absorption over scattering, band by band. */
  curve: Float64Array;
  power: number;
  /** With the logarithm of its saturation. */
  saturation: number;
}

/** How the absorption of each band weighs on a thing that hangs on the reading. @param perBand slope with the reading */
export function perAbsorption({ absorption }: Dyeing, perBand: readonly Float64Array[]): Float64Array[] {
  const falls = readingPerAbsorption(absorption);
  return perBand.map((slope) => {
    const weighed = new Float64Array(BANDS);
    for (let band = 0; band < BANDS; band += 1)
      weighed[band] = (slope[band] as number) * (falls[band] as number);
    return weighed;
  });
}

/** @param slope of the thing with the absorption of each band */
export function slopesOf({ doses, ground }: Dyeing, slope: Float64Array): Slopes {
  const slopes: Slopes = { dyes: [], doses: [], affinity: 0, loss: 0 };
  for (const { dye, depth, others, built, perDepth } of doses) {
    const curve = new Float64Array(BANDS);
    let inAll = 0;
    for (let band = 0; band < BANDS; band += 1) {
      const of = (slope[band] as number) * (dye.k[band] as number);
      inAll += of;
      curve[band] = of * built;
    }
    slopes.dyes.push({
      curve,
      power: depth > 0 ? inAll * built * Math.log(depth) : 0,
      saturation: (-inAll * built * dye.saturation * depth) / (1 + dye.saturation * depth),
    });
    const perLog = inAll * perDepth * depth;
    slopes.doses.push(perLog);
    slopes.affinity += perLog;
    const kept = Math.max(LEAST_KEPT, 1 - ground.loss * others);
    slopes.loss -= (inAll * perDepth * depth * others) / kept;
  }
  return slopes;
}

/** No bath takes nearly all of a dye away from it. */
const LEAST_KEPT = 0.05;
