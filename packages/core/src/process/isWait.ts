import type { Act, ActOf } from './act';

/** An act in which time passes in a vessel. */
export type Wait = ActOf<'heat' | 'hold' | 'stand' | 'cool'>;

/** Whether an act is one in which time passes in a vessel. */
export const isWait = (act: Act): act is Wait =>
  act.kind === 'heat' || act.kind === 'hold' || act.kind === 'stand' || act.kind === 'cool';
