import {
  calibrate,
  ciede2000,
  correct,
  match,
  withMixtures,
  type Calibration,
  type Lab,
  type MeasuredMixture,
  type MeasuredSample,
} from '@ythrion/core';
import { Dyehouse, type Put } from '../packages/core/test/dyehouse/dyehouse';

/** A way of reading ladders, and what it is to reach: how many of 100 targets within ΔE00 2 at each attempt. */
interface Ladders {
  name: string;
  depths: readonly number[];
  read: 'lab' | 'reflectance';
  closed: number;
  reach: readonly number[];
}

const SIX = [0.05, 0.12, 0.3, 0.6, 1.2, 2.4];
const THREE = [0.1, 0.5, 2];
const WAYS: readonly Ladders[] = [
  { name: 'six steps, Lab only', depths: SIX, read: 'lab', closed: 0, reach: [90, 99, 100] },
  { name: 'three steps, Lab only', depths: THREE, read: 'lab', closed: 0, reach: [78, 97] },
  { name: 'six steps, reflectance', depths: SIX, read: 'reflectance', closed: 0, reach: [98, 100] },
  { name: 'six steps, Lab only, after 30 closed batches', depths: SIX, read: 'lab', closed: 30, reach: [96] },
];

/** Near enough to count as got, ΔE00. */
const GOT = 2;
const ATTEMPTS = 3;

interface Result {
  got: number[];
  inSpread: number;
}

/** The table of the simulated dyehouse, over some houses; hard ones have narrow bands and build-up that bends early. */
export function dyehouseTable(houses: number, targets: number): string {
  const lines: string[] = [];
  for (const hard of [0, 1])
    for (const way of WAYS) {
      const results = Array.from({ length: houses }, (_, i) =>
        inHouse(new Dyehouse({ seed: 101 + i, hard }), way, targets),
      );
      const mean = (of: (result: Result) => number): string =>
        (results.reduce((sum, one) => sum + of(one), 0) / houses).toFixed(1);
      lines.push(
        `${hard ? 'hard dyehouse' : 'dyehouse'}: ${way.name}`.padEnd(66) +
          `${[0, 1, 2].map((n) => mean(({ got }) => got[n] ?? 0)).join(' / ')} % within ΔE00 2 at the first, second, third attempt` +
          ` (to reach ${way.reach.join(' / ')}); ${mean(({ inSpread }) => inSpread)} % inside the 80 % spread`,
      );
    }
  return `${lines.join('\n')}\n`;
}

function inHouse(house: Dyehouse, { depths, read, closed }: Ladders, targets: number): Result {
  let found = calibrate({
    bases: house.bases.map(({ id, white }) => ({ id, reflectance: white })),
    dyes: house.dyes.map(({ id }) => id),
    samples: house.dyes.flatMap(({ id }) =>
      depths.map((dosPercent): MeasuredSample => {
        const { lab, reflectance } = house.dye('base0', [{ id, dosPercent }]);
        return {
          dyeId: id,
          baseId: 'base0',
          dosPercent,
          color: read === 'lab' ? { kind: 'lab', lab } : { kind: 'reflectance', reflectance },
        };
      }),
    ),
    mixtures: [],
  });
  if (closed > 0)
    found = withMixtures(
      found,
      Array.from({ length: closed }, () => closedBatch(house)),
    );
  const got = Array.from({ length: ATTEMPTS }, () => 0);
  let inSpread = 0;
  for (let i = 0; i < targets; i += 1) {
    const { at, inside } = tried(house, found);
    for (let attempt = at; attempt < ATTEMPTS; attempt += 1)
      got[attempt] = (got[attempt] ?? 0) + 100 / targets;
    if (inside) inSpread += 100 / targets;
  }
  return { got, inSpread };
}

function closedBatch(house: Dyehouse): MeasuredMixture {
  const dyes = house.secret();
  return { baseId: 'base0', dyes, color: { kind: 'lab', lab: house.dye('base0', dyes).lab } };
}

/** Tries a secret target until it is got. @returns the attempt that got it, and whether the first lay inside its spread */
function tried(house: Dyehouse, found: Calibration): { at: number; inside: boolean } {
  const target = house.dye('base0', house.secret(), true).lab;
  const wanted = { kind: 'lab' as const, lab: target };
  const [first] = match(found, {
    baseId: 'base0',
    target: wanted,
    maxDyes: 3,
    mustUse: [],
    mustNotUse: [],
    maxDosPercent: 4,
    top: 1,
  }).candidates;
  let recipe: Put[] = first?.dyes ?? [];
  let inside = false;
  const attempts: { dyes: Put[]; lab: Lab }[] = [];
  for (let at = 0; at < ATTEMPTS; at += 1) {
    const { lab } = house.dye('base0', recipe);
    if (at === 0 && first) inside = ciede2000(first.lab, lab) <= first.spreadDE00;
    if (ciede2000(target, lab) <= GOT) return { at, inside };
    attempts.push({ dyes: recipe, lab });
    recipe = correct(found, { baseId: 'base0', target: wanted, tried: attempts, addOnly: false }).dyes;
  }
  return { at: ATTEMPTS, inside };
}
