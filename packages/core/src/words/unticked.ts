import type { Impossible } from '../process/impossible';
import type { FoldedRecord } from '../record/foldRecord';
import type { CardAct } from '../record/card';
import { cardAct } from '../record/cardLines';
import type { Question } from '../record/questions';
import { mayBePresumed } from '../record/recording';
import type { RecordState } from '../record/recordState';
import { isPutIn } from './departures';
import { titleOf, type Reading } from './lineWords';

/** What became of lines that nobody ticked, and what nothing could be made of; a sentence each. */
export function untickedWords(
  questions: readonly Question[],
  { leftOut }: Pick<FoldedRecord, 'leftOut'>,
  reading: Reading,
): string[] {
  const list = (answer: Question['answer']): string =>
    questions
      .filter((question) => question.answer === answer)
      .map(({ line }) => titleOf(line, reading))
      .join('; ');
  const say = (words: string, titles: string): string[] => (titles === '' ? [] : [`${words}: ${titles}.`]);
  return [
    ...say('Not ticked, taken as done as planned', list(null)),
    ...say('Not ticked, but done as planned', list('done')),
    ...say('Not done', list('not done')),
    ...leftOut.map(({ planned, why }) => {
      const line = cardAct(reading.batch.card, planned);
      const title = line ? titleOf(line, reading) : 'Something nobody planned';
      return `${title}: left out of the figures, for ${REASONS[why.code]}.`;
    }),
  ];
}

/** A line that is still open when a batch is to be closed, and what closing makes of it unless somebody says otherwise. */
export interface OpenLine {
  line: CardAct;
  title: string;
  /** True: taken as done as planned. False: it did not go in. */
  done: boolean;
}

/** What there is to say of every line that is open when a batch is to be closed; topping up is only due when some is missing. */
export const openLines = ({ lines }: RecordState, reading: Reading): OpenLine[] =>
  lines.flatMap(({ status, line }): OpenLine[] => {
    const done = mayBePresumed(line);
    return status !== 'done' && (done || isPutIn(line.act))
      ? [{ line, title: titleOf(line, reading), done }]
      : [];
  });

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
