import { useSyncExternalStore } from 'react';
import { byBands, type Painting } from '@ythrion/core';

/** How the colors of yarn are told by now. */
export interface YarnPainting {
  painting: Painting;
  /** Another number, another painting: what was drawn by an earlier one is drawn anew. */
  number: number;
}

let now: YarnPainting = { painting: byBands, number: 0 };
const listeners = new Set<() => void>();

/** From now on yarn is painted in this way, wherever it is shown. */
export function paintYarn(painting: Painting): void {
  if (painting === now.painting) return;
  now = { painting, number: now.number + 1 };
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

export const useYarnPainting = (): YarnPainting => useSyncExternalStore(subscribe, () => now);
