import { METHODS, type MethodKind, type PassMethod } from '../src/method';
import { planFormulation } from '../src/plan/plan';
import type { Plan } from '../src/plan/planTypes';
import { cardLines } from '../src/record/cardLines';
import { formulate } from '../src/recipe/materials';
import { recipeSchema, type Formulation, type Recipe } from '../src/recipe/recipe';
import { formatAmount } from '../src/units/formatQuantity';
import { lineWords, type Reading } from '../src/words/lineWords';
import type { CardAct } from '../src/record/card';
import { depth, SHELF } from './examples';
import { begunBatch } from './records';

export const CITRIC = { material: 'citric', strengthPercent: 100, basis: 'gPerL', value: 1, when: 'start' };
export const HOT = { heat: { temperatureC: 82, minutes: 20 } };

/** A way with what is usual for it, but for what is said. */
export const usual = (kind: MethodKind, changes: object = {}): PassMethod =>
  ({ ...METHODS[kind].usual, ...changes }) as PassMethod;

/** 200 g of wool at 1 % of blue from a jar of 1 %, in 30:1 where there is a bath: a pass, and more of the recipe. */
export const recipeOf = (method: PassMethod, pass: object = {}, recipe: object = {}): Recipe =>
  recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method,
        dyes: [depth('d1', 'blue', 1, 'blue-1')],
        water: { basis: 'ratio', value: 30 },
        acids: [CITRIC],
        ...pass,
      },
    ],
    set: { method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60 },
    ...recipe,
  });

export const formulated = (...inputs: Parameters<typeof recipeOf>): Formulation =>
  formulate('x', recipeOf(...inputs), SHELF);

export const planOf = (...inputs: Parameters<typeof recipeOf>): Plan =>
  planFormulation(formulated(...inputs));

/** A line of a card as it is read aloud: what, how much, how long, and what more there is to say. */
export function aloud(line: CardAct, reading: Reading): string {
  const { title, detail, measure, wait } = lineWords(line, reading);
  const much = measure ? `: ${formatAmount(measure.amount.value, measure.amount.unit)}` : '';
  const long = wait ? `, ${formatAmount(wait.value, 'min')}` : '';
  return `${title}${much}${long}${detail ? `. ${detail}` : ''}`;
}

/** The card of a dyeing from its goods laid in to before they are rinsed, as it is read aloud. */
export function card(...inputs: Parameters<typeof recipeOf>): string[] {
  const batch = begunBatch(formulated(...inputs));
  return cardLines(batch.card)
    .filter(({ id }) => !/soak|set$|^cool|^rinse|^heat$/.test(id))
    .map((line) => aloud(line, { batch, dyes: SHELF.dyes }));
}
