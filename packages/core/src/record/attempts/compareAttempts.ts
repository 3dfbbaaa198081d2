import { FieldError } from '../../figure/fieldError';
import type { Figure } from '../../figure/figure';
import type { Attempt } from './attempt';

/** One dye of one attempt beside the others. */
export interface AttemptCell {
  /** As it was measured out; null where none of it went in. */
  amount: Figure | null;
  /** On the goods, %; null where none of it went in. */
  dos: Figure | null;
  /** Whether it is another depth than in the attempt before it. */
  differs: boolean;
  /** Something of it was not measured: the depth is at least this. */
  atLeast: boolean;
}

/** One dye over all attempts. */
export interface AttemptRow {
  dyeId: string;
  dyeName: string;
  cells: AttemptCell[];
}

/** Attempts that stand side by side, at most. */
export const MOST_ATTEMPTS = 6;
/** Depths farther apart than this differ, as a share: what a spoon is off is no other color (common practice, no source). */
const SAME = 0.01;

/**
 * Attempts side by side, dye by dye, in the order in which the dyes first went in. On other goods they are compared in %.
 * @throws FieldError for more than six, or goods of no mass
 */
export function compareAttempts(attempts: readonly Attempt[]): AttemptRow[] {
  if (attempts.length > MOST_ATTEMPTS)
    throw new FieldError(
      'attempts',
      `At most ${MOST_ATTEMPTS} attempts stand side by side: choose some of them.`,
    );
  for (const { goods, batch } of attempts)
    if (!(goods.value > 0))
      throw new FieldError(
        'attempts',
        `The goods of ${batch.code} have no mass that counts, so nothing can be said in % of them. Leave it out, or weigh them.`,
      );
  const ids = [...new Set(attempts.flatMap(({ dyes }) => dyes.map(({ dyeId }) => dyeId)))];
  return ids.map((dyeId): AttemptRow => {
    const found = attempts.map(({ dyes }) => dyes.find((dye) => dye.dyeId === dyeId) ?? null);
    return {
      dyeId,
      dyeName: found.find((dye) => dye !== null)?.dyeName ?? '',
      cells: found.map((dye, i): AttemptCell => ({
        amount: dye && (dye.poured ?? dye.grams),
        dos: dye && dye.dos,
        differs: i > 0 && isOther(dye?.dos.value ?? 0, found[i - 1]?.dos.value ?? 0),
        atLeast: dye?.atLeast ?? false,
      })),
    };
  });
}

const isOther = (one: number, other: number): boolean => Math.abs(one - other) > SAME * Math.max(one, other);
