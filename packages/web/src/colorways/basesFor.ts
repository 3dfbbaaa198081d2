import type { ShelfResponse } from '@ythrion/core';

/** The bases that goods can be of, and the one they are of though it is retired. */
export const basesFor = (
  now: string | undefined,
  { bases }: ShelfResponse,
): { value: string; label: string }[] =>
  bases
    .filter(({ id, retired }) => !retired || id === now)
    .map(({ id, name }) => ({ value: id, label: name }));
