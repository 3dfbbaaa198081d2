import { Named } from './named';
import fc from 'fast-check';
import {
  acid,
  goods,
  hold,
  ice,
  lift,
  listed,
  move,
  on,
  place,
  powder,
  run,
  split,
  stand,
  stock,
  stretch,
  vessel,
} from '../../test/acts';
import { comesIn, totals } from '../../test/conserved';
import type { Act } from './act';
import { apply } from './apply';
import { allGiven } from './depths';
import { fold, unfold, type PlanStep } from './fold';
import { emptyState, type ListedAct } from './state';

const ALKALINITY = 100;
const start = emptyState({ alkalinityMgPerL: ALKALINITY, tapC: 12, roomC: 20, canHoldMlPerGram: 1.2 });
const SCENE: Act[] = [
  goods('a', 100, { count: 4, holdsMeq: 82 }),
  goods('b', 250, { count: 5, dyeableShare: 0.75, holdsMeq: 150 }),
  goods('c', 50),
  goods('spare', 30, { catchUp: true }),
  vessel('pot'),
  vessel('pan', 'pan'),
  vessel('tray', 'tray'),
  vessel('cup', 'paint cup'),
  vessel('ice', 'melting ice'),
  run('pot', 4000),
  run('cup', 300),
];

function frozen<T>(value: T): T {
  if (value === null || typeof value !== 'object' || Object.isFrozen(value)) return value;
  // What is held by name remembers its pairs once asked for; the things themselves never change.
  if (!(value instanceof Named)) Object.freeze(value);
  for (const inner of value instanceof Map ? value.values() : Object.values(value)) frozen(inner);
  return value;
}

const vesselIds = fc.constantFrom('pot', 'pan', 'tray', 'cup', 'vat');
const lines = fc.subarray(['a', 'b', 'c', 'spare'], { maxLength: 2 });
const pass = fc.constantFrom('p1', 'p1', 'p2', 'p3', null);
const amounts = fc.double({ min: 0.01, max: 600, noNaN: true });
const minutes = fc.option(fc.double({ min: 0, max: 300, noNaN: true }));
const leaves = fc.option(fc.constantFrom(0, 0.1, 0.25, 1));
const spans = fc
  .tuple(
    fc.constantFrom('around', 'along', 'layer'),
    fc.integer({ min: 0, max: 7 }),
    fc.integer({ min: 1, max: 8 }),
  )
  .map(([axis, from, more]) => [axis, from / 8, Math.min(8, from + more) / 8] as const);
const places = fc
  .tuple(spans, fc.constantFrom(null, null, 'a', 'c'))
  .map(([[axis, from, to], piece]) => on(axis, from, to, piece));
const ends = fc.oneof(vesselIds, places);
const dyes = fc.constantFrom('blue', 'red');
const much = fc.oneof(
  fc.double({ min: 0.01, max: 1, noNaN: true }).map((share) => ({ share })),
  amounts.map((ml) => ({ ml })),
);
const bare = { pass: null, line: null, purpose: null };

/** Every kind of act, the likely ones more often. */
const acts: fc.Arbitrary<Act> = fc
  .oneof(
    { weight: 2, arbitrary: fc.tuple(vesselIds, amounts).map(([id, ml]) => run(id, ml)) },
    {
      weight: 3,
      arbitrary: fc.tuple(ends, dyes, amounts).map(([end, dye, ml]) => stock(end, dye, ml, 1, 1.1)),
    },
    { weight: 2, arbitrary: fc.tuple(ends, dyes, amounts).map(([end, dye, g]) => powder(end, dye, g / 100)) },
    {
      weight: 2,
      arbitrary: fc
        .tuple(ends, fc.constantFrom('vinegar', 'citric', 'citric solution'), amounts)
        .map(([end, name, g]) => acid(end, name, g / 10)),
    },
    {
      weight: 1,
      arbitrary: fc.tuple(fc.oneof(places, fc.constant('ice')), amounts).map(([end, g]) => ice(end, g)),
    },
    {
      weight: 3,
      arbitrary: fc
        .tuple(ends, fc.oneof(ends, fc.constant(null)), much)
        .map(([from, to, how]) => move(from, to, how)),
    },
    {
      weight: 4,
      arbitrary: fc
        .tuple(
          vesselIds,
          lines,
          fc.oneof(
            spans.map(([axis, from, to]) => stretch(axis, from, to)),
            fc.constant(null),
            fc.constant('none' as const),
          ),
        )
        .map(([id, names, reach]) => place(id, names, reach)),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.option(fc.double({ min: 0, max: 3, noNaN: true })), lines)
        .map(([keeps, names]) => lift(keeps, names)),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(
          fc.constantFrom('a', 'b'),
          fc.constantFrom({ count: 1 }, { grams: 20 }),
          fc.integer({ min: 0, max: 99_999 }),
        )
        .map(([from, how, n]) => split(from, how, `${from}.${n}`)),
    },
    {
      weight: 1,
      arbitrary: lines.map((names): Act => ({
        kind: 'handle',
        ...bare,
        goods: names,
        what: 're-tie',
        lies: { kind: 'knotted', count: 2 },
      })),
    },
    {
      weight: 1,
      arbitrary: fc.tuple(vesselIds, minutes).map(([id, m]): Act => ({
        kind: 'heat',
        ...bare,
        vessel: id,
        toC: 85,
        rampCPerMin: 1.5,
        minutes: m,
      })),
    },
    { weight: 3, arbitrary: fc.tuple(vesselIds, minutes, leaves).map(([id, m, left]) => hold(id, m, left)) },
    {
      weight: 2,
      arbitrary: fc
        .tuple(fc.oneof(vesselIds, fc.constant('ice')), minutes, leaves)
        .map(([id, m, left]) => stand(id, m, left)),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(vesselIds, minutes)
        .map(([id, m]): Act => ({ kind: 'cool', ...bare, vessel: id, toC: 40, minutes: m })),
    },
    {
      weight: 1,
      arbitrary: vesselIds.map((id): Act => ({
        kind: 'look',
        ...bare,
        of: 'bath',
        vessel: id,
        answer: 'tinted',
        reading: { ph: 4, celsius: 60, levelMl: null },
      })),
    },
    {
      weight: 1,
      arbitrary: lines.map((names): Act => ({ kind: 'rinse', ...bare, goods: names, soap: false })),
    },
    { weight: 1, arbitrary: lines.map((names): Act => ({ kind: 'wring', ...bare, goods: names })) },
    { weight: 1, arbitrary: lines.map((names): Act => ({ kind: 'dry', ...bare, goods: names })) },
  )
  .chain((act) => pass.map((id) => ({ ...act, pass: id })));

