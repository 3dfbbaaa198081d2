import { dyeCautions } from '../../method/actCautions';
import { FieldError } from '../../figure/fieldError';
import { additionGrams } from '../../amounts/tally';
import { stockMl } from '../../amounts/stock';
import type { Written } from '../../method/line';
import type { ActOf } from '../../process/act';
import type { Material } from '../../process/material';
import { named, type Shelf } from '../../recipe/materials';
import type { Stock } from '../../shelf/stock';
import type { Again } from './again';
import type { Repeated } from './doneAgain';
import type { Reach } from './reach';

type DyeMaterial = Extract<Material, { kind: 'dye' }>;

/** A dye as it is poured or weighed now. */
export interface DyeNow {
  material: DyeMaterial;
  /** Grams of powder, and of those in stock, that stand for one gram then; its dye not counted. */
  perGram: number;
  /** True when powder was chosen where stock was poured. */
  isWeighed: boolean;
}

/**
 * What another jar, another lot or powder makes of a dye.
 * @param isBath whether it goes into a bath: powder that goes on dry stays powder
 * @throws FieldError for a jar of another dye
 */
export function dyeNow(
  then: DyeMaterial,
  isBath: boolean,
  to: Again,
  { dyes, stocks }: Pick<Shelf, 'dyes' | 'stocks'>,
): DyeNow {
  const dye = named(dyes, then.dyeId, 'dye', 'dye');
  const chosen = then.strengthPercent === null && !isBath ? null : to.stockFor[then.dyeId];
  const jar = jarNow(then, chosen, stocks);
  if (jar && jar.dyeId !== then.dyeId)
    throw new FieldError(
      `stockFor.${then.dyeId}`,
      `That jar does not hold ${dye.name}. Name a jar of ${dye.name}.`,
    );
  const isWeighed = chosen === null && then.strengthPercent !== null;
  return {
    material: {
      ...then,
      lotStrength: dye.lotStrength,
      stockId: isWeighed ? null : (jar?.id ?? then.stockId),
      strengthPercent: isWeighed ? null : (jar?.strengthPercent ?? then.strengthPercent),
    },
    perGram: then.lotStrength / dye.lotStrength,
    isWeighed,
  };
}

/** The jar that is poured from: the one that was chosen, or that of then, or where that is gone the one most like it. */
function jarNow(
  then: DyeMaterial,
  chosen: string | null | undefined,
  stocks: readonly Stock[],
): Stock | null {
  const id = chosen === undefined ? then.stockId : chosen;
  if (id === null) return null;
  const jar = named(stocks, id, `stockFor.${then.dyeId}`, 'stock jar');
  return chosen === undefined && jar.retired ? (jarLike(jar, stocks) ?? jar) : jar;
}

/** The jar on the shelf of the same dye whose strength is nearest. */
function jarLike({ dyeId, strengthPercent }: Stock, stocks: readonly Stock[]): Stock | null {
  const off = (jar: Stock): number => Math.abs(Math.log(jar.strengthPercent / strengthPercent));
  const [nearest] = stocks
    .filter((jar) => jar.dyeId === dyeId && !jar.retired)
    .toSorted((a, b) => off(a) - off(b));
  return nearest ?? null;
}

/** What the pours of a record are mapped with. */
export interface Pouring {
  reach: Reach;
  to: Again;
  shelf: Pick<Shelf, 'dyes' | 'stocks'>;
  /** What each dilution comes to, by its vessel. */
  dilutions: ReadonlyMap<string, DilutionNow>;
}

/** A working dilution as it is made now. */
export interface DilutionNow {
  /** Dye in it for what was in it, and liquid likewise. */
  dye: number;
  liquid: number;
  now: DyeNow;
}

/** Something put in, as it is put in now; null for what is not any more. */
export function putAgain(
  { id, act, line }: Repeated & { act: ActOf<'put'> },
  pouring: Pouring,
): Written | null {
  const { reach, to, shelf } = pouring;
  const { material, amount, into } = act;
  const times = 'place' in into ? reach.ofPlace(into.place.piece) : reach.ofVessel(into.vessel);
  if (material.kind !== 'dye') {
    return times > 0
      ? { ...line, id, act: { ...act, amount: amount === null ? null : amount * times } }
      : null;
  }
  const now = dyeNow(material, 'vessel' in into && reach.isBath(into.vessel), to, shelf);
  const factor = reach.ofDye(id) * (to.dyePercent / 100) * now.perGram;
  if (factor === 0) return null;
  const made =
    act.purpose === 'dilution' && 'vessel' in into ? pouring.dilutions.get(into.vessel) : undefined;
  // Weighed powder goes in by itself: nobody dilutes it.
  if (made?.now.isWeighed) return null;
  const measured = measuredNow(act.unit, amount, material, now, factor);
  return {
    ...line,
    id,
    askedGrams: act.purpose === 'dilution' ? null : askedOf(act.unit, amount, material, factor),
    madeUp: line.madeUp && made ? { ...line.madeUp, ml: line.madeUp.ml * made.liquid } : line.madeUp,
    // A jar in the place of the powder takes its caution away; powder in the place of a jar brings it.
    cautions: measured.unit === act.unit ? line.cautions : dyeCautions(measured.unit, 'place' in into),
    act: { ...act, ...measured },
  };
}

