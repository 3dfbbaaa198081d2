import { depthOfShade } from '../amounts/dyeMass';
import type { Dye } from '../shelf/dye';
import { amountOf } from '../process/amountOf';
import type { Card } from './card';
import { cardLines } from './cardLines';
import { additionIn, dyeGramsOf, standardGramsOf } from './additions';
import { standingEvents } from './standing';
import type { Event } from './event';

/** All of one dye that went into one line of one pass. What a batch looks like and how deep it is hangs on these. */
export interface DyeTotal {
  pass: string;
  /** The line it was planned for; empty for dye that nobody planned a line for. */
  line: string;
  dyeId: string;
  /** Powder, g. */
  grams: number;
  /** The same in grams of standard strength. */
  standardGrams: number;
  additions: number;
}

/** What one event adds to the totals; null when it adds no dye. */
export function dyeTotalOf(event: Event): DyeTotal | null {
  const addition = additionIn(event);
  if (addition?.material.kind !== 'dye') return null;
  return {
    pass: addition.pass ?? '',
    line: addition.line ?? '',
    dyeId: addition.material.dyeId,
    grams: dyeGramsOf(addition),
    standardGrams: standardGramsOf(addition),
    additions: 1,
  };
}

/** The totals of a whole record, in the order the dyes first went in. */
export function dyeTotals(events: readonly Event[]): DyeTotal[] {
  const totals = new Map<string, DyeTotal>();
  for (const event of standingEvents(events).standing) {
    const one = dyeTotalOf(event);
    if (!one) continue;
    const key = `${one.pass} ${one.line} ${one.dyeId}`;
    const known = totals.get(key);
    totals.set(
      key,
      known
        ? {
            ...known,
            grams: known.grams + one.grams,
            standardGrams: known.standardGrams + one.standardGrams,
            additions: known.additions + 1,
          }
        : one,
    );
  }
  return [...totals.values()];
}

/** One dye over every pass, % of standard strength on all the goods. */
export interface DyeDepth {
  dyeId: string;
  dosPercent: number;
}

/** Depth of every dye on all the goods. @param wogGrams weight of goods, > 0 */
export function depthsOnGoods(
  totals: readonly { dyeId: string; standardGrams: number }[],
  wogGrams: number,
): DyeDepth[] {
  const sums = new Map<string, number>();
  for (const { dyeId, standardGrams } of totals)
    sums.set(dyeId, (sums.get(dyeId) ?? 0) + depthOfShade(standardGrams, wogGrams, 1));
  return [...sums].map(([dyeId, dosPercent]) => ({ dyeId, dosPercent }));
}

/** What the card asks for, line by line, before any rounding to a tool, as if it had gone in. */
export function askedTotals(card: Card): DyeTotal[] {
  return cardLines(card).flatMap(({ act, askedGrams }): DyeTotal[] => {
    const material = amountOf(act)?.material;
    if (material?.kind !== 'dye' || askedGrams === null) return [];
    return [
      {
        pass: act.pass ?? '',
        line: act.line ?? '',
        dyeId: material.dyeId,
        grams: askedGrams,
        standardGrams: askedGrams * material.lotStrength,
        additions: 1,
      },
    ];
  });
}

/** A dye's name, also where it is no longer known. */
export const dyeName = (dyeId: string, dyes: readonly Dye[]): string =>
  dyes.find((dye) => dye.id === dyeId)?.name ?? 'a dye no longer on the shelf';
