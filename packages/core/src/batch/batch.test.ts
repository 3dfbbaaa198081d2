import fc from 'fast-check';
import { BLUE, depth, formulation, goodsLine, RED, recipe, SHELF } from '../../test/examples';
import { formulate } from '../recipe/materials';
import { planFormulation } from '../recipe/plan';
import { actualRecipe } from './actualRecipe';
import { admitEntry } from './admit';
import { batchState } from './batchState';
import { entrySchema, type Entry } from './entry';
import { summarizeBatch } from './summary';

const AT = '2026-03-01T10:00:00Z';
const made = (entry: Record<string, unknown>): Entry => entrySchema.parse({ at: AT, ...entry });
const plan = planFormulation(formulation());
const asPlanned = (of = plan): Entry[] =>
  of.steps.map((step) =>
    step.measure
      ? made({
          id: `e-${step.id}`,
          kind: 'poured',
          stepId: step.id,
          amount: step.measure.amount.value,
          unit: step.measure.unit,
        })
      : made({ id: `e-${step.id}`, kind: 'done', stepId: step.id }),
  );
const dosOf = (entries: Entry[], dyeId: string): number | undefined =>
  actualRecipe(formulation(), plan, entries, SHELF.dyes).dyes.find((dye) => dye.dyeId === dyeId)?.dos.value;

describe('from what was poured back to the recipe', () => {
  test('plan → poured as planned → recipe gives the same depths to 1e-9', () => {
    const percent = fc.double({ min: 0.001, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        percent,
        percent,
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 5, max: 250, noNaN: true }),
        fc.constantFrom('blue-1', 'blue-4', null),
        (blue, strong, count, gramsEach, jar) => {
          const first = recipe();
          const any = formulate(
            'x',
            {
              ...first,
              goods: [goodsLine({ id: 'g1', baseId: 'wool', count, gramsEach })],
              passes: [
                {
                  ...first.passes[0]!,
                  dyes: [depth('d1', 'blue', blue, jar), depth('d2', 'strong', strong, null)],
                },
              ],
            },
            SHELF,
          );
          const its = planFormulation(any);
          const back = actualRecipe(any, its, asPlanned(its), SHELF.dyes);
          expect(Math.abs(back.dyes[0]!.dos.value - blue)).toBeLessThan(1e-9);
          expect(Math.abs(back.dyes[1]!.dos.value - strong)).toBeLessThan(1e-9);
          expect(back.departures).toEqual([]);
          const again = planFormulation(formulate('x', back.recipe!, SHELF));
          expect(again.passes[0]!.bath.value / its.passes[0]!.bath.value).toBeCloseTo(1, 9);
          expect(again.passes[0]!.acids[0]!.amount.value / its.passes[0]!.acids[0]!.amount.value).toBeCloseTo(
            1,
            9,
          );
        },
      ),
    );
  });

  test('a pour that came out wrong and one nobody planned are both in the true recipe', () => {
    const entries = [
      made({ id: 'a', kind: 'poured', stepId: 'dye-d1', amount: 220, unit: 'mL' }),
      made({ id: 'b', kind: 'poured', stepId: 'dye-d2', amount: 50, unit: 'mL' }),
      made({
        id: 'c',
        kind: 'added',
        material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-4', strengthPercent: 4 },
        amount: 5,
        unit: 'mL',
      }),
      made({
        id: 'd',
        kind: 'added',
        material: { kind: 'dye', dyeId: 'strong', stockId: null, strengthPercent: null },
        amount: 0.1,
        unit: 'g',
      }),
    ];
    // By hand: blue 2.2 g + 0.2 g = 2.4 g on 200 g is 1.2 %; strong red 0.1 g × 1.25 lot strength on 200 g is 0.0625 %.
    expect(dosOf(entries, 'blue')).toBeCloseTo(1.2, 12);
    expect(dosOf(entries, 'red')).toBeCloseTo(0.25, 12);
    expect(dosOf(entries, 'strong')).toBeCloseTo(0.0625, 12);
    const { departures } = actualRecipe(formulation(), plan, entries, SHELF.dyes);
    expect(departures).toEqual([
      'Pour Vault Blue 1 %: 220 mL instead of 200 mL.',
      'Also added: 5 mL of Vault Blue.',
      'Also added: 0.1 g of Strong Red.',
    ]);
  });

  test('a line that was struck, or never ticked, did not go in', () => {
    const entries = [
      made({ id: 'a', kind: 'poured', stepId: 'dye-d1', amount: 200, unit: 'mL' }),
      made({ id: 's', kind: 'struck', entryId: 'a' }),
      made({ id: 'b', kind: 'poured', stepId: 'dye-d1', amount: 150, unit: 'mL' }),
    ];
    expect(dosOf(entries, 'blue')).toBeCloseTo(0.75, 12);
    expect(dosOf(entries, 'red')).toBeUndefined();
    expect(actualRecipe(formulation(), plan, entries, SHELF.dyes).departures.join()).toMatch(
      /Bell Red 1 %: not ticked/,
    );
    expect(actualRecipe(formulation(), plan, [], SHELF.dyes).recipe).toBeNull();
  });

  test('acid of two kinds is added up by equal equivalents and called an estimate', () => {
    const entries = [
      ...asPlanned(),
      made({
        id: 'x',
        kind: 'added',
        material: { kind: 'acid', material: 'citric', strengthPercent: 100 },
        amount: 1,
        unit: 'g',
      }),
    ];
    const { acidPure } = actualRecipe(formulation(), plan, entries, SHELF.dyes);
    expect(acidPure!.material).toBe('vinegar');
    expect(acidPure!.grams.sureness).toBe('estimate');
    // 1 g citric is 3 / 192.124 mol of protons, as many as 0.9377 g of acetic acid.
    expect(acidPure!.grams.value).toBeCloseTo(6 + (3 / 192.124) * 60.052, 6);
  });

  test('the order of additions does not matter', () => {
    const amounts = fc.array(fc.double({ min: 0.1, max: 50, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(amounts, (milliliters) => {
        const entries = milliliters.map((amount, i) =>
          made({
            id: `x${i}`,
            kind: 'added',
            material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1 },
            amount,
            unit: 'mL',
          }),
        );
        expect(dosOf(entries, 'blue')).toBeCloseTo(dosOf(entries.toReversed(), 'blue')!, 9);
      }),
    );
  });
});

