import { useMemo } from 'react';
import { potClock, type BatchResponse, type PotClock } from '@ythrion/core';
import { useShelf } from '../studio/queries';
import { useNow } from '../parts/useNow';
import { potView, type PotView } from './potView';

/** A pot as it stands this moment: its batch, its level, and its clock. */
export function usePot(batch: BatchResponse): PotView & { clock: PotClock } {
  const now = useNow(5);
  const dyes = useShelf().data?.dyes;
  const pot = useMemo(() => potView(batch, dyes ?? []), [batch, dyes]);
  return { ...pot, clock: potClock(pot.state, now) };
}
