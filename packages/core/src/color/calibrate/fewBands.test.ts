import { labOf } from '../lab';
import { readingOf } from '../dye/layer';
import { buildUp } from '../dye/dyeModel';
import { WAVELENGTHS } from '../spectrum';
import { fewBandsOf, gatheredOfBands, type SampleAlone } from './fewBands';

const LADDER = [0.05, 0.12, 0.3, 0.6, 1.2, 2.4];
const wool = Float64Array.from(WAVELENGTHS, (nm) => 0.03 + 0.05 * Math.exp(-((nm - 400) / 60)));

interface Band {
  height: number;
  middle: number;
  width: number;
}

/** Absorption over scattering at 1 %, from bands that are even in wavenumber (1000/cm). */
const absorbing = (bands: readonly Band[], floor = 0.02): Float64Array =>
  Float64Array.from(WAVELENGTHS, (nm) =>
    bands.reduce(
      (sum, { height, middle, width }) => sum + height * Math.exp(-0.5 * ((1e4 / nm - middle) / width) ** 2),
      floor,
    ),
  );

/** A ladder read as Lab, without any error. */
const ladder = (k: Float64Array, depths = LADDER, power = 1, saturation = 0.06): SampleAlone[] =>
  depths.map((dosPercent) => {
    const { value } = buildUp({ power, saturation }, dosPercent);
    const reading = readingOf(wool.map((own, band) => own + k[band]! * value));
    return { base: wool, dosPercent, color: { kind: 'lab', lab: labOf(reading) } };
  });

/** How far a curve is off where the eye sees anything of it and the dye absorbs enough for that, as a logarithm. */
const off = (curve: Float64Array, k: Float64Array): number =>
  Math.max(
    ...WAVELENGTHS.map((nm, band) =>
      nm > 420 && nm < 670 && k[band]! > 0.3 ? Math.abs(curve[band]! - Math.log(k[band]!)) : 0,
    ),
  );

describe('a dye as few bands', () => {
  const red = absorbing([{ height: 9, middle: 19.2, width: 1.6 }]);
  const green = absorbing([
    { height: 10, middle: 15.6, width: 0.9 },
    { height: 4, middle: 23.6, width: 1.5 },
  ]);

  test('one band is found from what was only read as Lab, with its build-up', () => {
    const found = fewBandsOf(ladder(red, LADDER, 0.95, 0.1));
    expect(found.along).toHaveLength(4);
    expect(off(found.curve, red)).toBeLessThan(0.1);
    expect(found.power).toBeCloseTo(0.95, 1);
    expect(Math.exp(found.saturation)).toBeGreaterThan(0.06);
  });

  test('a second band is added where it pays, a third is not', () => {
    const found = fewBandsOf(ladder(green));
    expect(found.along).toHaveLength(7);
    expect(off(found.curve, green)).toBeLessThan(0.25);
  });

  test('two depths are enough to tell where a band lies', () => {
    const { curve } = fewBandsOf(ladder(red, [0.3, 1.5]));
    expect(curve.indexOf(Math.max(...curve))).toBe(red.indexOf(Math.max(...red)));
  });

  test('the slope that is gathered is that of the cost', () => {
    const samples = ladder(green);
    const numbers = Float64Array.from([0.98, -2.5, -3.2, 1.8, 16.1, 0.2, 1.1, 22.9, 0.4]);
    const { slope } = gatheredOfBands(samples, numbers);
    // Cauchy's weights are exact for the slope; the noise of doses hangs on the numbers and is left out of it.
    numbers.forEach((value, i) => {
      const cost = (step: number): number => gatheredOfBands(samples, numbers.with(i, value + step), 0).cost;
      const exact = gatheredOfBands(samples, numbers, 0).slope[i]!;
      const step = 1e-5;
      expect(exact).toBeCloseTo((cost(step) - cost(-step)) / (2 * step), 2);
    });
    expect(slope.every(Number.isFinite)).toBe(true);
  });
});
