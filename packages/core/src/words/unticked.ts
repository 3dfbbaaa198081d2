import type { Impossible } from '../process/impossible';
import type { FoldedRecord } from '../record/foldRecord';
import { cardAct, type CardAct } from '../record/card';
import { mayBePresumed } from '../record/recording';
import type { RecordState } from '../record/recordState';
import { isPutIn } from './departures';
import { titleOf, type Reading } from './lineWords';

/** What a record takes as done though nobody ticked it, and what in it nothing could be made of; a sentence each. */
export function untickedWords({ acts, leftOut }: FoldedRecord, reading: Reading): string[] {
  const title = (planned: string | null): string => {
    const line = cardAct(reading.batch.card, planned);
    return line ? titleOf(line, reading) : 'Something nobody planned';
  };
  const presumed = acts.flatMap(({ came, planned }) => (came === 'presumed' ? [title(planned)] : []));
  return [
    ...(presumed.length === 0 ? [] : [`Not ticked, taken as done as planned: ${presumed.join('; ')}.`]),
    ...leftOut.map(
      ({ planned, why }) => `${title(planned)}: left out of the figures, for ${REASONS[why.code]}.`,
    ),
  ];
}

/** What closing a batch makes of the lines that nobody ticked, one sentence each; none when all are ticked. */
export function closingWords({ lines }: RecordState, reading: Reading): string[] {
  const open = lines.filter(({ status }) => status !== 'done').map(({ line }) => line);
  const list = (isMeant: (line: CardAct) => boolean): string =>
    open
      .filter(isMeant)
      .map((line) => titleOf(line, reading))
      .join('; ');
  const done = list(mayBePresumed);
  const not = list((line) => isPutIn(line.act));
  return [
    ...(done === '' ? [] : [`Taken as done as planned: ${done}.`]),
    ...(not === '' ? [] : [`Did not go in: ${not}. If it did, tick it first.`]),
  ];
}

/** Why an act comes to nothing, in words. */
const REASONS: Record<Impossible['code'], string> = {
  'no such vessel': 'nobody said which vessel it was',
  'no such goods': 'nobody said which goods they were',
  'brought twice': 'it was there already',
  'no goods there': 'no goods were there',
  'nothing there': 'nothing was in there',
  'less there': 'less was in there',
  'whole line': 'it is the whole line, or more',
};
