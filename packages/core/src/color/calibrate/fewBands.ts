import { BANDS } from '../../units/bands';
import { dyeingOf, perAbsorption, slopesOf } from '../dye/dyeing';
import type { Building } from '../dye/dyeModel';
import { WAVELENGTHS } from '../spectrum';
import { dot } from './matrix';
import { descended, type Descended } from './descent';
import { addRows, believe, freeOf, nothingGathered, type Belief, type Gathered } from './gathered';
import { observed, type MeasuredColor } from './observe';
import { POWER_OF, SATURATION_OF } from './prior';
import { DOSE_NOISE } from './problem';

/** A dye alone on something. */
export interface SampleAlone {
  /** Absorption over scattering of what it is on, band by band. */
  base: Float64Array;
  dosPercent: number;
  color: MeasuredColor;
}

/** Absorption bands of molecules are even about their middle in wavenumber (1000/cm), not in wavelength. */
const WAVENUMBERS = WAVELENGTHS.map((nm) => 10_000 / nm);

/*
 * A dye as numbers: its power, the logarithm of its saturation, the logarithm of what it absorbs everywhere, then of each
 * band the logarithm of its height, its middle and the logarithm of its width (standard deviation). Height and floor are
 * absorption over scattering at 1 %. Beliefs of bands: from memory, wide enough for anything that dyes wool.
 */
const FLOOR = 2;
const FLOOR_OF: Belief = { value: Math.log(0.03), spread: 1 };
const FIRST = 3;
const HEIGHT: Belief = { value: 2, spread: 1 };
const MIDDLE: Belief = { value: 19, spread: 3.5 };
const WIDTH: Belief = { value: Math.log(1.2), spread: 0.8 };
const OF_A_BAND = [HEIGHT, MIDDLE, WIDTH] as const;
/** How far each of them may be off once a band was found: its middle no longer goes anywhere. */
const FOUND = [HEIGHT.spread, 1, WIDTH.spread];
const PER_BAND = OF_A_BAND.length;

const bandsIn = (numbers: Float64Array): number => (numbers.length - FIRST) / PER_BAND;
const at = (numbers: Float64Array, i: number): number => numbers[i] as number;

/** What some numbers make: the dye, and how the logarithm of its absorption grows with each of them. */
interface Made {
  dye: Building & { k: Float64Array };
  /** For each number, band by band; nothing for power and saturation. */
  perNumber: Float64Array[];
}

function made(numbers: Float64Array): Made {
  const k = new Float64Array(BANDS).fill(Math.exp(at(numbers, FLOOR)));
  const perNumber = Array.from(numbers, () => new Float64Array(BANDS));
  (perNumber[FLOOR] as Float64Array).set(k);
  for (let first = FIRST; first < numbers.length; first += PER_BAND) {
    const [height, middle, width] = [
      Math.exp(at(numbers, first)),
      at(numbers, first + 1),
      Math.exp(at(numbers, first + 2)),
    ];
    const [perHeight, perMiddle, perWidth] = perNumber.slice(first) as [
      Float64Array,
      Float64Array,
      Float64Array,
    ];
    for (let band = 0; band < BANDS; band += 1) {
      const away = ((WAVENUMBERS[band] as number) - middle) / width;
      const own = height * Math.exp(-0.5 * away * away);
      k[band] = at(k, band) + own;
      perHeight[band] = own;
      perMiddle[band] = (own * away) / width;
      perWidth[band] = own * away * away;
    }
  }
  for (const slope of perNumber)
    for (let band = 0; band < BANDS; band += 1) slope[band] = at(slope, band) / at(k, band);
  return { dye: { k, power: at(numbers, 0), saturation: Math.exp(at(numbers, 1)) }, perNumber };
}

