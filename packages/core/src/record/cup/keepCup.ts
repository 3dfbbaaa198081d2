import { FieldError } from '../../figure/fieldError';
import { premixSwatch } from '../../recipe/premixSwatch';
import { BLANK_DYE } from '../../shelf/blankDye';
import { dyeSchema, type Dye } from '../../shelf/dye';
import { stockSchema } from '../../shelf/stock';
import { dyeGramsOf, standardGramsOf } from '../additions';
import type { EventOf } from '../event';
import { cupMl, shareOf, type Cup, type CupPart } from './cup';
import { checkShare } from './pourCup';

/** What a cup that is kept is called, and by which ids. */
export interface KeptAs {
  name: string;
  /** Of the powder that it comes to; used where no single dye stands for it. */
  dyeId: string;
  stockId: string;
  /** `2026-11-27`. */
  today: string;
}

/** What is kept of a cup. */
export type CupKept = Omit<
  EventOf<'kept'>,
  'version' | 'id' | 'of' | 'at' | 'clockAt' | 'device' | 'count' | 'person'
>;

/**
 * A share of a cup kept: liquid as a jar with the strength that it really has, of a premix in the parts that went in; one
 * dye by itself as a jar of that dye; dry powder as a premix.
 * @param dyes every dye on the shelf
 * @throws FieldError of an empty cup, of water alone, or of what nobody measured
 */
export function keepCup(cup: Cup, share: number, as: KeptAs, dyes: readonly Dye[]): CupKept {
  checkShare(cup, share);
  const parts = cup.parts.map((part) => shareOf(part, share));
  const grams = byDye(parts, dyeGramsOf);
  const total = sum(grams.values());
  if (!(total > 0))
    throw new FieldError('cup', 'There is no dye in the cup: water alone is not kept as a jar.');
  const [unknown] = cup.unmeasured;
  if (unknown)
    throw new FieldError(
      'cup',
      `Nobody measured “${unknown.written}”, so the strength of a jar would be a guess. Pour it into a pot, or away.`,
    );
  const [only] = grams.size === 1 ? grams.keys() : [];
  const ml = cupMl({ parts });
  return {
    kind: 'kept',
    share,
    dye: only === undefined ? premixOf(as, grams, parts, dyes) : null,
    stock:
      ml === 0
        ? null
        : stockSchema.parse({
            id: as.stockId,
            dyeId: only ?? as.dyeId,
            strengthPercent: rounded((100 * total) / ml),
            volumeMl: rounded(ml),
            madeOn: as.today,
            note: `Kept of the cup ${cup.name}`,
          }),
  };
}

/** The powder that several dyes of a cup come to, in parts by their grams. */
function premixOf(
  { dyeId, name }: KeptAs,
  grams: ReadonlyMap<string, number>,
  parts: readonly CupPart[],
  dyes: readonly Dye[],
): Dye {
  const total = sum(grams.values());
  const premix = {
    ...BLANK_DYE,
    id: dyeId,
    name: name.trim(),
    // Parts go by number: per hundred, as fine as anybody weighs.
    madeOf: [...grams].map(([id, one]) => ({ dyeId: id, parts: rounded((100 * one) / total) })),
    lotStrength: rounded(sum(byDye(parts, standardGramsOf).values()) / total),
    note: 'Mixed in a cup',
  };
  return dyeSchema.parse({ ...premix, swatchHex: premixSwatch(premix, dyes) });
}

function byDye(parts: readonly CupPart[], of: (part: CupPart) => number): Map<string, number> {
  const sums = new Map<string, number>();
  for (const part of parts)
    if (part.material.kind === 'dye')
      sums.set(part.material.dyeId, (sums.get(part.material.dyeId) ?? 0) + of(part));
  return sums;
}

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);
/** Six figures: finer than anything that is weighed, and no tail of the arithmetic. */
const rounded = (value: number): number => Number(value.toPrecision(6));
