import { formatAmount } from '../units/formatQuantity';

export const STRIKES = ['unknown', 'fast', 'medium', 'slow'] as const;
export const CLEARS = ['unknown', 'clears', 'never'] as const;

/** How a dye behaves, as its dyer knows it. */
export interface Behavior {
  strikes: (typeof STRIKES)[number];
  clears: (typeof CLEARS)[number];
  /** Minutes until the bath is clear of it; null where nobody took the time. */
  clearsMinutes: number | null;
  /** At which temperature, °C; null where nobody knows. */
  clearsAtC: number | null;
  bleeds: boolean;
  /** Breaks into its parts when it is sprinkled. */
  breaks: boolean;
  littleGoesFar: boolean;
  /** Deepest depth of shade that makes sense with it, %; null where there is none. */
  deepestPercent: number | null;
}

export const UNKNOWN_BEHAVIOR: Behavior = {
  strikes: 'unknown',
  clears: 'unknown',
  clearsMinutes: null,
  clearsAtC: null,
  bleeds: false,
  breaks: false,
  littleGoesFar: false,
  deepestPercent: null,
};

/** What is known of a dye once its tint stayed in a bath; null where that is known already. */
export const neverClears = (behavior: Behavior): Behavior | null =>
  behavior.clears === 'never' ? null : { ...behavior, clears: 'never', clearsMinutes: null, clearsAtC: null };

/** How a dye behaves, in a few words each; none where nothing is known of it. */
export function behaviorWords(behavior: Behavior): string[] {
  const { strikes, clears, clearsMinutes, clearsAtC, bleeds, breaks, littleGoesFar, deepestPercent } =
    behavior;
  const at = clearsAtC === null ? '' : ` at ${formatAmount(clearsAtC, '°C')}`;
  return [
    ...(strikes === 'unknown'
      ? []
      : [strikes === 'medium' ? 'strikes at a medium pace' : `strikes ${strikes}`]),
    ...(clears === 'never'
      ? ['never quite clears']
      : clears === 'clears' && clearsMinutes !== null
        ? [`clears in about ${formatAmount(clearsMinutes, 'min')}${at}`]
        : []),
    ...(bleeds ? ['bleeds'] : []),
    ...(breaks ? ['breaks into its parts when sprinkled'] : []),
    ...(littleGoesFar ? ['a little goes far'] : []),
    ...(deepestPercent === null ? [] : [`no deeper than ${formatAmount(deepestPercent, '%')}`]),
  ];
}
