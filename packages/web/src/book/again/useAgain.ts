import { useMemo, useState } from 'react';
import {
  asItWas,
  depths,
  dyeAgain,
  firstFree,
  foldRecord,
  nextDepth,
  orWhy,
  withThen,
  type Again,
  type Batch,
  type DyedAgain,
  type FoldedRecord,
  type ShelfResponse,
  type VesselChoice,
} from '@ythrion/core';

/** How deep it is dyed now, against then. */
export const DEPTHS_NOW = ['as it was', 'a step paler', 'a step deeper', 'other'] as const;
export type DepthNow = (typeof DEPTHS_NOW)[number];

/** What a record becomes as it is to be dyed now; while that cannot be, the last that could, and why. */
export interface AgainDraft {
  to: Again;
  change: (changes: Partial<Again>) => void;
  depth: DepthNow;
  setDepth: (depth: DepthNow) => void;
  folded: FoldedRecord;
  made: DyedAgain | null;
  problem: string | null;
}

/**
 * A record on its way to be dyed again, in a vessel that is free and holds it: the one of then before all others.
 * @param vesselsFor the vessels of the shelf, held against what they must hold, mL
 */
export function useAgain(
  batch: Batch,
  shelf: ShelfResponse,
  vesselsFor: (needsMl: number) => readonly VesselChoice[],
): AgainDraft {
  const folded = useMemo(() => foldRecord(batch), [batch]);
  const [to, setTo] = useState<Again>(() => {
    const then = batch.formulation.pot;
    const into = (needsMl: number): Again => ({
      ...asItWas(batch, folded),
      potId: firstFree(vesselsFor(needsMl), then)?.id ?? null,
    });
    return into(attempt(batch, folded, into(0), shelf).made?.needsMl ?? 0);
  });
  const [depth, setKind] = useState<DepthNow>('as it was');
  const now = useMemo(() => attempt(batch, folded, to, shelf), [batch, folded, to, shelf]);
  const [good, setGood] = useState(now.made);
  if (now.made !== null && now.made !== good) setGood(now.made);
  return {
    to,
    change: (changes) => setTo((before) => ({ ...before, ...changes })),
    depth,
    setDepth: (next) => {
      setKind(next);
      if (next !== 'other') setTo((before) => ({ ...before, dyePercent: dyePercentFor(next, folded) }));
    },
    folded,
    made: now.made ?? good,
    problem: now.problem,
  };
}

/** All dye by which a depth comes a rung up or down the ladder, %. */
function dyePercentFor(depth: Exclude<DepthNow, 'other'>, { end }: FoldedRecord): number {
  const all = [...depths(end).values()].reduce((sum, one) => sum + one, 0);
  if (depth === 'as it was' || all === 0) return 100;
  return (100 * nextDepth(all, depth === 'a step deeper' ? 'deeper' : 'paler')) / all;
}

function attempt(
  batch: Batch,
  folded: FoldedRecord,
  to: Again,
  shelf: ShelfResponse,
): { made: DyedAgain | null; problem: string | null } {
  const { value: made, problem } = orWhy(() =>
    dyeAgain(batch, folded, to, withThen(shelf, batch.formulation), {
      left: shelf.stockLeft,
      today: new Date().toISOString(),
    }),
  );
  return { made, problem };
}
