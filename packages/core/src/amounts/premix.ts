import { FieldError } from '../figure/fieldError';
import type { Dye } from '../shelf/dye';

/** A mass of one single dye. */
export interface SingleDye {
  dyeId: string;
  grams: number;
}

type Powder = Pick<Dye, 'id' | 'name' | 'madeOf'>;

/**
 * A mass of powder as the single dyes in it: a premix is taken apart by its parts, however deep it is nested.
 * Exact; the masses add up to `grams`.
 * @param grams mass of the powder, g
 * @throws FieldError when a premix holds itself, or a powder it names is not there
 */
export function singleDyes(dyeId: string, grams: number, dyes: readonly Powder[]): SingleDye[] {
  const found = new Map<string, number>();
  const take = (id: string, mass: number, within: readonly string[]): void => {
    const dye = dyes.find((candidate) => candidate.id === id);
    if (!dye) throw new FieldError('madeOf', `There is no dye with the id “${id}” for this premix.`);
    if (within.includes(id))
      throw new FieldError(
        'madeOf',
        `“${dye.name}” holds itself: ${[...within.slice(within.indexOf(id)), id].join(' → ')}. Take it out of the premix.`,
      );
    if (dye.madeOf.length === 0) {
      found.set(id, (found.get(id) ?? 0) + mass);
      return;
    }
    const total = dye.madeOf.reduce((sum, part) => sum + part.parts, 0);
    for (const part of dye.madeOf) take(part.dyeId, (mass * part.parts) / total, [...within, id]);
  };
  take(dyeId, grams, []);
  return [...found].map(([id, mass]) => ({ dyeId: id, grams: mass }));
}

/** The ids of everything a powder is made of, itself first. @throws FieldError as `singleDyes` */
export function powdersWithin(
  dyeId: string,
  dyes: readonly Powder[],
  within: readonly string[] = [],
): string[] {
  const dye = dyes.find((candidate) => candidate.id === dyeId);
  if (!dye || within.includes(dyeId)) {
    singleDyes(within[0] ?? dyeId, 1, dyes);
    return [];
  }
  return [dyeId, ...dye.madeOf.flatMap((part) => powdersWithin(part.dyeId, dyes, [...within, dyeId]))];
}
