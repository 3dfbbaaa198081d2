import { FieldError } from '../../figure/fieldError';
import type { Act } from '../../process/act';
import type { Batch } from '../batch';
import type { CardPass } from '../card';
import { cardAct } from '../cardLines';
import type { NewEvent } from '../newEvent';
import { altered } from './alter';
import { nextToCome, toCome } from './toCome';

/** What may come earlier by itself: what finishes goods comes after all that dyes and sets them. */
const MAY_MOVE: readonly Act['kind'][] = ['run', 'put', 'move', 'heat', 'hold', 'stand', 'handle', 'look'];

/** Whether a step may be done before its turn. @param batch as it stands */
export function mayComeNext(batch: Batch, lineId: string): boolean {
  const line = cardAct(batch.card, lineId);
  const next = nextToCome(batch);
  return (
    line !== undefined &&
    next !== null &&
    next.line.id !== lineId &&
    line.act.pass === next.line.act.pass &&
    MAY_MOVE.includes(line.act.kind)
  );
}

/** Whether a pass goes on in the bath of the one before, or in a part of it. */
const goesOn = ({ keepsBath, takesOverMl }: CardPass): boolean => keepsBath || takesOverMl > 0;

/** A step that is done next, before its turn. @throws FieldError where it hangs on what comes before it */
export function doNext(batch: Batch, lineId: string): NewEvent {
  const line = cardAct(batch.card, lineId);
  const next = nextToCome(batch);
  if (!line || !next || !toCome(batch).some(({ id }) => id === lineId))
    throw new FieldError('line', 'That step is not still to come.');
  if (!mayComeNext(batch, lineId))
    throw new FieldError(
      'line',
      'Only a step of the pass that is being dyed can come next. Move its pass, or leave out what lies between.',
    );
  return altered('order', { lines: [line], before: next.before });
}

/**
 * A pass that is dyed before the one before it.
 * @param batch as it stands
 * @throws FieldError where one of them was begun, or one goes on in the bath of another
 */
export function passEarlier(batch: Batch, passId: string): NewEvent {
  const { card } = batch;
  const coming = toCome(batch);
  const whole = (id: string): boolean =>
    card.acts.every((line) => line.act.pass !== id || coming.some((one) => one.id === line.id));
  const at = card.passes.findIndex(({ id }) => id === passId);
  const [pass, before, after] = [card.passes[at], card.passes[at - 1], card.passes[at + 1]];
  if (!pass || !before) throw new FieldError('pass', 'There is no pass before it.');
  if (!whole(passId) || !whole(before.id))
    throw new FieldError('pass', `Pass ${at} is begun. A pass goes before one that is still to come.`);
  if ([pass, before, after].some((one) => one && goesOn(one)))
    throw new FieldError(
      'pass',
      'One of these passes goes on in the bath of another, so their order stands.',
    );
  const mine = coming.filter(({ act }) => act.pass === passId);
  const first = coming.find(({ act }) => act.pass === before.id);
  const set = card.acts.findIndex(({ act }) => act.purpose === 'set');
  if (set >= 0 && card.acts.some(({ act }, i) => act.pass === passId && i > set))
    throw new FieldError('pass', `Acid of pass ${at + 1} goes in while it is set, so it stays the last.`);
  return altered('order', { about: `pass ${at + 1}`, lines: mine, before: first?.id ?? null });
}
