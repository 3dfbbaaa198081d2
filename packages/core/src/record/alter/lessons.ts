import { amountOf, minutesOf } from '../../process/amountOf';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { weightOfGoods } from '../cardGoods';
import { cardAct } from '../cardLines';
import type { NewEvent } from '../newEvent';
import { actsDone, standingEvents } from '../standing';
import { altered } from './alter';
import type { Alteration } from './alterationSchema';
import { toCome } from './toCome';

/** Amounts that differ by less are the same: how a syringe is read. */
const SAME = 0.01;

/** One thing that a pot that ran ahead did otherwise than its card said. */
export type Lesson =
  | { what: 'changed'; change: Alteration }
  | { what: 'amount'; line: CardAct; times: number; poured: number; asked: number };

/**
 * What a pot that ran ahead did otherwise than the card it began with: steps left out or made longer, and other amounts.
 * What was special to that pot, such as goods thrown in or another vessel, is no lesson.
 * @param ahead the pot that ran ahead, as it stands
 */
export function lessonsOf(ahead: Batch): Lesson[] {
  const { standing } = standingEvents(ahead.events);
  const changed = standing.flatMap((event): Lesson[] =>
    event.kind === 'altered' && GENERAL.includes(event.change.why)
      ? [{ what: 'changed', change: event.change }]
      : [],
  );
  const sums = new Map<string, number>();
  for (const { planned, act } of actsDone(ahead.events)) {
    const got = amountOf(act);
    if (planned !== null && got !== null) sums.set(planned, (sums.get(planned) ?? 0) + got.amount);
  }
  const amounts = [...sums].flatMap(([id, poured]): Lesson[] => {
    const line = cardAct(ahead.card, id);
    const asked = line && amountOf(line.act);
    if (!line || !asked || line.act.purpose === 'dilution') return [];
    const times = poured / asked.amount;
    return Math.abs(times - 1) > SAME ? [{ what: 'amount', line, times, poured, asked: asked.amount }] : [];
  });
  return [...changed, ...amounts];
}

/** Changes that hold for every pot of a colorway. */
const GENERAL: readonly Alteration['why'][] = [
  'longer',
  'left out',
  'order',
  'again',
  'step',
  'pass',
  'set',
  'not clear',
  'pale inside',
];

/**
 * One lesson for another pot of the colorway, as far as it is still to come there, by the weight of its goods; null where
 * nothing of it is.
 * @param batch as it stands @param about the pot that ran ahead, and what it taught, in words
 */
export function learn(batch: Batch, ahead: Batch, lesson: Lesson, about: string): NewEvent | null {
  const rest = new Map(toCome(batch).map((line) => [line.id, line]));
  if (lesson.what === 'amount') {
    const mine = rest.get(lesson.line.id);
    const asked = mine && amountOf(mine.act);
    return mine && asked
      ? altered('learned', { about, instead: [withAmount(mine, asked.amount * lesson.times)] })
      : null;
  }
  const { change } = lesson;
  const out = change.out.flatMap(({ id }) => rest.get(id) ?? []);
  const instead = change.instead.flatMap(({ id, act }): CardAct[] => {
    const mine = rest.get(id);
    return mine && minutesOf(act) !== null ? [{ ...mine, act }] : [];
  });
  const comes = change.lines.length > 0 && (change.before === null || rest.has(change.before));
  if (out.length === 0 && instead.length === 0 && !comes) return null;
  const times = weightOfGoods(batch.card).value / weightOfGoods(ahead.card).value;
  return altered('learned', {
    ...(comes && {
      ...change,
      lines: change.lines.map((line) => {
        const mine = amountOf(line.act);
        return mine ? withAmount(line, mine.amount * times) : line;
      }),
    }),
    about,
    out,
    instead,
  });
}

function withAmount(line: CardAct, amount: number): CardAct {
  const { act } = line;
  switch (act.kind) {
    case 'run':
      return { ...line, act: { ...act, ml: amount } };
    case 'put':
      return { ...line, act: { ...act, amount } };
    case 'move':
      return act.ml === null ? line : { ...line, act: { ...act, ml: amount } };
    default:
      return line;
  }
}