describe('where a batch stands', () => {
  const state = (entries: Entry[]): ReturnType<typeof batchState> =>
    batchState(plan, SHELF.dyes, entries, AT);
  test('it begins at the first step, with nothing in the pot', () => {
    expect(state([]).current!.step.kind).toBe('wet');
    expect(state([]).bath.volumeMl).toBe(0);
    expect(state([]).since).toBe(AT);
  });
  test('a wait that runs is due its minutes after it began', () => {
    expect(state([made({ id: 'w', kind: 'begun', stepId: 'wet' })]).dueAt).toBe('2026-03-01T10:30:00.000Z');
    expect(
      state([made({ id: 'w', kind: 'begun', stepId: 'wet' }), made({ id: 'v', kind: 'done', stepId: 'wet' })])
        .dueAt,
    ).toBeNull();
  });
  test('the bath fills and takes color as it is poured', () => {
    const water = state(asPlanned().slice(0, 2));
    const dyed = state(asPlanned().slice(0, 4));
    expect(water.bath.volumeMl).toBeCloseTo(5630, 6);
    expect(dyed.bath.volumeMl).toBeCloseTo(5880, 6);
    expect(dyed.bath.hex).not.toBe(water.bath.hex);
  });
  test('when all is done nothing is current, and a verdict closes it', () => {
    expect(state(asPlanned()).current).toBeNull();
    const closed = [...asPlanned(), made({ id: 'z', kind: 'closed', outcome: 'usable', standing: 'trial' })];
    expect(state(closed).closed).toMatchObject({ outcome: 'usable', standing: 'trial' });
  });
});