/** Everything that speaks for some bands and against them. @param numbers as above @param doseNoise of each dose, of itself */
export function gatheredOfBands(
  samples: readonly SampleAlone[],
  numbers: Float64Array,
  doseNoise = DOSE_NOISE,
): Gathered {
  const into = nothingGathered(numbers.length);
  believe(into, 0, at(numbers, 0), POWER_OF);
  believe(into, 1, at(numbers, 1), SATURATION_OF);
  believe(into, FLOOR, at(numbers, FLOOR), FLOOR_OF);
  for (let first = FIRST; first < numbers.length; first += PER_BAND)
    OF_A_BAND.forEach((belief, i) => believe(into, first + i, at(numbers, first + i), belief));
  const { dye, perNumber } = made(numbers);
  const places = Array.from(numbers, (_, i) => i);
  for (const { base, dosPercent, color } of samples) {
    const dyeing = dyeingOf({ absorption: base, affinity: 0, loss: 0 }, [{ dye, dosPercent }]);
    const { off, perBand } = observed(color, dyeing.reading);
    const columns = places.map(() => new Float64Array(off.length));
    const perDose = new Float64Array(off.length);
    perAbsorption(dyeing, perBand).forEach((slope, part) => {
      const { dyes, doses } = slopesOf(dyeing, slope);
      const [own] = dyes;
      if (!own) return;
      perDose[part] = doses[0] ?? 0;
      perNumber.forEach((perCurve, i) => {
        const along = i === 0 ? own.power : i === 1 ? own.saturation : dot(own.curve, perCurve);
        (columns[i] as Float64Array)[part] = along;
      });
    });
    addRows(into, { ...freeOf([perDose], doseNoise, off, columns), places, trust: 1 });
  }
  return into;
}

/** Where a band is looked for. */
const LOOKED_FOR = [15, 17, 19, 21.5, 24];
const MOST_BANDS = 3;
/** A band more begins as low as that, as a logarithm of the usual. */
const LOW = -1.5;
/** Rounds of trying a place, and of going on from the best, until a round gains less than that: the samples are fitted anew after. */
const TRYING = 4;
const GOING_ON = 30;
const ENOUGH = 1e-2;

/** A dye as few bands. */
export interface FewBands {
  /** Logarithm of absorption over scattering, band by band. */
  curve: Float64Array;
  /** How the curve moves as each number of the bands goes as far as it may well be off. */
  along: Float64Array[];
  power: number;
  /** Logarithm of the saturation, per %. */
  saturation: number;
}

/**
 * A dye as the few absorption bands that explain its samples: one, and another as long as that pays (Bayesian
 * information criterion). What was read as three numbers leaves much of a spectrum open; that dyes absorb in bands does not.
 * Source of the criterion: G. Schwarz, Ann. Stat. 6, 461 (1978).
 */
export function fewBandsOf(samples: readonly SampleAlone[]): FewBands {
  const gather = (numbers: Float64Array): Gathered => gatheredOfBands(samples, numbers);
  const from = (before: Float64Array, height: number): Descended => {
    const tried = LOOKED_FOR.map((middle) =>
      descended(gather, Float64Array.from([...before, height, middle, WIDTH.value]), TRYING, ENOUGH),
    );
    const best = tried.reduce((one, other) => (other.cost < one.cost ? other : one));
    return descended(gather, best.numbers, GOING_ON, ENOUGH);
  };
  const read = samples.reduce((sum, { color }) => sum + (color.kind === 'reflectance' ? BANDS : 3), 0);
  const perBand = 0.5 * PER_BAND * Math.log(read);
  const none = Float64Array.from([POWER_OF.value, SATURATION_OF.value, FLOOR_OF.value]);
  let best = from(none, HEIGHT.value);
  while (bandsIn(best.numbers) < MOST_BANDS) {
    const more = from(best.numbers, HEIGHT.value + LOW);
    if (more.cost + perBand >= best.cost) break;
    best = more;
  }
  const { dye, perNumber } = made(best.numbers);
  return {
    curve: dye.k.map(Math.log),
    along: [FLOOR_OF.spread, ...Array.from({ length: bandsIn(best.numbers) }, () => FOUND).flat()].map(
      (far, i) => (perNumber[FLOOR + i] as Float64Array).map((value) => value * far),
    ),
    power: at(best.numbers, 0),
    saturation: at(best.numbers, 1),
  };
}
