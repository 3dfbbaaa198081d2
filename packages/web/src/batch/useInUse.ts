import { useMemo } from 'react';
import { potsOf } from '@ythrion/core';
import { useRunning } from '../studio/queries';

/** Names of the batches that stand in the vessels of the shelf, by the vessel's id. */
export function useInUse(): ReadonlyMap<string, string> {
  const running = useRunning().data;
  return useMemo(
    () =>
      new Map(
        (running ?? []).flatMap(({ name, formulation }) =>
          potsOf(formulation).map(({ id }) => [id, name] as const),
        ),
      ),
    [running],
  );
}
