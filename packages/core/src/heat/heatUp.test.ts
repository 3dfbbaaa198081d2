import { boilingC, boilingPointC, airPressureKpa } from './boilingPoint';
import { centerHotMinutes, centerLag } from './bundle';
import { potSchema } from '../shelf/pot';
import { riseFigure, ringMinutes } from './planHeat';
import { coolDownMinutes, heatCapacityJPerK, heatUpMinutes, ledUpMinutes } from './heatUp';

describe('boiling point', () => {
  test('ISO 2533 pressure at 1500 m and 3000 m, kPa', () => {
    expect(airPressureKpa(0)).toBeCloseTo(101.325, 6);
    expect(airPressureKpa(1500)).toBeCloseTo(84.56, 2);
    expect(airPressureKpa(3000)).toBeCloseTo(70.11, 2);
  });
  test('IAPWS-IF97 verification values, table 36: 0.1, 1 and 10 MPa', () => {
    expect(boilingC(100) + 273.15).toBeCloseTo(372.755919, 5);
    expect(boilingC(1000) + 273.15).toBeCloseTo(453.035632, 5);
    expect(boilingC(10_000) + 273.15).toBeCloseTo(584.149488, 5);
  });
  test('water boils at 95.0 °C at 1500 m and 90.0 °C at 3000 m', () => {
    expect(boilingPointC(1500)).toBeCloseTo(95.0, 1);
    expect(boilingPointC(3000)).toBeCloseTo(90.0, 1);
    expect(boilingPointC(0)).toBeCloseTo(99.97, 2);
  });
});

describe('heat balance, worked by hand', () => {
  // 6 L of water, 200 g of wool, a 900 J/K pot: 6000 × 4.186 + 200 × 1.36 + 900 = 26 288 J/K.
  const capacity = heatCapacityJPerK(6000, 200, 900);
  const ring = { powerWatts: 1500, efficiencyPercent: 60, vesselJPerK: 900, lossWPerK: 0 };
  test('26 288 J/K by 68 K is 1.788 MJ, at 900 W without loss 1986 s', () => {
    expect(heatCapacityJPerK(6000, 200, 900)).toBeCloseTo(26_288, 6);
    expect(heatUpMinutes(ring, capacity, 20, 88, 20)).toBeCloseTo((26_288 * 68) / 900 / 60, 9);
  });
  test('with loss it takes longer, and agrees with stepping the balance second by second', () => {
    const losing = { ...ring, lossWPerK: 5 };
    let temperature = 20;
    let seconds = 0;
    while (temperature < 88) {
      temperature += (900 - 5 * (temperature - 20)) / capacity;
      seconds += 1;
    }
    expect(heatUpMinutes(losing, capacity, 20, 88, 20)).toBeCloseTo(seconds / 60, 1);
  });
  test('a ring too weak never gets there; a bath already hot needs no time', () => {
    expect(heatUpMinutes({ ...ring, powerWatts: 400, lossWPerK: 5 }, capacity, 20, 88, 20)).toBe(
      Number.POSITIVE_INFINITY,
    );
    expect(heatUpMinutes(ring, capacity, 90, 88, 20)).toBe(0);
  });
  test('led at 1.5 °C/min until the ring falls behind: agrees with stepping the balance, and is neither of the two alone', () => {
    // 1.5 °C/min wants 26 288 × 1.5 ÷ 60 = 657 W; 900 W less 5 W/K give that up to 48.6 K over the room.
    const losing = { ...ring, lossWPerK: 5 };
    const led = ledUpMinutes(losing, capacity, 20, 88, 20, 1.5);
    let temperature = 20;
    let seconds = 0;
    while (temperature < 88) {
      temperature += Math.min(1.5 / 60, (900 - 5 * (temperature - 20)) / capacity);
      seconds += 1;
    }
    expect(led).toBeCloseTo(seconds / 60, 1);
    expect(led).toBeGreaterThan(heatUpMinutes(losing, capacity, 20, 88, 20));
    expect(led).toBeGreaterThan(68 / 1.5);
  });
  test('a ring that always keeps up takes as long as the rise says; one that never does, as long as it needs', () => {
    expect(ledUpMinutes({ ...ring, lossWPerK: 5 }, capacity, 20, 88, 20, 0.5)).toBeCloseTo(136, 9);
    expect(ledUpMinutes(ring, capacity, 20, 88, 20, 20)).toBeCloseTo((26_288 * 68) / 900 / 60, 9);
    expect(ledUpMinutes({ ...ring, lossWPerK: 20 }, capacity, 20, 88, 20, 1)).toBe(Number.POSITIVE_INFINITY);
  });
  test('a pot that loses nothing rises as it was decided on a strong ring, and as the ring can on a weak one', () => {
    // 657 W are wanted: 900 W keep up, 600 W do not.
    expect(ledUpMinutes(ring, capacity, 20, 88, 20, 1.5)).toBeCloseTo(68 / 1.5, 9);
    expect(ledUpMinutes({ ...ring, powerWatts: 1000 }, capacity, 20, 88, 20, 1.5)).toBeCloseTo(
      (26_288 * 68) / 600 / 60,
      9,
    );
    expect(ledUpMinutes(ring, capacity, 90, 88, 20, 1.5)).toBe(0);
  });
  test('cooling from 88 to 40 °C in a room of 20 °C: ln(68 / 20) × 26 288 / 5 s', () => {
    expect(coolDownMinutes(5, capacity, 88, 40, 20)).toBeCloseTo((Math.log(3.4) * 26_288) / 5 / 60, 9);
    expect(coolDownMinutes(5, capacity, 88, 18, 20)).toBe(Number.POSITIVE_INFINITY);
    expect(coolDownMinutes(5, capacity, 30, 40, 20)).toBe(0);
  });
});

