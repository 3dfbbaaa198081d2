import {
  BEFORE_BLACK,
  cupMl,
  type Cup,
  type CupAddition,
  type CupLook,
  type CupPart,
} from '../record/cup/cup';
import type { CupTotals } from '../record/cup/cupTotals';
import { dyeName } from '../record/dyeTotals';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { plainNumber } from '../units/plainNumber';
import { materialName } from './eventWords';
import { partOfCup } from './partOfCup';

/** One thing that happened at a cup. */
export interface CupLine {
  eventId: string;
  at: string;
  words: string;
}

/** Everything that happened at a cup and was not taken back, in order. */
export function cupLines(cup: Cup, dyes: readonly Dye[]): CupLine[] {
  return [
    ...cup.additions.map((one): CupLine => ({ ...one, words: `+ ${additionWords(one, dyes)}` })),
    ...cup.looks.map((look): CupLine => ({ ...look, words: lookWords(look) })),
    ...cup.left.map((event): CupLine => ({
      eventId: event.id,
      at: event.at,
      words:
        event.kind === 'kept'
          ? `${partOfCup(event.share)} kept${event.dye ? ` as ${event.dye.name}` : ''}`
          : `${partOfCup(event.share)} ${event.batch === null ? 'poured away' : `into ${event.into}`}`,
    })),
  ].toSorted((one, other) => Date.parse(one.at) - Date.parse(other.at));
}

function lookWords({ of, answer }: CupLook): string {
  if (of === 'towel') return `Towel: ${answer}`;
  if (of === 'note') return `Note: ${answer}`;
  return answer === BEFORE_BLACK ? 'Kept as it is before black' : answer;
}

/** One addition: `1 tsp Foundry Rose 1 %`. */
export const additionWords = (
  { material, unit, amount, written }: Pick<CupAddition, 'material' | 'unit' | 'amount' | 'written'>,
  dyes: readonly Dye[],
): string => `${written !== '' ? written : formatAmount(amount ?? 0, unit)} ${materialName(material, dyes)}`;

/** Dyes of a cup to each other, what there is least of being one: `6 : 4 : 1`; empty for fewer than two. */
export const ratioWords = ({ dyes }: Pick<CupTotals, 'dyes'>): string =>
  dyes.length < 2 ? '' : dyes.map(({ parts }) => plainNumber(Number(parts.value.toPrecision(2)))).join(' : ');

/** The name of what a part is, without its strength. */
export const partName = ({ material }: Pick<CupPart, 'material'>, dyes: readonly Dye[]): string =>
  material.kind === 'dye'
    ? `${dyeName(material.dyeId, dyes)}${material.strengthPercent === null ? ' powder' : ''}`
    : materialName(material, dyes);

/** What is in a cup, in a few words: `81.3 mL of Gong Yellow, Foundry Rose, Strike Black`. */
export function cupContents(cup: Cup, dyes: readonly Dye[]): string {
  const names = [...new Set(cup.parts.map((part) => partName(part, dyes)))].join(', ');
  const ml = cupMl(cup);
  return ml > 0 ? `${formatAmount(ml, 'mL')} of ${names}` : names;
}
