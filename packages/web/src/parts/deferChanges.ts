import { createContext } from 'react';

/**
 * True where what an amount changes is heavy to show: the field itself follows every key at once, the rest of the
 * screen as soon as it can. Whoever takes such changes must build them on what stands, not on what is shown.
 */
export const DeferChanges = createContext(false);
