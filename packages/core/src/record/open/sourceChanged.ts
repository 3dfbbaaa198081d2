import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { standingEvents } from '../standing';
import { liquidLeaving, type LeavingLiquid } from './liquidLeaving';

/** The question of a batch whose bath came out of another one that has been changed since. */
export const SOURCE_QUESTION = 'source';

/** What a batch took over from another, and what that would be by the other’s record of today. */
export interface TakenOver {
  was: LeavingLiquid;
  /** Null where the bath did not leave that batch after all. */
  is: LeavingLiquid | null;
  changed: boolean;
  /** Somebody said that the figures stay. */
  kept: boolean;
}

/** The bath that a batch was begun in; null where it ran its own. */
export function bathOf({ card }: Pick<Batch, 'card'>): LeavingLiquid | null {
  for (const { act } of card.acts) if (act.kind === 'bring' && act.thing.kind === 'liquid') return act.thing;
  return null;
}

/** Figures that differ by less, one part in so many, are the same. */
const SAME = 1e-6;

/**
 * Holds what a batch took over against the record of the batch it came from, as that stands today. The figures of the
 * batch itself stay: each record is told by itself.
 */
export function takenOver(batch: Batch, source: Batch): TakenOver | null {
  const was = bathOf(batch);
  if (was?.from.batch !== source.id) return null;
  const { standing } = standingEvents(source.events);
  const left = standing.findIndex(({ id }) => id === was.from.event);
  const before = { ...source, events: standing.slice(0, Math.max(0, left)) };
  const is = left < 0 ? null : liquidLeaving(before, foldRecord(before), was.from.event);
  return {
    was,
    is,
    changed: is === null || !alike(was, is),
    kept: standingEvents(batch.events).standing.some(
      (event) => event.kind === 'answered' && event.question === SOURCE_QUESTION,
    ),
  };
}

function alike(one: LeavingLiquid, other: LeavingLiquid): boolean {
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME * Math.max(1e-6, Math.abs(a));
  const sums = (liquid: LeavingLiquid): Map<string, number> => {
    const all = new Map<string, number>();
    for (const { acid, pureGrams } of liquid.acids) all.set(acid, (all.get(acid) ?? 0) + pureGrams);
    for (const { dyeId, standardGrams } of liquid.dyes) all.set(dyeId, (all.get(dyeId) ?? 0) + standardGrams);
    return all;
  };
  const [a, b] = [sums(one), sums(other)];
  return (
    near(one.ml, other.ml) &&
    [...new Set([...a.keys(), ...b.keys()])].every((key) => near(a.get(key) ?? 0, b.get(key) ?? 0))
  );
}

/** Earlier batches that goods of a batch come from, with the line of each; guests are only set here. */
export const earlierBatches = ({
  card,
}: Pick<Batch, 'card'>): { line: string; name: string; batch: string; guest: boolean }[] =>
  card.acts.flatMap(({ act }) =>
    act.kind === 'bring' && act.thing.kind === 'goods' && act.thing.from !== null
      ? [{ line: act.line ?? '', name: act.thing.name, batch: act.thing.from, guest: act.purpose === 'set' }]
      : [],
  );
