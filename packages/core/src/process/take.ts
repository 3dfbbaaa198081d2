import { added, sinceFirst } from './chain';
import { boundIn, dividedBeside } from './bound';
import { liquidWith, pieceWith } from './change';
import type { Draft } from './draft';
import { width } from './exposure';
import { give } from './give';
import { CannotBe } from './impossible';
import { divided, joined } from './liquid';
import type { Place } from './place';
import { goodsAt } from './receive';
import { alone, gotIn, type Got } from './received';
import { emptyLiquid, NO_CONTACT, type Liquid, type Parcel, type Received, type Stretch } from './state';

/** How much is taken: so many mL, or a share of what is there. */
export type HowMuch = { ml: number } | { share: number };

/** A volume may be over what is there by as much as rounding makes, mL. */
const ROUNDING_ML = 1e-9;

function shareOf(much: HowMuch, thereMl: number, vessel: string | null): number {
  if ('share' in much) return much.share;
  if (much.ml > thereMl + ROUNDING_ML * Math.max(1, thereMl))
    throw new CannotBe(
      thereMl <= 0
        ? { code: 'nothing there', vessel }
        : { code: 'less there', vessel, thereMl, askedMl: much.ml },
    );
  return Math.min(1, much.ml / thereMl);
}

/** Liquid out of a vessel. What waits in one that is emptied is given first to the goods that were in it. @throws CannotBe */
export function takeFromVessel(draft: Draft, vesselId: string, much: HowMuch): Liquid {
  const { liquid } = draft.vessel(vesselId);
  if (liquid.ml === 0 && liquid.parcels.length === 0 && Object.keys(liquid.acids).length === 0)
    throw new CannotBe({ code: 'nothing there', vessel: vesselId });
  const share = shareOf(much, liquid.ml, vesselId);
  if (share >= 1) give(draft, vesselId, () => true);
  const bound = boundIn(draft, vesselId);
  const { taken, left } = dividedBeside(draft.vessel(vesselId).liquid, share, bound);
  draft.setLiquid(vesselId, left);
  return taken;
}

/**
 * Liquid out of the goods of a place: its share of what they hold, and as large a share of the dye that the place got
 * in the same pass. @throws CannotBe
 */
export function takeFromPlace(draft: Draft, place: Place, pass: string | null, much: HowMuch): Liquid {
  const goods = goodsAt(draft, place);
  const thereMl = goods.reduce((sum, [, { held }]) => sum + held.ml * width(place), 0);
  const share = shareOf(much, thereMl, null);
  const first = goods[0]?.[1].held.celsius ?? draft.surroundings.roomC;
  let liquid = emptyLiquid(first);
  for (const [id, piece] of goods) {
    const { taken, left } = divided(piece.held, share * width(place));
    const { recent, rest } = sinceFirst(draft.received.get(id) ?? null, ({ doses }) =>
      doses.some((dose) => dose.pass === pass),
    );
    const { kept, moved } = dyeLeaving(recent, place, pass, share);
    liquid = joined(joined(liquid, taken), liquidWith(emptyLiquid(first), { parcels: moved }));
    draft.pieces.set(id, pieceWith(piece, { held: left }));
    draft.received.set(id, kept.map(alone).reduce(added, rest));
  }
  return liquid;
}

function dyeLeaving(
  received: readonly Received[],
  place: Stretch,
  pass: string | null,
  share: number,
): { kept: Got[]; moved: Parcel[] } {
  const moved: Parcel[] = [];
  const kept: Got[] = [];
  for (const together of received)
    for (const entry of gotIn(together)) {
      const common = entry.pass === pass ? overlap(entry.stretch, place) : 0;
      if (common === 0) {
        kept.push(entry);
        continue;
      }
      const reached = entry.standardGrams * common;
      const { dyeId, act } = entry;
      moved.push({ dyeId, standardGrams: reached * share, act, pass, since: NO_CONTACT, left: false });
      const stays = gotWith(entry, reached * (1 - share), shared(entry.stretch, place));
      kept.push(...beside(entry, place, reached));
      if (stays.standardGrams > 0) kept.push(stays);
    }
  return { kept, moved };
}

/** The same addition, of another amount and stretch. */
const gotWith = ({ dyeId, act, pass, counts }: Got, standardGrams: number, stretch: Stretch): Got => ({
  dyeId,
  standardGrams,
  act,
  pass,
  stretch,
  counts,
});

/** Share of what a stretch got that lies on another: their common part on one axis, the other’s width across axes. */
function overlap(of: Stretch, on: Stretch): number {
  if (of.axis !== on.axis) return width(on);
  return Math.max(0, Math.min(of.to, on.to) - Math.max(of.from, on.from)) / width(of);
}

const shared = (of: Stretch, on: Stretch): Stretch =>
  of.axis === on.axis ? { axis: of.axis, from: Math.max(of.from, on.from), to: Math.min(of.to, on.to) } : of;

/** What of an entry lies beside the place, before it and after it; across axes it stays where it was. */
function beside(entry: Got, { axis, from, to }: Stretch, reached: number): Got[] {
  const { stretch } = entry;
  const rest = entry.standardGrams - reached;
  if (rest <= 0) return [];
  if (stretch.axis !== axis) return [gotWith(entry, rest, stretch)];
  const parts: Stretch[] = [
    { axis, from: stretch.from, to: Math.min(stretch.to, from) },
    { axis, from: Math.max(stretch.from, to), to: stretch.to },
  ].filter((part) => width(part) > 0);
  const all = parts.reduce((sum, part) => sum + width(part), 0);
  return parts.map((part) => gotWith(entry, (rest * width(part)) / all, part));
}
