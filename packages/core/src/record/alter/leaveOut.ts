import { FieldError } from '../../figure/fieldError';
import { CUPS } from '../../process/terms';
import { isAddition } from '../../process/isAddition';
import { vesselsNamed } from '../../process/vesselsNamed';
import type { Act } from '../../process/act';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { cardAct } from '../cardLines';
import { vesselRole } from '../cardGoods';
import type { NewEvent } from '../newEvent';
import { plannedDone } from '../standing';
import { altered } from './alter';
import { lastDyedIn, setIn } from './setWhere';
import { toCome } from './toCome';

/**
 * A step that is not to be done. What only it would have used, as its dilution, is left out along with it.
 * @param batch as it stands
 * @throws FieldError where the rest could not be done without it, with the way out
 */
export function leaveOut(batch: Batch, lineId: string): NewEvent {
  const line = cardAct(batch.card, lineId);
  if (!line) throw new FieldError('line', 'That step is not on this card.');
  if (plannedDone(batch.events).has(lineId))
    throw new FieldError('line', 'That step is done. Take it back, if it never was.');
  const needed = neededFor(line.act);
  if (needed !== null) throw new FieldError('line', needed);
  const rest = toCome(batch);
  const cup = vesselsNamed(line.act).find((vessel) => CUPS.includes(vesselRole(batch.card, vessel) ?? 'pot'));
  const along =
    cup !== undefined && isOfDye(line.act)
      ? rest.filter(({ act }) => vesselsNamed(act).includes(cup))
      : [line];
  const shared = cup !== undefined && along.filter(({ act }) => act.kind === 'move').length > 1;
  return altered('left out', { out: shared ? [line] : along });
}

/** Dye going into a cup, or out of it: without it the cup has no use. */
const isOfDye = (act: Act): boolean =>
  act.kind === 'move' || (act.kind === 'put' && act.material.kind === 'dye') || act.purpose === 'dilution';

/** Why the rest cannot be done without a step; null where it can. */
function neededFor(act: Act): string | null {
  if (act.kind === 'place' && act.purpose === null)
    return 'Goods that stay out take no dye. Leave the whole pass out instead.';
  if (act.kind === 'run' && act.purpose === 'bath')
    return 'Without its water there is no bath. Leave the whole pass out, or pour another amount.';
  return null;
}

/**
 * A pass that is not to be done, or what is left of it. A set in the vessel it would have ended in goes on where the goods are.
 * @param batch as it stands
 * @throws FieldError where a later pass needs its bath, or nothing would be dyed
 */
export function leaveOutPass(batch: Batch, passId: string): NewEvent {
  const { passes } = batch.card;
  const index = passes.findIndex(({ id }) => id === passId);
  if (index < 0) throw new FieldError('pass', 'That pass is not on this card.');
  const rest = toCome(batch);
  const out = rest.filter(({ act }) => act.pass === passId);
  if (!out.some(({ quiet }) => !quiet)) throw new FieldError('pass', `Pass ${index + 1} is done already.`);
  const coming = new Set(rest.map(({ act }) => act.pass));
  const later = passes.slice(index + 1).find(({ id }) => coming.has(id));
  const bathToCome = out.some(({ act }) => act.kind === 'run' && act.purpose === 'bath');
  if (later && (later.keepsBath || later.takesOverMl > 0) && bathToCome) {
    const number = passes.indexOf(later) + 1;
    throw new FieldError(
      'pass',
      `Pass ${number} goes on in the bath of pass ${index + 1}. Leave pass ${number} out first, or only the dyes of pass ${index + 1}.`,
    );
  }
  const dyed = (line: CardAct): boolean => isAddition(line.act) && line.act.purpose === 'dose';
  const done = plannedDone(batch.events);
  if (!batch.card.acts.some((line) => dyed(line) && (done.has(line.id) || line.act.pass !== passId)))
    throw new FieldError('pass', 'Nothing would be dyed then. Drop the batch instead.');
  return altered('left out', {
    about: `pass ${index + 1}`,
    out,
    instead: setIn(
      rest,
      lastDyedIn(batch.card.acts.filter(({ act }) => act.pass === passId)),
      vesselNow(batch, index),
    ),
  });
}

/** The vessel that goods lie in as a pass begins, or where it has laid them by now. */
function vesselNow({ card, events }: Batch, index: number): string | undefined {
  const done = plannedDone(events);
  const own = card.passes[index]?.id;
  const earlier = new Set(card.passes.slice(0, index).map(({ id }) => id));
  return lastDyedIn(
    card.acts.filter(
      ({ id, act }) => act.pass !== null && (earlier.has(act.pass) || (act.pass === own && done.has(id))),
    ),
  );
}
