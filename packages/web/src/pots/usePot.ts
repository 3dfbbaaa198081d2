import { useMemo } from 'react';
import { potClock, type BatchResponse, type BatchState, type PotClock } from '@ythrion/core';
import { useShelf } from '../api/queries';
import { useNow } from '../parts/useNow';
import { potView } from './potView';

/** A pot as it stands this moment: its batch, its level, and its clock. */
export function usePot(batch: BatchResponse): { state: BatchState; level: number; clock: PotClock } {
  const now = useNow(5);
  const dyes = useShelf().data?.dyes;
  const { state, level } = useMemo(() => potView(batch, dyes ?? []), [batch, dyes]);
  return { state, level, clock: potClock(state, now) };
}
