/** Why the acts still to come were changed at the pot. */
export const ALTERED_FOR = [
  /** A wait takes longer. */
  'longer',
  /** A wait comes once more. */
  'again',
  /** Lines are not done. */
  'left out',
  /** Lines change places. */
  'order',
  /** A single step comes in. */
  'step',
  /** A whole pass comes in. */
  'pass',
  /** Goods come in. */
  'goods',
  /** It goes on in another vessel. */
  'vessel',
  /** It is set in another way. */
  'set',
  /** Goods of another batch are set with these. */
  'shared',
  /** They are set with another batch. */
  'set elsewhere',
  /** The bath was not clear. */
  'not clear',
  /** The middle of the goods was pale. */
  'pale inside',
  /** The rinse bled. */
  'bled',
  /** What another pot taught. */
  'learned',
] as const;
export type AlteredFor = (typeof ALTERED_FOR)[number];