const lists = fc.array(acts, { minLength: 20, maxLength: 60 });

function expectClose(found: Record<string, number>, due: Record<string, number>, after: () => string): void {
  for (const what of new Set([...Object.keys(found), ...Object.keys(due)])) {
    const [is, should] = [found[what] ?? 0, due[what] ?? 0];
    if (!(Math.abs(is - should) <= 1e-9 * Math.max(1, Math.abs(should))))
      throw new Error(`After ${after()} there are ${is} of ${what}, not ${should}.`);
  }
}

test('dye, each acid, alkalinity, water and goods are conserved by every act of random lists', () => {
  const counts = new Map<string, { done: number; of: number }>();
  fc.assert(
    fc.property(lists, (random) => {
      let state = start;
      const due: Record<string, number> = {};
      for (const listedAct of listed([...SCENE, ...random])) {
        const { act } = listedAct;
        const before = frozen(state);
        const { state: after, impossible } = apply(before, listedAct);
        const count = counts.get(act.kind) ?? { done: 0, of: 0 };
        counts.set(act.kind, { done: count.done + (impossible === null ? 1 : 0), of: count.of + 1 });
        if (impossible !== null) {
          expect(after).toBe(before);
          continue;
        }
        for (const [what, amount] of Object.entries(comesIn(act, before, ALKALINITY)))
          due[what] = (due[what] ?? 0) + amount;
        expectClose(totals(after), due, () => JSON.stringify(act));
        for (const { liquid } of after.vessels.values()) expect(liquid.ml).toBeGreaterThanOrEqual(0);
        state = after;
      }
      // Looking at the depths as if all were over moves dye and loses none.
      expectClose(totals(allGiven(frozen(state))), due, () => 'the end');
    }),
    { numRuns: 200 },
  );
  // eslint-disable-next-line no-console -- how often each kind was done is part of what this test shows
  console.log([...counts].map(([kind, { done, of }]) => `${kind} ${done} of ${of}`).join(', '));
  const all = [...counts.values()];
  const applied = all.reduce((sum, { done }) => sum + done, 0) / all.reduce((sum, { of }) => sum + of, 0);
  expect(applied).toBeGreaterThan(0.5);
  // Every kind is done at times, so that none goes untried.
  expect([...counts].filter(([, { done }]) => done < 20)).toEqual([]);
  expect(counts.size).toBe(16);
});

test('a plan unfolded and folded again is the same to the byte', () => {
  /** As much as brings the pot to a level, whatever is in it. */
  const toTheMark =
    (ml: number): PlanStep =>
    (state): ListedAct[] => {
      const there = state.vessels.get('pot')?.liquid.ml ?? 0;
      return there >= ml ? [] : [{ id: `mark.${ml}`, act: run('pot', ml - there) }];
    };
  fc.assert(
    fc.property(lists, fc.array(fc.integer({ min: 1000, max: 9000 }), { maxLength: 5 }), (random, marks) => {
      const plain = listed([...SCENE, ...random]);
      const steps = marks.reduce<PlanStep[]>(
        (list, ml, i) => [...list.slice(0, 12 + 5 * i), toTheMark(ml), ...list.slice(12 + 5 * i)],
        plain,
      );
      const acts = unfold(start, steps);
      const said = (list: readonly ListedAct[]): string =>
        JSON.stringify(fold(start, list).state, (_, value: unknown) =>
          value instanceof Map ? [...(value as Map<unknown, unknown>)] : value,
        );
      expect(said(unfold(start, acts))).toBe(said(acts));
      expect(JSON.stringify(unfold(start, acts))).toBe(JSON.stringify(acts));
    }),
    { numRuns: 60 },
  );
});

test('a step that hangs on the state sees what is there when its turn comes', () => {
  const steps: PlanStep[] = [
    ...listed([vessel('pot'), run('pot', 2500)]),
    (state) => [{ id: 'top', act: run('pot', 4000 - (state.vessels.get('pot')?.liquid.ml ?? 0)) }],
  ];
  expect(unfold(start, steps).at(-1)).toMatchObject({ id: 'top', act: { kind: 'run', ml: 1500 } });
});
