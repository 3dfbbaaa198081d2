import { FieldError } from '../../figure/fieldError';
import { minutesOf } from '../../process/amountOf';
import type { Act } from '../../process/act';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import type { NewEvent } from '../newEvent';
import { altered } from './alter';
import { lineAfter } from './toCome';

/** Minutes by which a wait is made longer with one tap. */
export const LONGER_BY = [5, 10, 15] as const;

/** A wait made longer, whether its clock runs or not. @throws FieldError for no minutes, or a line that is no wait */
export function longer(line: CardAct, minutes: number): NewEvent {
  const planned = waitOf(line, minutes);
  return altered('longer', { minutes, instead: [lasting(line, line.id, planned + minutes)] });
}

/**
 * A wait once more, behind what it repeats.
 * @param batch as it stands @param id of the line that comes in
 * @throws FieldError for no minutes, or a line that is no wait
 */
export function onceMore(batch: Batch, line: CardAct, minutes: number, id: string): NewEvent {
  waitOf(line, minutes);
  return altered('again', {
    minutes,
    lines: [lasting(line, id, minutes)],
    before: lineAfter(batch, line.id),
  });
}

function waitOf({ act }: CardAct, minutes: number): number {
  const planned = minutesOf(act);
  if (planned === null) throw new FieldError('minutes', 'That step has nothing to wait for.');
  if (!(minutes > 0))
    throw new FieldError(
      'minutes',
      'A wait is made longer by some minutes: 5 min, 10 min. To end it sooner, tap Done.',
    );
  return planned;
}

const lasting = (line: CardAct, id: string, minutes: number): CardAct => ({
  ...line,
  id,
  estimated: false,
  act: { ...line.act, minutes } as Act,
});
