import { FieldError } from '../../figure/fieldError';
import { planFormulation } from '../../plan/plan';
import type { HeatSet } from '../../recipe/recipe';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { cardOf } from '../cardOf';
import type { NewEvent } from '../newEvent';
import { altered } from './alter';
import { afterLast, isSet, lastDyedIn, setIn } from './setWhere';
import { isSetDone, toCome } from './toCome';

/**
 * Another way of setting, for the set that is still to come: pot, steamer, oven, microwave or a warm rest.
 * @param batch as it stands @param id names the lines that come in
 * @throws FieldError where it is set already
 */
export function setOtherwise(batch: Batch, set: HeatSet, id: string): NewEvent {
  const { card, formulation } = batch;
  if (isSetDone(batch))
    throw new FieldError('set', 'It is set already. Add a step, such as another hold, where it needs more.');
  const told = { ...formulation, recipe: { ...formulation.recipe, set } };
  const planned = cardOf(told, planFormulation(told)).acts;
  const rest = toCome(batch);
  const out = rest.filter(isSet);
  const lines = planned.flatMap((line, i): CardAct[] => {
    if (isSet(line)) return [{ ...line, id: `${id}.${line.id}` }];
    // The steamer or oven that only the set needs.
    const brings = line.act.kind === 'bring' && line.act.thing.kind === 'vessel';
    const next = planned.slice(i + 1).find(({ act }) => act.kind !== 'bring');
    return brings && next !== undefined && isSet(next) && !card.acts.some((one) => one.id === line.id)
      ? [line]
      : [];
  });
  const vessels = setIn(lines, lastDyedIn(planned), lastDyedIn(card.acts));
  return altered('set', {
    about: set.method,
    out,
    lines: lines.map((line) => vessels.find((one) => one.id === line.id) ?? line),
    before: afterLast(rest, out),
    set,
  });
}
