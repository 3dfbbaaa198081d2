import fc from 'fast-check';
import { depth, SHELF } from '../../../test/examples';
import { also, asPlanned, begunBatch, measuredPh, tick, withEvents } from '../../../test/records';
import { formulate } from '../../recipe/materials';
import { METHOD_KINDS, METHODS, sectionsOf } from '../../method';
import { entryAmount } from '../../recipe/dyeEntry';
import { planFormulation } from '../../plan/plan';
import { recipeSchema, type Formulation } from '../../recipe/recipe';
import { toolSchema } from '../../shelf/tool';
import { departures } from '../../words/departures';
import { actualRecipe } from '../actualRecipe';
import type { Batch } from '../batch';
import { phAdvice, bathPhNow, usualAcidFor } from '../phAdvice';
import { recordState } from '../recordState';
import { summarizeBatch } from '../summary';

const formulationOf = (
  kinds: readonly (keyof typeof METHODS)[],
  percent: number,
  tools = false,
): Formulation => {
  const recipe = recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: kinds
      .map((kind, i) => ({
        id: `p${i}`,
        method: METHODS[kind].usual,
        dyes: [
          depth(
            `a${i}`,
            'blue',
            percent,
            METHODS[kind].dry ? null : 'blue-1',
            sectionsOf(METHODS[kind].usual)[0]?.id ?? null,
          ),
          depth(
            `b${i}`,
            'red',
            percent / 3,
            METHODS[kind].dry ? null : 'red-1',
            sectionsOf(METHODS[kind].usual)[1]?.id ?? null,
          ),
        ],
        water: { basis: i > 0 && METHODS[kind].liquid === 'water' ? 'kept' : 'ratio', value: 30 },
        acids: [{ material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'start' }],
      }))
      .map((pass) => (pass.water.basis === 'kept' ? { ...pass, water: { basis: 'kept' } } : pass)),
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 120 },
  });
  const marks = toolSchema.parse({ id: 't', name: 'syringe', capacity: 60, graduation: 1 });
  return formulate('x', recipe, { ...SHELF, tools: tools ? [marks] : [] });
};

/** A batch of it with every line ticked as the card says. */
function dyedAsPlanned(formulation: Formulation): Batch {
  const batch = begunBatch(formulation);
  return withEvents(batch, asPlanned(batch));
}

test('every way, alone and after another: plan → poured as planned → recipe gives the same depths to 1e-9', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...METHOD_KINDS), { minLength: 1, maxLength: 4 }),
      fc.double({ min: 0.01, max: 0.9, noNaN: true }),
      (kinds, percent) => {
        const formulation = formulationOf(kinds, percent);
        const plan = planFormulation(formulation);
        const dyed = dyedAsPlanned(formulation);
        const back = actualRecipe(dyed, SHELF.dyes);
        expect(departures(dyed, SHELF.dyes)).toEqual([]);
        expect(back.version!.recipe.passes).toHaveLength(kinds.length);
        back.version!.recipe.passes.forEach((pass) => {
          expect(Math.abs(entryAmount(pass.dyes[0]!.entry) - percent)).toBeLessThan(1e-9);
          expect(Math.abs(entryAmount(pass.dyes[1]!.entry) - percent / 3)).toBeLessThan(1e-9);
        });
        // And it can be dyed again: the same grams of every dye.
        const again = planFormulation(formulate('x', back.version!.recipe, SHELF));
        expect(again.totals.dye.value / plan.totals.dye.value).toBeCloseTo(1, 9);
      },
    ),
    { numRuns: 120 },
  );
});

describe('measured with tools', () => {
  test('what is read on the tool is what the record says went in', () => {
    const formulation = formulationOf(['immersion'], 0.123, true);
    const plan = planFormulation(formulation);
    const { measured } = plan.passes[0]!.pours[0]!;
    expect(measured!.reading.value).toBe(25);
    const back = actualRecipe(dyedAsPlanned(formulation), SHELF.dyes);
    expect(back.dyes.find((dye) => dye.dyeId === 'blue')!.dos.value).toBeCloseTo(measured!.realDos.value, 12);
  });
  test('a working dilution leaves the jar once, and counts in the pot at its own strength', () => {
    const formulation = {
      ...formulationOf(['immersion'], 0.005),
      tools: [
        toolSchema.parse({ id: 's', name: '10 mL syringe', capacity: 10, graduation: 0.2 }),
        toolSchema.parse({ id: 'c', name: 'cylinder', kind: 'cylinder', capacity: 100, graduation: 1 }),
      ],
    };
    const plan = planFormulation(formulation);
    const { dilution } = plan.passes[0]!.pours[0]!;
    expect(dilution!.ratio).toBe(5);
    const dyed = dyedAsPlanned(formulation);
    const lines = dyed.card.acts.filter(({ act }) => act.line === 'a0').map(({ id }) => id);
    expect(lines).toEqual(['p0.put.dilution.a0', 'p0.run.dilution.a0', 'p0.dye.a0']);
    const state = recordState(dyed, dyed.events, SHELF.dyes);
    expect(state.bath.volumeMl).toBeCloseTo(6000, -2);
    const back = actualRecipe(dyed, SHELF.dyes);
    expect(back.dyes.find((dye) => dye.dyeId === 'blue')!.dos.value).toBeCloseTo(dilution!.realDos.value, 12);
    expect(back.dyes.find((dye) => dye.dyeId === 'blue')!.additions).toBe(1);
  });
});