describe('the center of a bundle', () => {
  test('lag of a long cylinder at Fourier 0.2 and 0.5: one-term solution 1.602 exp(−5.783 Fo) (Carslaw and Jaeger)', () => {
    expect(centerLag(0.2)).toBeCloseTo(1.602 * Math.exp(-5.783 * 0.2), 2);
    expect(centerLag(0.5)).toBeCloseTo(1.602 * Math.exp(-5.783 * 0.5), 3);
    expect(centerLag(0)).toBe(1);
  });
  test('and with a cylinder cut into 100 rings that warm each other step by step, before one term is enough', () => {
    const rings = 100;
    const step = 0.2 / rings ** 2;
    const lag = Array.from({ length: rings + 1 }, (_, ring): number => (ring < rings ? 1 : 0));
    const center = new Map<number, number>();
    for (let n = 1; n <= Math.round(0.2 / step); n += 1) {
      const was = [...lag];
      const at = (ring: number): number => was[ring] ?? 0;
      for (let ring = 0; ring < rings; ring += 1) {
        const curved = at(ring + 1) - 2 * at(ring) + at(Math.abs(ring - 1));
        // At the axis the slope over the radius is the curvature itself.
        const aside = ring === 0 ? curved : (at(ring + 1) - at(ring - 1)) / (2 * ring);
        lag[ring] = at(ring) + step * rings ** 2 * (curved + aside);
      }
      center.set(Math.round(n * step * 1e5), lag[0] ?? 0);
    }
    for (const fourier of [0.02, 0.025, 0.03, 0.04, 0.06, 0.1, 0.2]) {
      // The fifth term, which is left out: its zero is 14.9309, J1 there 0.20655.
      const leftOut = (2 / (14.9309 * 0.20655)) * Math.exp(-(14.9309 ** 2) * fourier);
      const off = Math.abs(centerLag(fourier) - (center.get(Math.round(fourier * 1e5)) ?? Number.NaN));
      expect([fourier, off < 1.1 * leftOut + 2e-4]).toEqual([fourier, true]);
    }
  });
  test('4 cm from 20 to 90 °C in steam of 100: 21 min', () => {
    // An eighth of the way is left: Fo = ln(1.602 × 8) / 5.783 = 0.4411, × (0.02 m)² ÷ 1.4e-7 m²/s = 1260 s.
    expect(centerHotMinutes(4, 20, 90, 100)).toBeCloseTo(21, 1);
  });
  test('what is hot already needs no time, and what is as hot as the steam is never reached', () => {
    expect(centerHotMinutes(4, 90, 90, 100)).toBe(0);
    expect(centerHotMinutes(4, 95, 90, 100)).toBe(0);
    expect(centerHotMinutes(4, 20, 100, 100)).toBe(Number.POSITIVE_INFINITY);
  });
  test('twice as thick takes four times as long', () => {
    const thin = centerHotMinutes(4, 20, 90, 100);
    expect(centerHotMinutes(8, 20, 90, 100) / thin).toBeCloseTo(4, 6);
    expect(thin).toBeGreaterThan(10);
    expect(centerHotMinutes(4, 20, 100, 95)).toBe(Number.POSITIVE_INFINITY);
  });
});

describe('a rise as it is told', () => {
  const bath = (changes: object) => ({
    waterMl: 6000,
    fiberGrams: 200,
    roomC: 20,
    pot: potSchema.parse({
      ...{ id: 'p', name: 'Great Tom', capacityMl: 12_000, powerWatts: 1500, efficiencyPercent: 60 },
      ...{ vesselJPerK: 900, lossWPerK: 0, ...changes },
    }),
  });
  test('a ring that keeps up is not spoken of, one that falls behind is', () => {
    const strong = riseFigure(bath({}), 20, 88, 1.5);
    expect([strong.value, strong.because]).toEqual([
      expect.closeTo(68 / 1.5, 9),
      '(88 °C − 20 °C) ÷ 1.5 °C/min = 45 min',
    ]);
    const weak = riseFigure(bath({ powerWatts: 1000 }), 20, 88, 1.5);
    expect(weak.value).toBeCloseTo((26_288 * 68) / 600 / 60, 9);
    expect(weak.because).toBe(
      'from 20 to 88 °C at 1.5 °C/min while Great Tom keeps up: 26288 J/K on 1000 W at 60 %, losing 0 W/K',
    );
  });
  test('what the ring needs is known where its power is', () => {
    expect(ringMinutes(bath({}), 20, 88)).toBeCloseTo((26_288 * 68) / 900 / 60, 9);
    expect(ringMinutes(bath({ powerWatts: null }), 20, 88)).toBeNull();
    expect(ringMinutes({ ...bath({}), pot: null }, 20, 88)).toBeNull();
    expect(riseFigure(bath({ powerWatts: null }), 20, 88, 1.5).value).toBeCloseTo(68 / 1.5, 9);
  });
});
