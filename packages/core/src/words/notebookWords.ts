import { amountOf } from '../process/amountOf';
import type { Act } from '../process/act';
import type { NotebookPiece } from '../record/open/readNotebook';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { materialName } from './eventWords';

/** What a piece of an old note was read as, a line for each thing done. @param dyes those on the shelf */
export const notebookWords = ({ acts, goodsGrams }: NotebookPiece, dyes: readonly Dye[]): string[] => [
  ...acts.map((act) => actWords(act, dyes)),
  ...(goodsGrams === null ? [] : [`on ${formatAmount(goodsGrams, 'g')} of goods`]),
];

function actWords(act: Act, dyes: readonly Dye[]): string {
  const much = amountOf(act);
  if (much) return `${formatAmount(much.amount, much.unit)} of ${materialName(much.material, dyes)}`;
  if (act.kind === 'put') return `${materialName(act.material, dyes)}, nobody knows how much`;
  switch (act.kind) {
    case 'heat':
      return `heated to ${formatAmount(act.toC ?? 0, '°C')}`;
    case 'hold':
      return `held at ${formatAmount(act.atC ?? 0, '°C')} for ${formatAmount(act.minutes ?? 0, 'min')}${act.untilClear ? ', until clear' : ''}`;
    case 'stand':
      return `left for ${formatAmount(act.minutes ?? 0, 'min')}`;
    case 'handle':
      return act.what === 'turn' ? 'turned' : 'tied anew';
    default:
      return DONE[act.kind] ?? act.kind;
  }
}

/** What was done, where its kind alone says it. */
const DONE: Partial<Record<Act['kind'], string>> = {
  place: 'goods in',
  lift: 'goods lifted out',
  rinse: 'rinsed',
  dry: 'hung to dry',
  move: 'bath poured away',
};
