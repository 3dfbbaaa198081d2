import { differenceCiede2000, type Lab65 } from 'culori';
import Color from 'colorjs.io';
import {
  calibrate,
  ciede2000,
  labOf,
  match,
  matching,
  predict,
  type Calibration,
  type Lab,
  type MeasuredSample,
} from '@ythrion/core';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { chance, Dyehouse } from '../packages/core/test/dyehouse/dyehouse';
import type { Measure } from './bench';
import { dyehouseTable } from './dyehouse';

const ms = (work: () => void): number => {
  const begun = performance.now();
  work();
  return performance.now() - begun;
};
const median = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[times.length >> 1] ?? 0;
const repeated = (times: number, work: () => void): number =>
  median(Array.from({ length: times }, () => ms(work)));

/** How quick the color core is, and what it reaches in the simulated dyehouse. */
export function colorTimes(): Measure[] {
  process.stdout.write(dyehouseTable(6, 50));
  const found = shelfOf(40);
  const target = predict(found, 'base0', [
    { id: 'dye3', dosPercent: 0.4 },
    { id: 'dye17', dosPercent: 0.2 },
    { id: 'dye30', dosPercent: 0.1 },
  ]).lab;
  const wish = (maxDyes: number) => ({
    baseId: 'base0',
    target: { kind: 'lab' as const, lab: target },
    maxDyes,
    mustUse: [],
    mustNotUse: [],
    maxDosPercent: 4,
    top: 10,
  });
  match(shelfOf(10), wish(3));
  return [
    ...differenceTimes(),
    {
      what: 'all choices of up to 3 of 40 dyes',
      measured: ms(() => void match(found, wish(3))),
      allowed: 1000,
      unit: 'ms',
    },
    {
      what: 'all choices of up to 4 of 40 dyes, on one core of two',
      measured: ms(() => void match(found, wish(4))),
      allowed: 10_000,
      unit: 'ms',
    },
    {
      what: 'the first answers of that',
      measured: ms(() => void matching(found, wish(4)).next()),
      allowed: 200,
      unit: 'ms',
    },
    {
      what: 'a match of three dyes, beside a general package with a color library’s difference',
      measured: (100 * perMatch(found, wish(3))) / generalMatch(found, target),
      allowed: 2,
      unit: '%',
    },
    {
      what: 'a dye of six samples calibrated',
      measured: repeated(5, () => void oneDye()),
      allowed: 50,
      unit: 'ms',
    },
    {
      what: 'a prediction of three dyes with its spread',
      measured: repeated(50, () => void predict(shelf12, 'base0', RECIPE)),
      allowed: 1,
      unit: 'ms',
    },
  ];
}

const RECIPE = [
  { id: 'dye1', dosPercent: 0.4 },
  { id: 'dye5', dosPercent: 0.2 },
  { id: 'dye8', dosPercent: 0.1 },
];
const shelf12 = shelfOf(12);

function samplesOf(
  house: Dyehouse,
  depths: readonly number[],
  ids = house.dyes.map(({ id }) => id),
): MeasuredSample[] {
  return ids.flatMap((id) =>
    depths.map((dosPercent): MeasuredSample => ({
      dyeId: id,
      baseId: 'base0',
      dosPercent,
      color: { kind: 'lab', lab: house.dye('base0', [{ id, dosPercent }]).lab },
    })),
  );
}

function shelfOf(dyes: number): Calibration {
  const house = new Dyehouse({ seed: 400 + dyes, dyes });
  return calibrate({
    bases: [{ id: 'base0', reflectance: house.bases[0]?.white ?? [] }],
    dyes: house.dyes.map(({ id }) => id),
    samples: samplesOf(house, [0.1, 0.5, 2]),
    mixtures: [],
  });
}

const oneHouse = new Dyehouse({ seed: 77 });
function oneDye(): Calibration {
  return calibrate({
    bases: [{ id: 'base0', reflectance: oneHouse.bases[0]?.white ?? [] }],
    dyes: ['dye3'],
    samples: samplesOf(oneHouse, [0.05, 0.12, 0.3, 0.6, 1.2, 2.4], ['dye3']),
    mixtures: [],
  });
}

function differenceTimes(): Measure[] {
  const next = chance(5);
  const colors = Array.from({ length: 20_000 }, (): Lab => [
    100 * next(),
    160 * next() - 80,
    160 * next() - 80,
  ]);
  const culori = colors.map(([l, a, b]): Lab65 => ({ mode: 'lab65', l, a, b }));
  const js = colors.slice(0, 2000).map((lab) => new Color('lab', [...lab]));
  const theirs = differenceCiede2000();
  const each = <T>(list: readonly T[], of: (one: T, other: T) => number): number => {
    const times = repeated(7, () => {
      let sum = 0;
      for (let i = 1; i < list.length; i += 1) sum += of(list[i - 1] as T, list[i] as T);
      if (!(sum > 0)) throw new Error('No difference.');
    });
    return (1e6 * times) / list.length;
  };
  const ours = each(colors, ciede2000);
  const fastest = Math.min(
    each(culori, theirs),
    each(js, (one, other) => one.deltaE2000(other)),
  );
  return [
    {
      what: 'CIEDE2000, ns, beside the fastest registry implementation',
      measured: ours,
      allowed: fastest,
      unit: 'ns',
    },
  ];
}

function perMatch(found: Calibration, wish: Parameters<typeof match>[1]): number {
  let choices = 0;
  const time = ms(() => {
    choices = match(found, wish).combinations;
  });
  return time / choices;
}

/** The same match of three dyes by a general package, its difference from a color library. */
function generalMatch(found: Calibration, target: Lab): number {
  const theirs = differenceCiede2000();
  const wanted: Lab65 = { mode: 'lab65', l: target[0], a: target[1], b: target[2] };
  const ids = ['dye3', 'dye17', 'dye30'];
  const off = (logs: readonly number[]): number => {
    const { reflectance } = predict(
      found,
      'base0',
      ids.map((id, i) => ({ id, dosPercent: Math.exp(logs[i] ?? 0) })),
    );
    const [l, a, b] = labOf(reflectance);
    return theirs(wanted, { mode: 'lab65', l, a, b });
  };
  return repeated(5, () => {
    levenbergMarquardt({ x: [0, 1, 2], y: [0, 0, 0] }, (logs: number[]) => () => off(logs), {
      initialValues: [-2, -2, -2],
      maxIterations: 40,
      damping: 0.1,
      gradientDifference: 1e-4,
      errorTolerance: 1e-4,
    });
  });
}
