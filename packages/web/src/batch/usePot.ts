import { useMemo } from 'react';
import { potClock, type BatchResponse, type PotClock } from '@ythrion/core';
import { useShelf } from '../studio/queries';
import { useNow } from '../parts/useNow';
import { potView, type PotView } from './potView';

/** A pot as it stands this moment: its batch, its level, and its clock. */
export function usePot(batch: BatchResponse): PotView & { clock: PotClock } {
  const now = useNow(5);
  const { dyes, studio } = useShelf().data ?? {};
  const pot = useMemo(() => potView(batch, dyes ?? [], studio), [batch, dyes, studio]);
  return { ...pot, clock: potClock(pot.state, now) };
}
