import type * as Pour from '../process/pour';
import { POT, recipe, SHELF, SYRINGE_AND_CYLINDER } from '../../test/examples';
import { linesOf } from '../../test/plans';
import { asPlanned, begunBatch, withEvents } from '../../test/records';
import { actualRecipe } from '../record/actualRecipe';
import { formulate } from '../recipe/materials';
import { runSheet } from '../words/runSheet';
import { cardOf } from '../record/cardOf';
import { planFormulation } from './plan';

// With `isPlanted` a wrong constant stands in the one place that says what running water does.
jest.mock('../process/pour', () => {
  const real = jest.requireActual<typeof Pour>('../process/pour');
  return {
    ...real,
    run: (...[state, act]: Parameters<typeof real.run>) =>
      real.run(state, {
        ...act,
        ml: (globalThis as { isPlanted?: boolean }).isPlanted && act.ml !== null ? 1.1 * act.ml : act.ml,
      }),
  };
});

/** What a plan of one hot pass says in its row, its totals, its card and its run sheet. */
function said() {
  const formulation = formulate(
    'x',
    recipe({
      passes: [{ ...recipe().passes[0]!, heat: { temperatureC: 82, minutes: 20, rampCPerMin: 20 } }],
    }),
    SHELF,
    POT,
  );
  const plan = planFormulation(formulation);
  const [pass] = plan.passes;
  const rise = cardOf(formulation, plan).acts.find(({ id }) => id === 'p1.heat')!.act;
  const sheet = runSheet(formulation, plan);
  return {
    row: {
      bath: pass!.bath.value,
      water: pass!.water.value,
      rise: pass!.heat!.rise.value,
      pH: pass!.acids[0]!.pH.value,
    },
    totals: { water: plan.totals.water.value, onHeat: plan.totals.onHeat.value },
    card: { rise: rise.kind === 'heat' ? rise.minutes : null, lines: linesOf(plan).length },
    sheet: {
      summary: sheet.summary,
      rise: sheet.parts[0]!.lines.find(({ what }) => what.startsWith('Heat slowly'))!.amount,
    },
  };
}

test('one wrong constant in what an act does shows in row, total, card and run sheet alike', () => {
  const right = said();
  (globalThis as { isPlanted?: boolean }).isPlanted = true;
  const wrong = said();
  // 5630 mL of water are run; a tenth more is 6193, and a bath of 6563 mL.
  expect([right.row.bath, right.row.water, right.totals.water]).toEqual(
    [6000, 5630, 5630].map((ml) => expect.closeTo(ml, 6)),
  );
  expect([wrong.row.bath, wrong.row.water, wrong.totals.water]).toEqual(
    [6563, 6193, 6193].map((ml) => expect.closeTo(ml, 6)),
  );
  // More water takes longer on the same ring: in the row, on the card, on the sheet, and in the time on heat.
  const longer = wrong.row.rise - right.row.rise;
  expect(longer).toBeGreaterThan(1);
  expect(wrong.card.rise! - right.card.rise!).toBeCloseTo(longer, 9);
  expect(wrong.totals.onHeat - right.totals.onHeat).toBeGreaterThan(longer);
  expect(wrong.sheet.rise).not.toBe(right.sheet.rise);
  expect(wrong.sheet.summary).not.toBe(right.sheet.summary);
  expect(wrong.row.pH).toBeGreaterThan(right.row.pH);
});

test('and in the record: a working dilution with a tenth more water in it holds less dye', () => {
  (globalThis as { isPlanted?: boolean }).isPlanted = false;
  const [pass] = recipe().passes;
  const [blue] = pass!.dyes;
  const batch = begunBatch(
    formulate(
      'x',
      recipe({
        passes: [{ ...pass!, dyes: [{ ...blue!, entry: { school: 'depth', percent: 0.004 } }] }],
      }),
      { ...SHELF, tools: SYRINGE_AND_CYLINDER },
    ),
  );
  const water = batch.card.acts.find(({ act }) => act.kind === 'run' && act.purpose === 'dilution')?.act;
  const stock = batch.card.acts.find(({ act }) => act.kind === 'put' && act.purpose === 'dilution')?.act;
  if (water?.kind !== 'run' || stock?.kind !== 'put') throw new Error('no dilution on the card');
  const dyed = withEvents(batch, asPlanned(batch));
  const right = actualRecipe(dyed, SHELF.dyes).dyes[0]!.dos.value;
  (globalThis as { isPlanted?: boolean }).isPlanted = true;
  // A record of its own: the one folded last is kept.
  const wrong = actualRecipe({ ...dyed }, SHELF.dyes).dyes[0]!.dos.value;
  (globalThis as { isPlanted?: boolean }).isPlanted = false;
  expect(right).toBeCloseTo(0.004, 3);
  const [ml, took] = [water.ml ?? 0, stock.amount ?? 0];
  expect(wrong / right).toBeCloseTo((ml + took) / (1.1 * ml + took), 9);
  expect(wrong / right).toBeLessThan(0.99);
});
