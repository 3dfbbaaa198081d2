/** What a quantity measures; decides which units a field accepts. */
export type Dimension =
  | 'mass'
  | 'volume'
  | 'percent'
  | 'temperature'
  | 'time'
  | 'ratio'
  | 'concentration'
  | 'length'
  | 'power'
  | 'number';

/** Everything a field needs to know about the amount it holds. */
export interface QuantityKind {
  dimension: Dimension;
  /** The unit values are kept and shown in. */
  unit: '' | 'g' | 'mL' | 'tsp' | '%' | '°C' | '°C/min' | 'min' | 'mL/g' | 'g/L' | 'cm' | 'm' | 'W';
  /** The name of the amount in a sentence. */
  noun: string;
  /** Lowest and highest value that can be; outside is refused. */
  possible: readonly [number, number];
  /** Lowest and highest value usually met; outside is asked about, never blocked. */
  usual: readonly [number, number];
  /** Values the up and down keys step through. */
  ladder: readonly number[];
  /** A value just above zero is allowed but zero itself is not. */
  aboveZero?: boolean;
  whole?: boolean;
  /** Words that go with the number and change nothing, or a unit that only this amount has; one word each. */
  words?: string;
  /** What a level teaspoon of it weighs, where nobody has to say. */
  gramsPerTeaspoon?: number;
  /** A strength that is also said as a powder in its liquid: `2 g in 200 mL`. */
  dissolved?: boolean;
  /** How it is said, with two examples, where its dimension alone would not tell. */
  said?: string;
}

const MASSES = [1, 5, 10, 20, 50, 100, 150, 200, 250, 300, 400, 500, 600, 800, 1000, 1500, 2000];

/**
 * The amounts of the trade. Usual ranges are common practice, no source; the possible ranges of depth (12 %)
 * and stock strength (10 %) are this application's own limits.
 */
