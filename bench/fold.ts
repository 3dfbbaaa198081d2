import { depths, emptyState, fold, type Act, type ListedAct } from '@ythrion/core';
import type { Measure } from './bench';

const LINES = 24;
const ACTS = 300;
const common = { pass: 'p1', line: null, purpose: null };

/** A long day in one pot: goods of many lines, dose after dose, each with a wait that leaves a tenth. */
function longList(): ListedAct[] {
  const acts: Act[] = [
    {
      kind: 'bring',
      ...common,
      thing: { kind: 'vessel', vessel: 'pot', role: 'pot', name: 'Pot', shelfId: null, capacityMl: null },
    },
    ...Array.from({ length: LINES }, (_, i): Act => ({
      kind: 'bring',
      ...common,
      line: `g${i}`,
      thing: {
        kind: 'goods',
        name: 'Goods',
        baseId: 'b',
        form: 'skein',
        count: 4,
        grams: 400,
        dyeableShare: 0.8,
        holdsMeq: 300,
        catchUp: false,
        from: null,
      },
    })),
    { kind: 'run', ...common, vessel: 'pot', ml: 30_000, celsius: 20 },
    { kind: 'place', ...common, goods: [], vessel: 'pot', reach: null, lies: null, wet: true },
  ];
  while (acts.length < ACTS) {
    const i = acts.length;
    acts.push(
      i % 3 === 2
        ? {
            kind: 'hold',
            ...common,
            vessel: 'pot',
            atC: 85,
            minutes: 5,
            untilClear: false,
            leaves: 0.1,
            onHeat: true,
          }
        : {
            kind: 'put',
            ...common,
            pass: `p${1 + Math.floor(i / 40)}`,
            material: { kind: 'dye', dyeId: `d${i % 6}`, stockId: null, strengthPercent: 1, lotStrength: 1 },
            amount: 20,
            unit: 'mL',
            into: { vessel: 'pot' },
          },
    );
  }
  return acts.map((act, i) => ({ id: `a${i}`, act }));
}

/** A long record folded, and every depth of it read. */
export function foldTimes(): Measure[] {
  const acts = longList();
  const times = Array.from({ length: 300 }, () => {
    const from = performance.now();
    const { state } = fold(emptyState(), acts);
    for (let i = 0; i < LINES; i += 1) depths(state, { line: `g${i}` });
    return performance.now() - from;
  }).toSorted((a, b) => a - b);
  return [
    {
      what: `${ACTS} acts on ${LINES} lines folded, with every depth, median of 300`,
      measured: times[150] ?? 0,
      allowed: 10,
      unit: 'ms',
    },
  ];
}
