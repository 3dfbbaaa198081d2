import type { Batch } from '../batch';
import type { Cup } from './cup';

/** The pot that a cup is likely to go into: the one that got some of it before; null where it has gone into none. */
export function potOfCup<B extends Pick<Batch, 'id'>>({ left }: Cup, running: readonly B[]): B | null {
  const into = left.flatMap((event) =>
    event.kind === 'poured' && event.batch !== null ? [event.batch] : [],
  );
  return running.find(({ id }) => id === into.at(-1)) ?? null;
}
