import { createContext } from 'react';

/** A draft whose amounts are shown later than they are typed. */
export interface Deferred {
  /** How often something other than typing put another state in its place. */
  turned: number;
}

/**
 * Given where what an amount changes is heavy to show: the field itself follows every key at once, the rest of the
 * screen as soon as it can. Whoever takes such changes must build them on what stands, not on what is shown.
 */
export const DeferChanges = createContext<Deferred | null>(null);
