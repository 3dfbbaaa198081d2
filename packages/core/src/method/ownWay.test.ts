import { depth, SHELF } from '../../test/examples';
import { begunBatch } from '../../test/records';
import { cardLines } from '../record/cardLines';
import { planFormulation } from '../plan/plan';
import type { Plan } from '../plan/planTypes';
import { formulate } from '../recipe/materials';
import { recipeSchema, type Recipe } from '../recipe/recipe';
import { lineWords } from '../words/lineWords';
import { noticeWords } from '../words/noticeWords';
import { OWN_STEP_USUAL } from './ownWay';
import { passMethodSchema } from './settings';
import type { OwnStep } from './ownStep';

/** 200 g at 1 % from a stock of 1 %, in 6 L with 120 mL of vinegar: 5680 mL of water. */
function recipeOf(steps: readonly OwnStep[]): Recipe {
  return recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: { kind: 'own way', steps },
        dyes: [depth('d1', 'blue', 1, 'blue-1')],
        water: { basis: 'ratio', value: 30 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
      },
    ],
    set: { method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60 },
  });
}
const planOf = (steps: readonly OwnStep[]): Plan => planFormulation(formulate('Own', recipeOf(steps), SHELF));

const STEPS: OwnStep[] = [
  { do: 'water', sharePercent: 75 },
  { do: 'acid', acidId: 'acid1' },
  { do: 'dye', lineId: null },
  { do: 'goods in', sharePercent: 40 },
  { do: 'heat', temperatureC: 70 },
  { do: 'hold', minutes: 10, untilClear: false },
  { do: 'lift' },
  { do: 'water', sharePercent: 25 },
  { do: 're-tie' },
  { do: 'goods in', sharePercent: 100 },
  { do: 'turn' },
  { do: 'acid', acidId: 'acid1' },
  { do: 'dye', lineId: 'd1' },
  { do: 'stand', minutes: 15, untilClear: false },
];

test('an own way is done step by step: 5680 mL by 75 and 25 %, acid and dye in halves, 40 % of the length first', () => {
  const lines = planOf(STEPS).lines.filter(({ act }) => act.pass === 'p1' && act.purpose !== 'soak');
  const [reach] = lines.flatMap(({ act }) => (act.kind === 'place' ? [act.reach] : []));
  expect(reach).toEqual({ axis: 'along', from: 0, to: 0.4 });
  expect(
    lines
      .filter(({ quiet }) => !quiet)
      .map(({ act, hands }) => {
        const much =
          act.kind === 'run' ? act.ml : act.kind === 'put' ? act.amount : 'minutes' in act ? act.minutes : '';
        return `${act.kind} ${much} hands ${hands}`.replace('  ', ' ');
      }),
  ).toEqual([
    'run 4260 hands 3',
    'put 60 hands 2',
    'put 100 hands 2',
    'place hands 5',
    // 50 °C at 1.5 °C a minute.
    expect.stringMatching(/^heat 33\.3\d* hands 3$/),
    'hold 10 hands 2',
    'lift hands 3',
    'run 1420 hands 3',
    'handle hands 6',
    'place hands 5',
    'handle hands 2',
    'put 60 hands 2',
    'put 100 hands 2',
    'stand 15 hands 1',
  ]);
});

test('a hold stays as hot as it was last heated, and every step has its place in its name', () => {
  const { lines } = planOf(STEPS);
  const hold = lines.find(({ act }) => act.kind === 'hold' && act.pass === 'p1')!;
  expect(hold).toMatchObject({ id: 'p1.hold.6', act: { atC: 70, minutes: 10, untilClear: false } });
  expect(lines.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['p1.run.1', 'p1.heat.5', 'p1.lift.7', 'p1.run.8', 'p1.handle.re-tie.9']),
  );
});

test('a dye or an acid without a step, and goods that never go in, are said', () => {
  const said = planOf([{ do: 'water', sharePercent: 100 }])
    .notices.map(noticeWords)
    .join('\n');
  expect(said).toMatch(/Vault Blue/);
  expect(said).toMatch(/vinegar/);
  expect(said).toMatch(/goods/);
  const all = planOf(STEPS).notices.map(noticeWords).join('\n');
  expect(all).not.toMatch(/step/);
});

test('it says how much of the length hangs in', () => {
  const batch = begunBatch(formulate('Own', recipeOf(STEPS), SHELF));
  const places = cardLines(batch.card).filter(
    ({ act }) => act.kind === 'place' && act.pass === 'p1' && act.purpose !== 'soak',
  );
  expect(places.map((line) => lineWords(line, { batch, dyes: SHELF.dyes }).title)).toEqual([
    'Hang the goods in, 40 % of the length',
    'Lift the goods in',
  ]);
});

test('what a step starts from (common practice, no source)', () =>
  expect(OWN_STEP_USUAL).toMatchObject({
    water: { sharePercent: 100 },
    'goods in': { sharePercent: 100 },
    heat: { temperatureC: 82 },
    hold: { minutes: 20, untilClear: true },
    stand: { minutes: 10, untilClear: false },
  }));

test('sixty steps are an own way, sixty-one are refused', () => {
  const turns = (count: number) => ({
    kind: 'own way',
    steps: Array.from({ length: count }, () => ({ do: 'turn' })),
  });
  expect(passMethodSchema.safeParse(turns(60)).success).toBe(true);
  expect(passMethodSchema.safeParse(turns(61)).error?.issues[0]?.message).toBe(
    'An own way can have at most 60 steps.',
  );
});
