import type { Batch } from './batch';
import type { Event } from './event';
import { BATH_READINGS, CLEAR } from './words';
import { standingEvents } from './standing';
import { Recording, type LeftOut, type RecordedAct } from './recording';
import type { State } from '../process/state';

/** A record as its acts come to: the same fold as a plan. */
export interface FoldedRecord {
  /** What was done, in the order in which it was. */
  acts: readonly RecordedAct[];
  /** The same as far as the goods hanging dry, as the card says; no dye and no acid is in it but what went in. */
  toTheEnd: readonly RecordedAct[];
  leftOut: readonly LeftOut[];
  /** What there is now. */
  now: State;
  /** And once `toTheEnd` is done. */
  end: State;
}

/** The record folded last: the screens that show it ask for it again and again. */
let last: { batch: Batch; folded: FoldedRecord } | null = null;

/**
 * Does the acts of a record in the order of their instants. What a later act implies and nobody ticked is taken as
 * done as planned, and at closing all the rest; dye and acid never are.
 */
export function foldRecord(batch: Batch): FoldedRecord {
  if (last?.batch === batch) return last.folded;
  const folded = foldAnew(batch);
  last = { batch, folded };
  return folded;
}

function foldAnew(batch: Batch): FoldedRecord {
  const { standing } = standingEvents(batch.events);
  const recording = new Recording(batch, seenUnclear(standing));
  for (const event of standing) recording.add(event);
  if (standing.some(({ kind }) => kind === 'closed')) recording.takeRestAsDone();
  const { state: now } = recording;
  const [acts, leftOut] = [[...recording.acts], [...recording.leftOut]];
  recording.takeRestAsDone();
  return { acts, toTheEnd: recording.acts, leftOut, now, end: recording.state };
}

/** Acts beside which somebody saw dye in the bath: the last before a look that says so, and the next after it. */
function seenUnclear(inOrder: readonly Event[]): Set<string> {
  const unclear = new Set<string>();
  let last: string | null = null;
  let seen = false;
  for (const event of inOrder) {
    if (event.kind !== 'act') continue;
    const { act, id } = event;
    if (act.kind === 'look') {
      if (act.of !== 'bath' || !isReading(act.answer)) continue;
      seen = act.answer !== CLEAR;
      if (seen && last !== null) unclear.add(last);
      continue;
    }
    if (seen) unclear.add(id);
    seen = false;
    last = id;
  }
  return unclear;
}

/** What a bath looks like, whether or not somebody said more of it: `tinted, Vault Blue stays`. */
const isReading = (answer: string): boolean =>
  BATH_READINGS.some((reading) => answer === reading || answer.startsWith(`${reading},`));
