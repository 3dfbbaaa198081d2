import type { Plan } from '../recipe/planTypes';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { CAUTION_WORDS } from '../recipe/cautionNames';
import { addedName } from './additionChoices';
import type { Entry } from './entry';

/** One entry of a record as a sentence. */
export function entryWords(entry: Entry, plan: Plan, dyes: readonly Dye[]): string {
  const title = (stepId: string): string => plan.steps.find((step) => step.id === stepId)?.title ?? stepId;
  const written = 'asWritten' in entry && entry.asWritten !== '' ? ` (“${entry.asWritten}”)` : '';
  switch (entry.kind) {
    case 'begun':
      return `${title(entry.stepId)}: begun`;
    case 'done':
      return `${title(entry.stepId)}: done`;
    case 'poured':
      return `${title(entry.stepId)}: ${formatAmount(entry.amount, entry.unit)}${written}`;
    case 'added':
      return `Also added ${formatAmount(entry.amount, entry.unit)}${written} of ${addedName(entry.material, dyes)}`;
    case 'struck':
      return 'Took an entry back';
    case 'checked':
      return `Check, ${entry.of}: ${entry.reading}`;
    case 'acknowledged':
      return `Acknowledged: caution about ${CAUTION_WORDS[entry.caution]}`;
    case 'noted':
      return entry.text;
    case 'closed':
      return `Closed: ${entry.outcome}, ${entry.standing}${entry.note === '' ? '' : `. ${entry.note}`}`;
  }
}
