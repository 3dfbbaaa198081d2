import type { MeasuredOut } from '../process/amountOf';
import type { LookedAt } from '../process/act';
import { doneAct, type Really } from '../process/doneAct';
import type { BegunBatch } from './batch';
import type { CardAct } from './card';
import type { Event, EventOf } from './event';
import { lookAct, unplannedAct } from './unplanned';

type Unstamped<T> = T extends Event
  ? Omit<T, 'version' | 'id' | 'of' | 'at' | 'clockAt' | 'device' | 'count' | 'person'>
  : never;

/** Something to put into a record; when, where and by whom is added by the device that sends it. */
export type NewEvent = Unstamped<Event>;

/** A line of the card done. @param written what was typed; empty where a key said it */
export const lineDone = (line: CardAct, really: Really = {}, written = ''): NewEvent => ({
  kind: 'act',
  planned: line.id,
  act: doneAct(line.act, really),
  written,
  note: '',
});

/** The clock of a line started. */
export const lineBegun = (line: CardAct): NewEvent => ({ kind: 'begun', planned: line.id, act: line.act });

/** Something that went in though nobody planned it. @param pass the one being dyed */
export const alsoAdded = (
  batch: BegunBatch,
  pass: string | null,
  what: MeasuredOut,
  written: string,
): NewEvent => ({ kind: 'act', planned: null, act: unplannedAct(batch, pass, what), written, note: '' });

/** A look at something, with what it showed. */
export const looked = (
  pass: string | null,
  of: LookedAt,
  answer: string,
  ph: number | null = null,
): NewEvent => ({ kind: 'act', planned: null, act: lookAct(pass, of, answer, ph), written: '', note: '' });

/** An event taken back. */
export const strikeOut = (event: Pick<EventOf<'act'>, 'id'>, why = ''): NewEvent => ({
  kind: 'struck',
  event: event.id,
  why,
});
