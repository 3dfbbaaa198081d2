/** Does one piece of work after the other, whatever becomes of each. */
export interface Turns {
  <T>(work: () => Promise<T>): Promise<T>;
  /** Resolves once all that was asked for by now has ended. */
  ended: () => Promise<void>;
}

export function inTurn(): Turns {
  let last: Promise<unknown> = Promise.resolve();
  const turn = <T>(work: () => Promise<T>): Promise<T> => {
    const next = last.then(work);
    last = next.catch(() => undefined);
    return next;
  };
  return Object.assign(turn, { ended: async () => void (await last) });
}