const gramsIn = (unit: 'mL' | 'g', amount: number, { strengthPercent }: DyeMaterial): number =>
  additionGrams({ unit, amount, strengthPercent: strengthPercent ?? 0 });

const askedOf = (
  unit: 'mL' | 'g',
  amount: number | null,
  then: DyeMaterial,
  factor: number,
): number | null => (amount === null ? null : gramsIn(unit, amount, then) * factor);

/** The amount of a dye now, in mL of its jar or g of powder. */
function measuredNow(
  unit: 'mL' | 'g',
  amount: number | null,
  then: DyeMaterial,
  { material }: DyeNow,
  factor: number,
): Pick<ActOf<'put'>, 'material' | 'amount' | 'unit'> {
  if (amount === null) return { material, amount, unit };
  const grams = gramsIn(unit, amount, then) * factor;
  return material.strengthPercent === null
    ? { material, amount: grams, unit: 'g' }
    : // The same jar at the same strength is poured as it was, to the last digit.
      {
        material,
        amount:
          unit === 'mL' && material.strengthPercent === then.strengthPercent
            ? amount * factor
            : stockMl(grams, material.strengthPercent),
        unit: 'mL',
      };
}

/** Liquid moved on, as it is moved now; null for what is not any more. */
export function movedAgain(
  { id, act, line }: Repeated & { act: ActOf<'move'> },
  pouring: Pouring,
): Written | null {
  const { reach, shelf } = pouring;
  const { from, to: end, ml, holds } = act;
  const place = end !== null && 'place' in end ? end.place : 'place' in from ? from.place : null;
  if (place?.piece != null && reach.ofPlace(place.piece) === 0) return null;
  if (ml === null)
    return { ...line, id, madeUp: line.madeUp && { ...line.madeUp, ml: line.madeUp.ml * reach.inAll } };
  const vessel = 'vessel' in from ? from.vessel : null;
  const made = vessel === null ? undefined : pouring.dilutions.get(vessel);
  if (holds?.kind !== 'dye' || !made || end === null)
    return {
      ...line,
      id,
      act: { ...act, ml: ml * (end !== null && 'vessel' in end ? reach.ofVessel(end.vessel) : reach.inAll) },
    };
  if (made.dye === 0) return null;
  const grams = gramsIn('mL', ml, holds) * made.dye;
  const { pass, line: of, purpose } = act;
  if (made.now.isWeighed)
    return {
      ...line,
      id,
      askedGrams: grams,
      cautions: dyeCautions('g', 'place' in end),
      act: {
        kind: 'put',
        pass,
        line: of,
        purpose,
        material: made.now.material,
        amount: grams,
        unit: 'g',
        into: end,
      },
    };
  const dye = named(shelf.dyes, holds.dyeId, 'dye', 'dye');
  return {
    ...line,
    id,
    askedGrams: grams,
    act: {
      ...act,
      ml: ml * made.liquid,
      holds: {
        ...holds,
        stockId: made.now.material.stockId,
        lotStrength: dye.lotStrength,
        strengthPercent: ((holds.strengthPercent ?? 0) * made.dye) / made.liquid,
      },
    },
  };
}

/** What each working dilution of a record comes to. */
export function dilutionsNow(
  repeated: readonly Repeated[],
  { reach, to, shelf }: Omit<Pouring, 'dilutions'>,
): Map<string, DilutionNow> {
  return new Map(
    repeated.flatMap(({ id, act }): [string, DilutionNow][] => {
      if (
        act.kind !== 'put' ||
        act.purpose !== 'dilution' ||
        act.material.kind !== 'dye' ||
        !('vessel' in act.into)
      )
        return [];
      const now = dyeNow(act.material, true, to, shelf);
      return [
        [
          act.into.vessel,
          { dye: reach.ofDye(id) * (to.dyePercent / 100) * now.perGram, liquid: reach.inAll, now },
        ],
      ];
    }),
  );
}
