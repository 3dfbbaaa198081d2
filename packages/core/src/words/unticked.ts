import type { Impossible } from '../process/impossible';
import type { FoldedRecord } from '../record/foldRecord';
import { cardAct } from '../record/card';
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
