import { figure, measuredOut, type Figure } from '../../figure/figure';
import { measureOf } from '../../recipe/measureOf';
import { premixSwatch } from '../../recipe/premixSwatch';
import type { Dye } from '../../shelf/dye';
import { depthOfShade } from '../../amounts/dyeMass';
import { formatAmount } from '../../units/formatQuantity';
import { plainNumber } from '../../units/plainNumber';
import { dyeGramsOf, standardGramsOf } from '../additions';
import { BY_SPOON, isSpokenAmount } from '../saidInRecord';
import { cupMl, type Cup, type CupGoods, type CupPart } from './cup';

/** One dye of a cup, from one jar or as powder. */
export interface CupDye {
  part: CupPart;
  dyeId: string;
  /** As it was measured out. */
  amount: Figure;
  /** Powder in it, g. */
  grams: Figure;
  /** How much of it there is for each part of what there is least of: 6 : 4 : 1. */
  parts: Figure;
  /** On the goods that the cup is for, % of standard strength; null while none are chosen. */
  dos: Figure | null;
}

/** What a cup comes to. */
export interface CupTotals {
  ml: Figure;
  /** All powder in it, g. */
  grams: Figure;
  /** Strength as a stock, % w/v; null where it holds no liquid or no dye. */
  strength: Figure | null;
  /** All dyes on the goods together, % of standard strength; null while no goods are chosen. */
  dos: Figure | null;
  dyes: CupDye[];
  /** True where something nobody measured is in it: depths are at least these. */
  atLeast: boolean;
}

/** How the amounts of some parts are said together: by the spoon where any of them was. */
const saidOf = (parts: readonly CupPart[]): string | null =>
  parts.some(({ said }) => said.some(isSpokenAmount)) ? BY_SPOON : null;

/**
 * What some of a cup comes to.
 * @param dyes for what a spoon of each powder weighs @param parts what to count; all that is in it when left out
 */
export function cupTotals(
  cup: Cup,
  dyes: readonly Pick<Dye, 'id' | 'gramsPerTeaspoon'>[],
  parts: readonly CupPart[] = cup.parts,
): CupTotals {
  const dyed = parts.filter(({ material }) => material.kind === 'dye');
  const grams = dyed.map(dyeGramsOf);
  const least = Math.min(...grams.filter((one) => one > 0));
  const total = grams.reduce((sum, one) => sum + one, 0);
  const ml = cupMl({ parts });
  return {
    ml: measuredOut(
      figure(ml, 'mL', () => sumWords(parts.filter(({ unit }) => unit === 'mL').map(amountWords))),
      { as: 'pour', said: saidOf(parts) },
    ),
    grams: figure(total, 'g', () => sumWords(dyed.map(gramWords))),
    strength:
      ml > 0 && total > 0
        ? figure(
            (100 * total) / ml,
            '%',
            () => `100 × ${formatAmount(total, 'g')} ÷ ${formatAmount(ml, 'mL')}, weight in volume`,
          )
        : null,
    dos: cup.goods && depth(dyed, cup.goods),
    dyes: dyed.map((part, i): CupDye => ({
      part,
      dyeId: part.material.kind === 'dye' ? part.material.dyeId : '',
      amount: measuredOut(
        figure(
          part.amount,
          part.unit,
          () => part.said.filter((text) => text !== '').join(' + ') || 'as it was put in',
        ),
        measureOf(part.material, saidOf([part]), { dyes }),
      ),
      grams: figure(grams[i] ?? 0, 'g', () => gramWords(part)),
      parts: figure(
        (grams[i] ?? 0) / least,
        'parts',
        () => `${formatAmount(grams[i] ?? 0, 'g')} ÷ ${formatAmount(least, 'g')}, what there is least of`,
      ),
      dos: cup.goods && depth([part], cup.goods),
    })),
    atLeast: cup.unmeasured.some(({ material }) => material.kind === 'dye'),
  };
}

function depth(parts: readonly CupPart[], goods: CupGoods): Figure {
  const standard = parts.reduce((sum, part) => sum + standardGramsOf(part), 0);
  return figure(
    depthOfShade(standard, goods.grams, 1),
    '%',
    () =>
      `100 × ${formatAmount(standard, 'g')} of standard strength ÷ ${formatAmount(goods.grams, 'g')} of goods`,
  );
}

const amountWords = ({ amount, unit }: CupPart): string => formatAmount(amount, unit);
const sumWords = (words: readonly string[]): string =>
  words.length === 0 ? 'nothing yet' : words.join(' + ');

function gramWords(part: CupPart): string {
  const { material, amount, unit } = part;
  return unit === 'mL' && material.kind === 'dye'
    ? `${plainNumber(amount)} mL × ${plainNumber(material.strengthPercent ?? 0)} % ÷ 100`
    : formatAmount(amount, unit);
}

/** A cup as it is drawn, from the powders in it; null while there is none. An estimate, for recognizing only. */
export function cupHex(cup: Cup, dyes: readonly Dye[]): string | null {
  const madeOf = cup.parts.flatMap((part) => {
    const { material } = part;
    const known = material.kind === 'dye' && dyes.some(({ id }) => id === material.dyeId);
    return known && material.kind === 'dye' ? [{ dyeId: material.dyeId, parts: dyeGramsOf(part) }] : [];
  });
  return madeOf.length === 0 ? null : premixSwatch({ id: `cup ${cup.id}`, name: cup.name, madeOf }, dyes);
}
