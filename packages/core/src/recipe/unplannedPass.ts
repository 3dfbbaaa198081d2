import { methodFacts, type MethodKind } from '../method';
import type { Shelf } from './materials';
import { jarFor, newPass, usualBath } from './newColorway';
import { passFromPattern } from './passFromPattern';
import type { Pass } from './recipe';
import { entryIn } from './dyeEntry';

/** What a pass that comes in at the pot is like: one that there is already, or a way with one dye at so deep a shade. */
export type PassLike =
  { like: 'pass'; pass: Pass } | { like: 'way'; kind: MethodKind; dyeId: string; percent: number };

/**
 * A pass that nobody had planned, with ids of its own.
 * @param bath whether it goes on in the bath that is there, as far as its way dyes in a bath, or in fresh water
 * @param before the pass it follows: acid and the measure of the dye are those of it
 */
export function unplannedPass(
  what: PassLike,
  bath: 'kept' | 'fresh',
  shelf: Shelf,
  newId: () => string,
  before?: Pass,
): Pass {
  const pass = what.like === 'pass' ? passFromPattern(what, newId) : passOfOneDye(what, shelf, newId, before);
  if (bath === 'kept' && methodFacts(pass.method.kind).liquid === 'water')
    return { ...pass, water: { basis: 'kept' } };
  return pass.water.basis === 'kept' ? { ...pass, water: usualBath(pass.method.kind, undefined) } : pass;
}

function passOfOneDye(
  { kind, dyeId, percent }: Extract<PassLike, { like: 'way' }>,
  shelf: Shelf,
  newId: () => string,
  before: Pass | undefined,
): Pass {
  const pass = newPass(newId(), kind, shelf, newId, before);
  return {
    ...pass,
    dyes: pass.dyes.slice(0, 1).map((line) => ({
      ...line,
      dyeId,
      entry: entryIn('depth', percent),
      stockId: methodFacts(kind).dry ? null : jarFor(shelf, dyeId),
    })),
  };
}
