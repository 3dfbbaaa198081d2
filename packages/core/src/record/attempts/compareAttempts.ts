import { FieldError } from '../../figure/fieldError';
import type { Figure } from '../../figure/figure';
import type { Plan } from '../../plan/planTypes';
import type { Attempt } from './attempt';
import { plannedDyes } from './plannedDyes';

/** Something that stands beside others, dye by dye: what went in, or what a version of a colorway takes. */
export interface Beside {
  /** What it is called where something is wrong with it. */
  name: string;
  /** Dry goods, g. */
  goods: Figure;
  dyes: { dyeId: string; dyeName: string; amount: Figure; dos: Figure; atLeast: boolean }[];
}

/** An attempt as it stands beside others. */
export const attemptBeside = ({ batch, goods, dyes }: Attempt): Beside => ({
  name: batch.code,
  goods,
  dyes: dyes.map(({ dyeId, dyeName, poured, grams, dos, atLeast }) => ({
    dyeId,
    dyeName,
    amount: poured ?? grams,
    dos,
    atLeast,
  })),
});

/** A version of a colorway as it stands beside attempts: what it takes. */
export const versionBeside = (name: string, plan: Pick<Plan, 'passes' | 'wog'>): Beside => ({
  name,
  goods: plan.wog,
  dyes: plannedDyes(plan).map((dye) => ({ ...dye, atLeast: false })),
});

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
 * Attempts and versions side by side, dye by dye, in the order in which the dyes first went in. On other goods they are compared in %.
 * @throws FieldError for more than six, or goods of no mass
 */
export function compareAttempts(attempts: readonly Beside[]): AttemptRow[] {
  if (attempts.length > MOST_ATTEMPTS)
    throw new FieldError('attempts', `At most ${MOST_ATTEMPTS} stand side by side: choose some of them.`);
  for (const { goods, name } of attempts)
    if (!(goods.value > 0))
      throw new FieldError(
        'attempts',
        `The goods of ${name} have no mass that counts, so nothing can be said in % of them. Leave it out, or weigh them.`,
      );
  const ids = [...new Set(attempts.flatMap(({ dyes }) => dyes.map(({ dyeId }) => dyeId)))];
  return ids.map((dyeId): AttemptRow => {
    const found = attempts.map(({ dyes }) => dyes.find((dye) => dye.dyeId === dyeId) ?? null);
    return {
      dyeId,
      dyeName: found.find((dye) => dye !== null)?.dyeName ?? '',
      cells: found.map((dye, i): AttemptCell => ({
        amount: dye && dye.amount,
        dos: dye && dye.dos,
        differs: i > 0 && isOther(dye?.dos.value ?? 0, found[i - 1]?.dos.value ?? 0),
        atLeast: dye?.atLeast ?? false,
      })),
    };
  });
}

const isOther = (one: number, other: number): boolean => Math.abs(one - other) > SAME * Math.max(one, other);
