import { parseQuantity } from '../units/parseQuantity';
import { saidBySpoon } from '../units/saidBy';
import { acidPath, acidPathOf, plannedText } from '../recipe/measureOf';
import { dyePath } from '../recipe/dyeEntry';
import type { Act } from '../process/act';
import type { Formulation, Recipe } from '../recipe/recipe';
import type { Batch } from './batch';
import type { EventOf } from './event';
import { actsDone } from './standing';

/** Stands for the words of several amounts that were all said by the spoon: the sum of them is said so too. */
export const BY_SPOON = 'spoons';

/** A text that is an amount by the spoon and nothing else: what a notebook says around it is no measure. */
export const isSpokenAmount = (text: string): boolean =>
  saidBySpoon(text) && parseQuantity(text, 'teaspoons', {}).ok;

/** How the amount of an entry was said: typed at the pot, or planned so; null where nobody said it in words. */
export const saidOfEvent = (
  { written, act }: Pick<EventOf<'act'>, 'written' | 'act'>,
  formulation: Pick<Formulation, 'recipe' | 'asWritten'>,
): string | null => (written === '' ? plannedText(act, formulation) : written);

/** How every act of a record was said, by the line it did or its own id: in its entry, or in the plan. */
export function saidById({
  events,
  formulation,
}: Pick<Batch, 'events' | 'formulation'>): (id: string, act: Act) => string | null {
  const entries = new Map(
    actsDone(events).map((event) => [event.planned ?? event.id, saidOfEvent(event, formulation)]),
  );
  return (id, act) => entries.get(id) ?? plannedText(act, formulation);
}

/** How the sum of several amounts is said: as the one is, or by the spoon where all of them were. */
export function saidTogether(texts: readonly (string | null)[]): string | null {
  const [first] = texts;
  if (texts.length === 1) return first ?? null;
  return texts.length > 0 && texts.every((text) => text !== null && saidBySpoon(text)) ? BY_SPOON : null;
}

/**
 * What was said in a record, by the paths of the recipe that it is dyed again from: the amounts are others, the measures stay.
 * @param recipe the one it is dyed again from
 */
export function writtenAgain(batch: Batch, recipe: Recipe): Record<string, string> {
  const { formulation } = batch;
  const said: Record<string, string> = { ...formulation.asWritten };
  for (const event of actsDone(batch.events)) {
    const { act } = event;
    const text = saidOfEvent(event, formulation);
    if (text === null || !saidBySpoon(text)) continue;
    const pass = recipe.passes.find(({ id }) => id === act.pass);
    if (act.kind === 'run' && pass && act.purpose !== 'top up') said[`passes.${pass.id}.water`] = BY_SPOON;
    if (act.kind !== 'put') continue;
    if (act.material.kind === 'acid') {
      said[acidPathOf(act)] = BY_SPOON;
      // What nobody planned is a dose of its own there.
      const { acid } = act.material;
      const dose = act.line === null && pass?.acids.find(({ material }) => material === acid);
      if (pass && dose) said[acidPath(pass.id, dose.id)] = BY_SPOON;
    }
    if (act.material.kind !== 'dye') continue;
    const { dyeId } = act.material;
    const lines = pass?.dyes;
    // What nobody planned stands in a recipe by its dye.
    const line =
      lines?.find(({ id }) => id === act.line || id === dyeId) ??
      (act.line === null ? lines?.find((one) => one.dyeId === dyeId) : undefined);
    if (line) said[dyePath(line.id, line.entry.school)] = BY_SPOON;
  }
  return said;
}