test('what nobody planned belongs to the pass its event names', () => {
  const batch = begunBatch(formulationOf(['immersion', 'immersion'], 0.5));
  const addedIn = (pass: string): number => {
    const extra = also(
      batch,
      {
        material: { kind: 'dye', dyeId: 'strong', stockId: null, strengthPercent: null, lotStrength: 1.25 },
        amount: 0.4,
        unit: 'g',
      },
      pass,
    );
    // Whenever it came in: a late word about an earlier pass stays with that pass.
    const { version } = actualRecipe(withEvents(batch, [...asPlanned(batch), extra]), SHELF.dyes);
    return version!.recipe.passes.findIndex((pass) => pass.dyes.some((line) => line.dyeId === 'strong'));
  };
  expect(addedIn('p0')).toBe(0);
  expect(addedIn('p1')).toBe(1);
});

test('a pass that got no dye is left out, and the one after it gets a bath of its own', () => {
  const batch = begunBatch(formulationOf(['immersion', 'immersion'], 0.5));
  const events = asPlanned(batch).filter(
    (event) => event.kind !== 'act' || !['p0.dye.a0', 'p0.dye.b0'].includes(event.planned ?? ''),
  );
  const dyed = withEvents(batch, events);
  const back = actualRecipe(dyed, SHELF.dyes);
  expect(back.version!.recipe.passes.map((pass) => pass.id)).toEqual(['p1']);
  expect(back.version!.recipe.passes[0]!.water.basis).not.toBe('kept');
  expect(departures(dyed, SHELF.dyes)).toHaveLength(2);
});

test('an absurd over-pour is recorded and still drawn', () => {
  const batch = begunBatch(formulationOf(['immersion'], 0.5));
  const summary = summarizeBatch(withEvents(batch, [tick(batch, 'p0.dye.a0', { amount: 9000 })]), SHELF.dyes);
  expect(summary.dosPercent).toBeCloseTo(45, 6);
  expect(summary.hex).toMatch(/^#[0-9a-f]{6}$/);
});

describe('a measured pH', () => {
  const formulation = formulationOf(['immersion'], 0.5);
  const plan = planFormulation(formulation);
  const dyed = dyedAsPlanned(formulation);
  const adviceAt = (ph: number) => phAdvice(withEvents(dyed, [...dyed.events, measuredPh(ph)]));
  test('nothing is advised before one is read', () => expect(phAdvice(dyed)).toBeNull());
  test('in the window it is left; below, no more acid', () => {
    expect(adviceAt(4.2)).toMatchObject({
      stands: 'in',
      correction: null,
    });
    expect(adviceAt(3)).toMatchObject({
      stands: 'below',
      correction: null,
    });
  });
  test('above it, the acid still due is reckoned from the measurement and brings the bath to the middle', () => {
    const advice = adviceAt(5.6)!;
    expect(advice.stands).toBe('above');
    expect(advice.correction!.wished).toBeCloseTo(4.25, 9);
    expect(advice.correction!.after.value).toBeCloseTo(4.25, 3);
    expect(advice.correction!.add.value).toBeGreaterThan(0.5);
    const higher = adviceAt(6.2)!;
    expect(higher.correction!.add.value).toBeGreaterThan(advice.correction!.add.value);
  });
  test('the bath as it stands follows the acid that really went in', () => {
    const without = dyed.events.filter((event) => event.kind !== 'act' || event.planned !== 'p0.acid.bath');
    expect(without).toHaveLength(dyed.events.length - 1);
    expect(bathPhNow(withEvents(dyed, without))).toBeGreaterThan(bathPhNow(dyed) + 2);
    expect(bathPhNow(dyed)).toBeCloseTo(plan.passes[0]!.bathAcid!.pH.value, 1);
  });
  test('acid that nobody measured: so much as brings the bath to the middle, and none where there is some', () => {
    const without = dyed.events.filter((event) => event.kind !== 'act' || event.planned !== 'p0.acid.bath');
    const citric = { acid: 'citric', strengthPercent: 100 } as const;
    const usual = usualAcidFor(withEvents(dyed, without), citric)!;
    expect([usual.wished, usual.amount.unit, usual.amount.sureness]).toEqual([4.25, 'g', 'estimate']);
    const measured = tick(dyed, 'p0.acid.bath', { amount: usual.amount.value });
    expect(bathPhNow(withEvents(dyed, [...without, measured]))).toBeCloseTo(4.25, 6);
    // Of crystals half as pure it takes twice as much.
    const half = usualAcidFor(withEvents(dyed, without), { ...citric, strengthPercent: 50 })!;
    expect(half.amount.value / usual.amount.value).toBeCloseTo(2, 9);
    expect(usualAcidFor(dyed, citric)).toBeNull();
  });
});
