import fc from 'fast-check';
import { depth, SHELF } from '../../test/examples';
import { formulate } from '../recipe/materials';
import { METHOD_KINDS, METHODS, sectionsOf } from '../recipe/methods';
import { entryAmount } from '../recipe/dyeEntry';
import { planFormulation } from '../recipe/plan';
import type { Plan } from '../recipe/planTypes';
import { recipeSchema, type Formulation } from '../recipe/recipe';
import { toolSchema } from '../shelf/tool';
import { actualRecipe } from './actualRecipe';
import { batchState } from './batchState';
import { entrySchema, type Entry } from './entry';
import { phAdvice, bathPhNow } from './phAdvice';
import { summarizeBatch } from './summary';

const AT = '2026-03-01T10:00:00Z';
const made = (entry: Record<string, unknown>): Entry => entrySchema.parse({ at: AT, ...entry });
const asPlanned = (plan: Plan): Entry[] =>
  plan.steps.map((step) =>
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

test('every way, alone and after another: plan → poured as planned → recipe gives the same depths to 1e-9', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...METHOD_KINDS), { minLength: 1, maxLength: 4 }),
      fc.double({ min: 0.01, max: 0.9, noNaN: true }),
      (kinds, percent) => {
        const formulation = formulationOf(kinds, percent);
        const plan = planFormulation(formulation);
        const back = actualRecipe(formulation, plan, asPlanned(plan), SHELF.dyes);
        expect(back.departures).toEqual([]);
        expect(back.recipe!.passes).toHaveLength(kinds.length);
        back.recipe!.passes.forEach((pass) => {
          expect(Math.abs(entryAmount(pass.dyes[0]!.entry) - percent)).toBeLessThan(1e-9);
          expect(Math.abs(entryAmount(pass.dyes[1]!.entry) - percent / 3)).toBeLessThan(1e-9);
        });
        // And it can be dyed again: the same grams of every dye.
        const again = planFormulation(formulate('x', back.recipe!, SHELF));
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
    const back = actualRecipe(formulation, plan, asPlanned(plan), SHELF.dyes);
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
    const steps = plan.steps.filter((step) => step.id.startsWith('dye-a0'));
    expect(steps.map((step) => step.kind)).toEqual(['dilute', 'dye']);
    const state = batchState(plan, SHELF.dyes, asPlanned(plan), AT);
    expect(state.bath.volumeMl).toBeCloseTo(6000, -2);
    const back = actualRecipe(formulation, plan, asPlanned(plan), SHELF.dyes);
    expect(back.dyes.find((dye) => dye.dyeId === 'blue')!.dos.value).toBeCloseTo(dilution!.realDos.value, 12);
    expect(back.dyes.find((dye) => dye.dyeId === 'blue')!.additions).toBe(1);
  });
});

test('what nobody planned belongs to the pass that was being dyed', () => {
  const formulation = formulationOf(['immersion', 'immersion'], 0.5);
  const plan = planFormulation(formulation);
  const entries = [
    ...asPlanned(plan),
    made({
      id: 'x',
      kind: 'added',
      material: { kind: 'dye', dyeId: 'strong', stockId: null, strengthPercent: null },
      amount: 0.4,
      unit: 'g',
    }),
  ];
  const addition = entries.at(-1)!;
  const rest = entries.slice(0, -1);
  const passWhenAddedAfter = (stepId: string): number => {
    const at = rest.findIndex((entry) => 'stepId' in entry && entry.stepId === stepId) + 1;
    const all = [...rest.slice(0, at), addition, ...rest.slice(at)];
    return actualRecipe(formulation, plan, all, SHELF.dyes).recipe!.passes.findIndex((pass) =>
      pass.dyes.some((line) => line.dyeId === 'strong'),
    );
  };
  expect(passWhenAddedAfter('dye-a0')).toBe(0);
  expect(passWhenAddedAfter('p1-dye-a1')).toBe(1);
});

test('a pass that got no dye is left out, and the one after it gets a bath of its own', () => {
  const formulation = formulationOf(['immersion', 'immersion'], 0.5);
  const plan = planFormulation(formulation);
  const entries = asPlanned(plan).filter(
    (entry) => !('stepId' in entry && (entry.stepId === 'dye-a0' || entry.stepId === 'dye-b0')),
  );
  const back = actualRecipe(formulation, plan, entries, SHELF.dyes);
  expect(back.recipe!.passes.map((pass) => pass.id)).toEqual(['p1']);
  expect(back.recipe!.passes[0]!.water.basis).not.toBe('kept');
  expect(back.departures).toHaveLength(2);
});

test('an absurd over-pour is recorded and still drawn', () => {
  const formulation = formulationOf(['immersion'], 0.5);
  const entries = [made({ id: 'a', kind: 'poured', stepId: 'dye-a0', amount: 9000, unit: 'mL' })];
  const batch = {
    id: 'b',
    code: '',
    name: 'x',
    colorwayId: null,
    colorwayVersion: null,
    againOf: null,
    startedAt: AT,
    formulation,
  };
  const summary = summarizeBatch(batch, entries, SHELF.dyes);
  expect(summary.dosPercent).toBeCloseTo(45, 6);
  expect(summary.hex).toMatch(/^#[0-9a-f]{6}$/);
});

describe('a measured pH', () => {
  const formulation = formulationOf(['immersion'], 0.5);
  const plan = planFormulation(formulation);
  const measured = (ph: number): Entry =>
    made({ id: `ph-${Math.round(100 * ph)}`, kind: 'checked', of: 'bath', reading: `pH ${ph}`, ph });
  test('nothing is advised before one is read', () =>
    expect(phAdvice(formulation, plan, asPlanned(plan))).toBeNull());
  test('in the window it is left; below, no more acid', () => {
    expect(phAdvice(formulation, plan, [...asPlanned(plan), measured(4.2)])).toMatchObject({
      stands: 'in',
      correction: null,
    });
    expect(phAdvice(formulation, plan, [...asPlanned(plan), measured(3)])).toMatchObject({
      stands: 'below',
      correction: null,
    });
  });
  test('above it, the acid still due is reckoned from the measurement and brings the bath to the middle', () => {
    const advice = phAdvice(formulation, plan, [...asPlanned(plan), measured(5.6)])!;
    expect(advice.stands).toBe('above');
    expect(advice.correction!.wished).toBeCloseTo(4.25, 9);
    expect(advice.correction!.after.value).toBeCloseTo(4.25, 3);
    expect(advice.correction!.add.value).toBeGreaterThan(0.5);
    const higher = phAdvice(formulation, plan, [...asPlanned(plan), measured(6.2)])!;
    expect(higher.correction!.add.value).toBeGreaterThan(advice.correction!.add.value);
  });
  test('the bath as it stands follows the acid that really went in', () => {
    const without = asPlanned(plan).filter((entry) => !('stepId' in entry && entry.stepId === 'acid'));
    expect(bathPhNow(formulation, plan, without)).toBeGreaterThan(
      bathPhNow(formulation, plan, asPlanned(plan)) + 2,
    );
    expect(bathPhNow(formulation, plan, asPlanned(plan))).toBeCloseTo(plan.passes[0]!.bathAcid!.pH.value, 2);
  });
});
