import { FieldError } from '../figure/fieldError';
import type { Dye } from '../shelf/dye';

/** A mass of one single dye. */
export interface SingleDye {
  dyeId: string;
  grams: number;
}

type Powder = Pick<Dye, 'id' | 'name' | 'madeOf'>;

/** Premixes within premixes, at most. */
const MOST_LEVELS = 6;

/** What a powder comes to: the share of each single dye in it, and the ids of everything within it, itself first. */
interface Within {
  shares: ReadonlyMap<string, number>;
  ids: ReadonlySet<string>;
  /** Premixes one in another; none in a single dye. */
  levels: number;
}

/** Takes powders apart; each is taken apart once, however often it is met. @throws FieldError */
function apart(dyes: readonly Powder[]): (dyeId: string) => Within {
  const byId = new Map(dyes.map((dye) => [dye.id, dye]));
  const known = new Map<string, Within>();
  const take = (id: string, path: readonly string[]): Within => {
    const found = known.get(id);
    if (found) return found;
    const dye = byId.get(id);
    if (!dye) throw new FieldError('madeOf', `There is no dye with the id “${id}” for this premix.`);
    if (path.includes(id))
      throw new FieldError(
        'madeOf',
        `“${dye.name}” holds itself: ${[...path.slice(path.indexOf(id)), id].join(' → ')}. Take it out of the premix.`,
      );
    if (path.length > MOST_LEVELS) throw tooDeep(byId.get(path[0] ?? '') ?? dye);
    const total = dye.madeOf.reduce((sum, { parts }) => sum + parts, 0);
    const shares = new Map<string, number>(dye.madeOf.length === 0 ? [[id, 1]] : []);
    const ids = new Set([id]);
    let levels = 0;
    for (const part of dye.madeOf) {
      const within = take(part.dyeId, [...path, id]);
      for (const [single, share] of within.shares)
        shares.set(single, (shares.get(single) ?? 0) + (share * part.parts) / total);
      for (const inner of within.ids) ids.add(inner);
      levels = Math.max(levels, 1 + within.levels);
    }
    if (levels > MOST_LEVELS) throw tooDeep(dye);
    const made = { shares, ids, levels };
    known.set(id, made);
    return made;
  };
  return (dyeId) => take(dyeId, []);
}

const tooDeep = ({ name }: Powder): FieldError =>
  new FieldError(
    'madeOf',
    `“${name}” is a premix of premixes more than ${MOST_LEVELS} deep. Mix it from what those hold.`,
  );

/**
 * A mass of powder as the single dyes in it: a premix is taken apart by its parts, up to six levels deep.
 * Exact; the masses add up to `grams`.
 * @param grams mass of the powder, g
 * @throws FieldError when a premix holds itself or goes too deep, or a powder it names is not there
 */
export const singleDyes = (dyeId: string, grams: number, dyes: readonly Powder[]): SingleDye[] =>
  [...apart(dyes)(dyeId).shares].map(([id, share]) => ({ dyeId: id, grams: grams * share }));

/** The ids of everything a powder is made of, itself first, each once. @throws FieldError as `singleDyes` */
export const powdersWithin = (dyeId: string, dyes: readonly Powder[]): string[] => [
  ...apart(dyes)(dyeId).ids,
];

/**
 * Looks whether premixes may stand on a shelf: each names a powder once, and can be taken apart.
 * @param dyes everything they may name
 * @returns what looks at one of them, and throws a FieldError where it may not
 */
export function premixChecker(dyes: readonly Powder[]): (premix: Powder) => void {
  const take = apart(dyes);
  return ({ id, name, madeOf }) => {
    const twice = madeOf.find(({ dyeId }, i) => madeOf.findIndex((part) => part.dyeId === dyeId) < i);
    if (twice)
      throw new FieldError(
        'madeOf',
        `“${name}” names “${dyes.find((dye) => dye.id === twice.dyeId)?.name ?? twice.dyeId}” twice. Put its parts together.`,
      );
    take(id);
  };
}
