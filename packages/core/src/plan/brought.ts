import { mostHeldMmol } from '../acid/fiberUptake';
import { dyeableShare } from '../amounts/dyeableShare';
import type { Thing, VesselRole } from '../process/act';
import { lineGrams } from '../recipe/lineGrams';
import type { Formulation, GoodsLine } from '../recipe/recipe';
import type { Base } from '../shelf/base';
import type { Pot } from '../shelf/pot';

/** A line of goods as an act brings it in. @param water whether the acid that fiber holds is counted here */
export function broughtGoods(
  line: GoodsLine,
  base: Base,
  { countFiberUptake }: Formulation['water'],
): Extract<Thing, { kind: 'goods' }> {
  const grams = lineGrams(line);
  return {
    kind: 'goods',
    name: base.name,
    baseId: base.id,
    form: line.form ?? base.form,
    count: line.count,
    grams,
    dyeableShare: dyeableShare(base.fibers),
    holdsMeq: countFiberUptake ? mostHeldMmol(grams, base.fibers) : 0,
    catchUp: line.catchUp,
    from: null,
  };
}

/** A vessel as an act brings it in. @param pot the one on the shelf; null where none was chosen */
export const broughtVessel = (
  vessel: string,
  role: VesselRole,
  pot: Pot | null = null,
): Extract<Thing, { kind: 'vessel' }> => ({
  kind: 'vessel',
  vessel,
  role,
  name: pot?.name ?? '',
  shelfId: pot?.id ?? null,
  capacityMl: pot?.capacityMl ?? null,
});

/** What a vessel on the shelf is in a process; a pot where none was chosen. */
export const potRole = (pot: Pick<Pot, 'kind'> | null): VesselRole =>
  pot === null || pot.kind === 'slow cooker' ? 'pot' : pot.kind;
