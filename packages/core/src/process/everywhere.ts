import type { Place } from './place';

/** All of every piece. */
export const EVERYWHERE: Place = { piece: null, axis: 'around', from: 0, to: 1 };
