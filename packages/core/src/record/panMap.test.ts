import { formulate } from '../recipe/materials';
import { goodsLine, POT, recipe, SHELF } from '../../test/examples';
import { said, then } from '../../test/atThePot';
import { begunBatch, event } from '../../test/records';
import { refusal } from '../../test/refusal';
import { admitEvent } from './admitEvent';
import { begunFromSchema } from './batch';
import { summarizeBatch } from './summary';
import { ordersOf, type BegunLoad } from './load';
import { laidOn, mapOf, outcomesOf, shownOf, tellsPieces, type PanMap } from './panMap';

const batch = begunBatch(
  formulate(
    'Minis',
    recipe({
      goods: [
        goodsLine({ id: 'brown', baseId: 'wool', count: 10, gramsEach: 20 }),
        goodsLine({ id: 'white', baseId: 'sock', count: 5, gramsEach: 20 }),
      ],
    }),
    SHELF,
    POT,
  ),
);
/** Five columns, three rows: the white ones in front. */
const MAP: PanMap = {
  columns: 5,
  rows: 3,
  cells: Array.from({ length: 15 }, (_, i) => ({
    column: 1 + (i % 5),
    row: 1 + Math.floor(i / 5),
    goods: i < 10 ? 'brown' : 'white',
  })),
};
const mapped = then(batch, event({ kind: 'mapped', ...MAP }));

test('ten brown and five white minis lie where they were tapped; the last map counts, one taken back does not', () => {
  expect(mapOf(batch)).toBeNull();
  expect(mapOf(mapped)).toMatchObject(MAP);
  expect(said(mapped)).toBe('Laid out: 10 × Sexton worsted, 5 × Ratchet sock');
  const moved = laidOn(laidOn(MAP, { column: 1, row: 1 }, null), { column: 5, row: 3 }, 'brown');
  expect([shownOf(moved, 'brown'), shownOf(moved, 'white')]).toEqual([10, 4]);
  const back = then(mapped, event({ kind: 'struck', event: mapped.events[0]!.id, why: '' }));
  expect(mapOf(back)).toBeNull();
});

test('more pieces than there are, a place outside, two on one place: each says what would be right', () => {
  const admit = (map: PanMap) =>
    refusal(() => admitEvent(event({ kind: 'mapped', ...map }), batch.card, () => undefined));
  const six = { ...MAP, cells: [...MAP.cells.slice(5), { column: 1, row: 1, goods: 'white' }] };
  expect(admit(six)).toBe('The map shows 6 of Ratchet sock, and there are 5. Take 1 off it.');
  expect(admit({ ...MAP, cells: [{ column: 6, row: 1, goods: 'brown' }] })).toBe(
    'The map has 5 × 3 places; this one lies outside of it.',
  );
  const twice = { column: 2, row: 2, goods: 'brown' };
  expect(admit({ ...MAP, cells: [twice, twice] })).toMatch(/^Two pieces lie on one place/);
  expect(admit({ ...MAP, cells: [{ ...twice, goods: 'gray' }] })).toMatch(/not in this batch/);
});

test('each line says how it came out, and those of its pieces that came out by themselves', () => {
  const came = (goods: string, outcome: string, note = '', cell: object | null = null) =>
    event({ kind: 'came out', goods, outcome, note, cell });
  const judged = then(
    mapped,
    came('brown', 'usable'),
    came('brown', 'as wanted', 'deeper than the white'),
    came('white', 'as wanted'),
    came('white', 'not right', 'pale at the wall', { column: 5, row: 3 }),
  );
  expect(said(judged)).toBe('Ratchet sock, row 3, place 5: not right. pale at the wall');
  expect(outcomesOf(judged)).toEqual([
    {
      goods: 'brown',
      name: 'Sexton worsted',
      count: 10,
      whole: { outcome: 'as wanted', note: 'deeper than the white' },
      pieces: [],
    },
    {
      goods: 'white',
      name: 'Ratchet sock',
      count: 5,
      whole: { outcome: 'as wanted', note: '' },
      pieces: [{ cell: { column: 5, row: 3 }, outcome: 'not right', note: 'pale at the wall' }],
    },
  ]);
  expect(refusal(() => admitEvent(came('gray', 'usable'), batch.card, () => undefined))).toMatch(
    /not in this batch/,
  );
});

test('pieces are told where they can differ', () => {
  const one = begunBatch(
    formulate(
      'One',
      recipe({ goods: [goodsLine({ id: 'g', baseId: 'wool', count: 3, gramsEach: 50 })] }),
      SHELF,
      POT,
    ),
  );
  expect([tellsPieces(one), tellsPieces(batch)]).toEqual([false, true]);
  expect(
    tellsPieces(then(one, event({ kind: 'came out', goods: 'g', cell: null, outcome: 'usable', note: '' }))),
  ).toBe(true);
});

test('an order knows what is left of it; a load that was dropped leaves its pieces', () => {
  const load = (n: number, count: number, more: Partial<BegunLoad> = {}): BegunLoad => ({
    order: 'o',
    name: 'Friday',
    pieces: 66,
    count,
    load: n,
    batch: `b${n}`,
    code: `26-00${n}`,
    colorwayId: 'c',
    closedAt: null,
    outcome: null,
    standing: null,
    ...more,
  });
  const [order] = ordersOf([load(2, 4), load(1, 4), load(3, 3, { standing: 'dropped' })], 'dropped');
  expect([order?.left, order?.loads.map((one) => one.load)]).toEqual([58, [1, 2, 3]]);
  expect(order?.lines).toEqual([{ baseId: null, pieces: 66, left: 58 }]);
  // On several bases, each has pieces of its own to come.
  const lines = [
    { baseId: 'wool', pieces: 26 },
    { baseId: 'sock', pieces: 40 },
  ];
  const on = (here: string): Partial<BegunLoad> => ({ bases: { here, lines } });
  const [several] = ordersOf(
    [load(1, 10, on('wool')), load(2, 5, on('sock')), load(3, 10, { ...on('wool'), standing: 'dropped' })],
    'dropped',
  );
  expect([several?.left, several?.lines]).toEqual([
    51,
    [
      { baseId: 'wool', pieces: 26, left: 16 },
      { baseId: 'sock', pieces: 40, left: 35 },
    ],
  ]);
});

test('a record from before a way had more to decide is read, and drawn, with what was usual then', () => {
  const old = {
    kind: 'low immersion',
    pan: { shape: 'round', diameterCm: 30 },
    wallCm: 10,
    depthCm: 4,
    turns: 1,
  };
  const { recipe: was } = batch.formulation;
  const formulation = begunFromSchema.parse({
    ...batch.formulation,
    recipe: {
      ...was,
      passes: was.passes.map((pass) => ({ ...pass, method: old, topUpWithAcid: undefined })),
    },
  });
  expect(formulation.recipe.passes[0]).toMatchObject({
    method: { ...old, sections: [], backPercent: 0, liquidMl: null },
    topUpWithAcid: true,
  });
  expect(summarizeBatch({ ...batch, formulation }, SHELF.dyes).look.coats).toHaveLength(1);
});
