/** One way to set dye with heat, and what is usual for it. All values are common practice, no source. */
export interface SetMethodFacts {
  label: string;
  /** Lowest and highest temperature the method can hold, °C. */
  range: readonly [number, number];
  usualC: number;
  usualMinutes: number;
  /** Usual cooling in place before the goods are handled, minutes. */
  usualCoolMinutes: number;
  /** Minutes to get the heat going when the method is not a pot of water on a ring. */
  riseMinutes?: number;
  /** How far the method can be relied on. */
  confidence: string;
}

export const SET_METHODS = {
  simmer: {
    label: 'simmer hold',
    range: [60, 100],
    usualC: 88,
    usualMinutes: 25,
    usualCoolMinutes: 120,
    confidence: 'A full heat set for acid dyes on wool, nylon and silk.',
  },
  steam: {
    label: 'steam',
    range: [80, 100],
    usualC: 98,
    usualMinutes: 25,
    usualCoolMinutes: 60,
    riseMinutes: 15,
    confidence: 'A full heat set once the middle of the bundle is hot; thick bundles take longer.',
  },
  oven: {
    label: 'low oven',
    range: [80, 110],
    usualC: 93,
    usualMinutes: 30,
    usualCoolMinutes: 90,
    riseMinutes: 20,
    confidence: 'A full heat set if the goods stay wet to the end.',
  },
  microwave: {
    label: 'microwave',
    range: [80, 100],
    usualC: 95,
    usualMinutes: 8,
    usualCoolMinutes: 45,
    riseMinutes: 0,
    confidence: 'Sets small lots; heat is uneven, so turn between bursts and check for bleeding.',
  },
  'warm rest': {
    label: 'warm rest',
    range: [25, 60],
    usualC: 30,
    usualMinutes: 720,
    usualCoolMinutes: 0,
    riseMinutes: 0,
    confidence: 'Not equal to a heat set: some dyes will bleed. Test a wet strand before you rely on it.',
  },
} as const satisfies Record<string, SetMethodFacts>;

export type SetMethod = keyof typeof SET_METHODS;
export const SET_METHOD_NAMES = Object.keys(SET_METHODS) as [SetMethod, ...SetMethod[]];

/** Facts of a set method under their general type. */
export const setMethodFacts = (method: SetMethod): SetMethodFacts => SET_METHODS[method];

/** Goods below this may be handled without felting or scalding, °C (common practice, no source). */
export const HANDLING_C = 40;

/** Usual rise of a pot on a ring, °C per minute; also the most that non-superwash wool should see (common practice, no source). */
export const USUAL_RISE_C_PER_MIN = 1.5;
