/** A list that only grows and shares all of what it grew from: adding to it copies nothing. Newest first. */
export type Chain<T> = { readonly item: T; readonly rest: Chain<T> } | null;

/** A chain with one more. */
export const added = <T>(chain: Chain<T>, item: T): Chain<T> => ({ item, rest: chain });

/** Everything in a chain, oldest first. */
export function listed<T>(chain: Chain<T>): T[] {
  const items: T[] = [];
  for (let link = chain; link !== null; link = link.rest) items.push(link.item);
  return items.reverse();
}

/** A chain of these, oldest first. */
export const chainOf = <T>(items: readonly T[]): Chain<T> => items.reduce<Chain<T>>(added, null);

/** A chain cut below the oldest item that is meant: what lies above the cut, oldest first, and what lies below it. */
export function sinceFirst<T>(
  chain: Chain<T>,
  isMeant: (item: T) => boolean,
): { recent: T[]; rest: Chain<T> } {
  let rest = chain;
  for (let link = chain; link !== null; link = link.rest) if (isMeant(link.item)) rest = link.rest;
  const recent: T[] = [];
  for (let link = chain; link !== null && link !== rest; link = link.rest) recent.push(link.item);
  return { recent: recent.reverse(), rest };
}