describe('what may join a record', () => {
  const admit =
    (entry: Record<string, unknown>, earlier: Entry[] = []): (() => void) =>
    () =>
      admitEntry(made({ id: 'new', ...entry }), plan, SHELF.dyes, earlier);
  const poured = made({ id: 'a', kind: 'poured', stepId: 'dye-d1', amount: 200, unit: 'mL' });
  const closed = made({ id: 'c', kind: 'closed', outcome: 'as wanted', standing: 'regular' });
  test.each<[string, Record<string, unknown>, Entry[], string]>([
    ['an unknown step', { kind: 'done', stepId: 'ghost' }, [], 'stepId'],
    [
      'a second pour of one line',
      { kind: 'poured', stepId: 'dye-d1', amount: 1, unit: 'mL' },
      [poured],
      'stepId',
    ],
    ['grams for a volume', { kind: 'poured', stepId: 'dye-d1', amount: 1, unit: 'g' }, [], 'unit'],
    ['a pour without amount', { kind: 'done', stepId: 'dye-d1' }, [], 'amount'],
    ['a wait that is none', { kind: 'begun', stepId: 'water' }, [], 'stepId'],
    [
      'an amount where there is none',
      { kind: 'poured', stepId: 'goods', amount: 1, unit: 'mL' },
      [],
      'stepId',
    ],
    ['taking back what is not there', { kind: 'struck', entryId: 'ghost' }, [], 'entryId'],
    [
      'taking back twice',
      { kind: 'struck', entryId: 'a' },
      [poured, made({ id: 's', kind: 'struck', entryId: 'a' })],
      'entryId',
    ],
    [
      'taking back a taking-back',
      { kind: 'struck', entryId: 's' },
      [poured, made({ id: 's', kind: 'struck', entryId: 'a' })],
      'entryId',
    ],
    ['a pour after the close', { kind: 'poured', stepId: 'dye-d2', amount: 1, unit: 'mL' }, [closed], 'kind'],
    ['rewriting a pour after the close', { kind: 'struck', entryId: 'a' }, [poured, closed], 'entryId'],
    [
      'an unknown dye',
      {
        kind: 'added',
        material: { kind: 'dye', dyeId: 'ghost', stockId: null, strengthPercent: null },
        amount: 1,
        unit: 'g',
      },
      [],
      'material.dyeId',
    ],
    [
      'stock of no strength',
      {
        kind: 'added',
        material: { kind: 'dye', dyeId: 'blue', stockId: null, strengthPercent: null },
        amount: 1,
        unit: 'mL',
      },
      [],
      'material.strengthPercent',
    ],
    ['grams of water', { kind: 'added', material: { kind: 'water' }, amount: 1, unit: 'g' }, [], 'unit'],
    [
      'mL of crystals',
      {
        kind: 'added',
        material: { kind: 'acid', material: 'citric', strengthPercent: 100 },
        amount: 1,
        unit: 'mL',
      },
      [],
      'unit',
    ],
  ])('not %s', (_, entry, earlier, field) =>
    expect(admit(entry, earlier)).toThrow(expect.objectContaining({ field })),
  );
  test('a struck line may be poured again, and a closed batch still takes notes', () => {
    expect(
      admit({ kind: 'poured', stepId: 'dye-d1', amount: 1, unit: 'mL' }, [
        poured,
        made({ id: 's', kind: 'struck', entryId: 'a' }),
      ]),
    ).not.toThrow();
    expect(admit({ kind: 'noted', text: 'Dry now, a shade deeper than the card.' }, [closed])).not.toThrow();
  });
});

test('the summary tells what really went in', () => {
  const batch = {
    id: 'b',
    code: '26-001',
    name: 'Vesper bell',
    colorwayId: null,
    colorwayVersion: null,
    againOf: null,
    startedAt: AT,
    formulation: formulation(),
  };
  const planned = summarizeBatch(batch, [], SHELF.dyes);
  const stronger = summarizeBatch(
    batch,
    [made({ id: 'a', kind: 'poured', stepId: 'dye-d1', amount: 400, unit: 'mL' })],
    SHELF.dyes,
  );
  expect(planned).toMatchObject({
    wogGrams: 200,
    dosPercent: 1.25,
    bases: '2 × Sexton worsted',
    dyes: `${BLUE.name}, ${RED.name}`,
    outcome: null,
  });
  expect(stronger.dosPercent).toBeCloseTo(2, 12);
  expect(stronger.hex).not.toBe(planned.hex);
});
