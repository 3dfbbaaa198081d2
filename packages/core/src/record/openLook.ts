import type { Batch } from './batch';
import type { CardAct } from './card';
import { cardAct } from './cardLines';
import { actsDone, standingEvents } from './standing';
import { BATH_READINGS, CLEAR } from './words';

/** A look that found something, and that nothing was done about yet. */
export interface OpenLook {
  of: 'bath' | 'rinse' | 'core' | 'goods';
  answer: string;
  pass: string | null;
  /** The wait after or during which somebody looked; null where none was. */
  wait: CardAct | null;
  /** True while its clock still runs. */
  running: boolean;
}

/** What the middle of a bundle or skein shows. */
export const CORE_READINGS = ['pale inside', 'colored through'] as const;

/**
 * The look that asks for something now: a bath or a squeezed drop that is not clear, a rinse that bleeds, a pale middle.
 * Whatever is done or changed after it answers it, as does a tint that is let be.
 */
export function openLook(batch: Batch): OpenLook | null {
  const { standing } = standingEvents(batch.events);
  const at = standing.findLastIndex((event) => event.kind === 'act' && event.act.kind === 'look');
  const look = standing[at];
  if (look?.kind !== 'act' || look.act.kind !== 'look') return null;
  const { of } = look.act;
  // Dry yarn, a towel and a cup ask for nothing at the pot.
  if (of === 'dry' || of === 'towel' || of === 'cup' || !asks(of, look.act.answer)) return null;
  const answered = standing
    .slice(at + 1)
    .some((event) => event.kind === 'altered' || event.kind === 'closed' || event.kind === 'act');
  if (answered) return null;
  const done = actsDone(batch.events);
  const waits = standing.flatMap((event) =>
    (event.kind === 'act' || event.kind === 'begun') &&
    event.planned !== null &&
    (event.act.kind === 'hold' || event.act.kind === 'stand')
      ? [event.planned]
      : [],
  );
  const id = waits.at(-1) ?? null;
  return {
    of,
    answer: look.act.answer,
    pass: look.act.pass,
    wait: cardAct(batch.card, id) ?? null,
    running: id !== null && !done.some(({ planned }) => planned === id),
  };
}

/** Whether an answer asks for something to be done. */
function asks(of: OpenLook['of'], answer: string): boolean {
  if (of === 'rinse') return answer.startsWith('bleeds');
  if (of === 'core') return answer === CORE_READINGS[0];
  return (BATH_READINGS as readonly string[]).includes(answer) && answer !== CLEAR;
}

/** Whether a wait is one in a bath of dye, whose look matters. */
export const waitsInBath = ({ act }: Pick<CardAct, 'act'>): boolean =>
  act.purpose !== 'soak' && (act.kind === 'hold' || act.kind === 'stand' || act.kind === 'heat');