export const QUANTITY_KINDS = {
  fiberMass: {
    dimension: 'mass',
    unit: 'g',
    noun: 'mass',
    possible: [0, 100_000],
    usual: [2, 5000],
    ladder: MASSES,
    aboveZero: true,
  },
  dos: {
    dimension: 'percent',
    unit: '%',
    noun: 'depth of shade',
    possible: [0, 12],
    usual: [0.02, 4],
    ladder: [0.025, 0.05, 0.1, 0.25, 0.5, 1, 2, 3, 4],
    aboveZero: true,
  },
  stockStrength: {
    dimension: 'percent',
    unit: '%',
    noun: 'stock strength',
    possible: [0, 10],
    usual: [0.05, 5],
    ladder: [0.1, 0.25, 0.5, 1, 2, 4],
    aboveZero: true,
    dissolved: true,
    said: 'Stock strength goes by percent, or by the powder in it: 1 %, 2 g in 200 mL.',
  },
  volume: {
    dimension: 'volume',
    unit: 'mL',
    noun: 'volume',
    possible: [0, 200_000],
    usual: [0.5, 60_000],
    ladder: [1, 2.5, 5, 10, 25, 50, 100, 200, 250, 500, 1000, 2000, 3000, 4000, 6000, 8000, 10_000],
    aboveZero: true,
  },
  dyeMass: {
    dimension: 'mass',
    unit: 'g',
    noun: 'dye',
    possible: [0, 2000],
    usual: [0.01, 100],
    ladder: [0.1, 0.25, 0.5, 1, 2, 4, 5, 10, 20, 50, 100],
    aboveZero: true,
    said: 'Powder goes by weight: 0.5 g, 250 mg.',
  },
  acidPerLiter: {
    dimension: 'concentration',
    unit: 'g/L',
    noun: 'acid per liter',
    possible: [0, 50],
    usual: [0.1, 8],
    ladder: [0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 5],
  },
  acidPercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'acid on weight of goods',
    possible: [0, 100],
    usual: [0.3, 15],
    ladder: [0.5, 1, 2, 3, 4, 5, 6, 8, 10],
  },
  acidStrength: {
    dimension: 'percent',
    unit: '%',
    noun: 'acid strength',
    possible: [0, 100],
    usual: [1, 100],
    ladder: [5, 6, 10, 50, 91.4, 100],
    aboveZero: true,
  },
  acidVolume: {
    dimension: 'volume',
    unit: 'mL',
    noun: 'acid',
    possible: [0, 20_000],
    usual: [1, 2000],
    ladder: [5, 10, 15, 30, 45, 60, 90, 120, 240, 480],
  },
  acidMass: {
    dimension: 'mass',
    unit: 'g',
    noun: 'acid',
    possible: [0, 5000],
    usual: [0.5, 200],
    ladder: [1, 2.5, 5, 7.5, 10, 15, 20, 30, 40],
    said: 'Crystals go by weight: 5 g, 1/4 oz.',
  },
  alkalinity: {
    dimension: 'number',
    unit: '',
    noun: 'alkalinity',
    possible: [0, 1000],
    usual: [0, 400],
    ladder: [0, 25, 50, 100, 150, 200, 300],
    words: 'mg/l',
    said: 'Alkalinity goes by milligrams a liter: 80, 150 mg/L.',
  },
  liquorRatio: {
    dimension: 'ratio',
    unit: 'mL/g',
    noun: 'liquor ratio',
    possible: [2, 300],
    usual: [8, 60],
    ladder: [5, 10, 15, 20, 25, 30, 40, 50, 60],
  },
  temperature: {
    dimension: 'temperature',
    unit: '°C',
    noun: 'temperature',
    possible: [10, 130],
    usual: [25, 100],
    ladder: [30, 60, 75, 80, 82, 85, 88, 90, 93, 95, 98, 100],
  },
  minutes: {
    dimension: 'time',
    unit: 'min',
    noun: 'time',
    possible: [0, 20_160],
    usual: [0, 4320],
    ladder: [5, 10, 15, 20, 25, 30, 40, 45, 60, 90, 120, 180, 480, 720],
  },
  count: {
    dimension: 'number',
    unit: '',
    noun: 'count',
    possible: [1, 1000],
    usual: [1, 100],
    ladder: [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 30, 60],
    whole: true,
    words: 'skein hank mini ball top blank piece pair sock',
    said: 'A count is a whole number: 3, 12 skeins.',
  },
  fiberPercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'fiber share',
    possible: [0, 100],
    usual: [1, 100],
    ladder: [5, 10, 15, 20, 25, 30, 40, 50, 60, 70, 75, 80, 90, 100],
    aboveZero: true,
  },
  price: {
    dimension: 'number',
    unit: '',
    noun: 'price',
    possible: [0, 100_000],
    usual: [0, 500],
    ladder: [5, 10, 15, 20, 30, 50],
    words: '€ $ £',
    said: 'A price goes by number: 12, 14.50.',
  },
  ph: {
    dimension: 'number',
    unit: '',
    noun: 'pH',
    possible: [0, 14],
    usual: [2, 8],
    ladder: [3, 3.5, 4, 4.5, 5, 5.5, 6, 7],
    said: 'pH goes by number: 4, 5.5.',
  },
  teaspoons: {
    dimension: 'volume',
    unit: 'tsp',
    noun: 'spoons',
    possible: [0, 768],
    usual: [0.03, 48],
    ladder: [0.125, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 3, 4, 6, 9, 12, 24, 48],
    aboveZero: true,
    said: 'This goes by the spoon: 1/4 tsp, 2 tbsp.',
  },
  parts: {
    dimension: 'number',
    unit: '',
    noun: 'parts',
    possible: [0, 10_000],
    usual: [0.1, 100],
    ladder: [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 50],
    aboveZero: true,
    words: 'part % percent',
    said: 'Parts go by number: 3, 2 1/2.',
  },
  inkPercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'print value',
    possible: [0, 100],
    usual: [0, 100],
    ladder: [5, 10, 20, 25, 30, 40, 50, 60, 70, 75, 80, 90, 100],
  },
  sharePercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'share',
    possible: [0, 100],
    usual: [3, 100],
    ladder: [5, 10, 15, 20, 25, 30, 33.3333, 40, 50, 60, 66.6667, 70, 75, 80, 90, 100],
    aboveZero: true,
  },
  dyePercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'share of the dye of then',
    possible: [1, 2000],
    usual: [25, 400],
    ladder: [25, 50, 75, 80, 90, 100, 110, 125, 150, 200, 300, 400],
    said: 'A share goes by percent: 50 %, 120.',
  },
  backPercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'share for the back',
    possible: [0, 200],
    usual: [0, 100],
    ladder: [0, 25, 33.3333, 50, 75, 100],
    said: 'What the back gets goes by percent of the front: 50 %, 100.',
  },
  drainPercent: {
    dimension: 'percent',
    unit: '%',
    noun: 'share that drains down',
    possible: [0, 90],
    usual: [0, 60],
    ladder: [0, 5, 10, 15, 20, 25, 30, 40, 50],
  },
  pickUp: {
    dimension: 'ratio',
    unit: 'mL/g',
    noun: 'wet pick-up',
    possible: [0.1, 6],
    usual: [0.6, 2.5],
    ladder: [0.6, 0.8, 1, 1.2, 1.5, 2, 2.5],
    said: 'Wet pick-up goes by milliliters a gram: 1, 1.5 mL/g.',
  },
  citricPerGram: {
    dimension: 'number',
    unit: '',
    noun: 'citric per gram of dye',
    possible: [0, 100],
    usual: [0, 20],
    ladder: [0, 1, 2, 4, 6, 10, 15, 20],
    words: 'g/g',
    said: 'Citric goes by grams a gram of dye: 4, 10 g/g.',
  },
  iceMass: {
    dimension: 'mass',
    unit: 'g',
    noun: 'ice',
    possible: [0, 50_000],
    usual: [200, 8000],
    ladder: [250, 500, 750, 1000, 1500, 2000, 3000, 4000],
    aboveZero: true,
    // From memory: a cup of cubes is about 130 g.
    gramsPerTeaspoon: 2.7,
    said: 'Ice goes by weight or by the cup: 5 lb, 8 cups.',
  },
  length: {
    dimension: 'length',
    unit: 'cm',
    noun: 'length',
    possible: [0, 300],
    usual: [1, 120],
    ladder: [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 25, 30, 35, 40, 50, 60],
    aboveZero: true,
  },
  altitude: {
    dimension: 'length',
    unit: 'm',
    noun: 'altitude',
    possible: [-430, 5500],
    usual: [-430, 4000],
    ladder: [0, 250, 500, 750, 1000, 1500, 2000, 3000, 4000],
    said: 'Altitude goes by length: 480 m, 1600 ft.',
  },
  power: {
    dimension: 'power',
    unit: 'W',
    noun: 'power of the ring',
    possible: [20, 20_000],
    usual: [80, 4000],
    ladder: [150, 200, 250, 300, 500, 800, 1000, 1200, 1500, 1800, 2000, 2500, 3000, 3500],
  },
  heatLoss: {
    dimension: 'number',
    unit: '',
    noun: 'heat loss',
    possible: [0, 100],
    usual: [1, 20],
    ladder: [2, 3, 4, 5, 6, 8, 10, 15],
  },
  rampRate: {
    dimension: 'number',
    unit: '°C/min',
    noun: 'rise',
    possible: [0.05, 20],
    usual: [0.3, 5],
    ladder: [0.5, 0.75, 1, 1.25, 1.5, 2, 2.5, 3, 4],
    words: 'c/min f/min',
    said: 'A rise goes by degrees a minute: 1.5, 2 °C/min.',
  },
  roomTemperature: {
    dimension: 'temperature',
    unit: '°C',
    noun: 'temperature',
    possible: [0, 45],
    usual: [8, 32],
    ladder: [8, 10, 12, 15, 18, 20, 22, 25, 30],
    said: 'Room temperature goes by degrees: 20 °C, 68 F.',
  },
  steps: {
    dimension: 'number',
    unit: '',
    noun: 'number',
    possible: [1, 24],
    usual: [1, 12],
    ladder: [1, 2, 3, 4, 5, 6, 8, 10, 12],
    whole: true,
    words: 'time turn twist knot pass dose step section layer',
    said: 'This is a whole number: 3, 4 times.',
  },
  graduation: {
    dimension: 'number',
    unit: '',
    noun: 'graduation',
    possible: [0, 1000],
    usual: [0.001, 100],
    ladder: [0.001, 0.01, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 25],
    aboveZero: true,
    words: 'ml g',
  },
  toolCapacity: {
    dimension: 'number',
    unit: '',
    noun: 'capacity',
    possible: [0, 50_000],
    usual: [0.1, 10_000],
    ladder: [1, 2.5, 5, 10, 20, 25, 50, 100, 250, 500, 1000, 2000],
    aboveZero: true,
    words: 'ml g',
  },
  topUp: {
    dimension: 'volume',
    unit: 'mL',
    noun: 'water to top up',
    possible: [0, 100_000],
    usual: [0, 20_000],
    ladder: [0, 100, 250, 500, 1000, 1500, 2000, 3000],
  },
  takenOver: {
    dimension: 'volume',
    unit: 'mL',
    noun: 'liquid taken over from the pass before',
    possible: [0, 100_000],
    usual: [0, 20_000],
    ladder: [0, 250, 500, 1000, 1500, 2000, 3000, 5000],
  },
} as const satisfies Record<string, QuantityKind>;

export type QuantityKindName = keyof typeof QUANTITY_KINDS;

/** Looks a kind up under its general type. */
export const quantityKind = (name: QuantityKindName): QuantityKind => QUANTITY_KINDS[name];

/** The next value up or down the kind's ladder from where the amount stands now. */
export function stepQuantity(name: QuantityKindName, value: number | undefined, direction: 1 | -1): number {
  const { ladder } = quantityKind(name);
  const first = ladder[0] ?? 1;
  if (value === undefined) return first;
  const beyond =
    direction === 1
      ? ladder.find((rung) => rung > value + 1e-9)
      : ladder.findLast((rung) => rung < value - 1e-9);
  return beyond ?? value;
}
