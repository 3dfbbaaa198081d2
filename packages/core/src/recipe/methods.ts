import type { MethodKind, MethodOf, Pan, PassMethod, Section } from './methodSchema';

/** What is the same for every pass made in one way. */
export interface MethodFacts {
  label: string;
  /** What the way is for, in a sentence. */
  gives: string;
  /** Where its liquid comes from: the water of the pass, the size of the pan, or what the goods pick up as paint. */
  liquid: 'water' | 'pan' | 'paint';
  /** True when dye goes on as dry powder. */
  dry: boolean;
  /** True when the pass can be led hot; the others stand cold until the set. */
  hot: boolean;
  /** What is usual for it (common practice, no source). */
  usual: PassMethod;
}

const PAN = { shape: 'rectangular', lengthCm: 50, widthCm: 30 } as const;

export const METHODS: { [K in MethodKind]: MethodFacts & { usual: MethodOf<K> } } = {
  immersion: {
    label: 'immersion',
    gives: 'A full pot, stirred: solids and semisolids.',
    liquid: 'water',
    dry: false,
    hot: true,
    usual: { kind: 'immersion' },
  },
  'low immersion': {
    label: 'low immersion pan',
    gives: 'Water just at the goods, color dropped in places, turned once or twice.',
    liquid: 'pan',
    dry: false,
    hot: true,
    usual: { kind: 'low immersion', pan: PAN, wallCm: 10, depthCm: 4, turns: 1 },
  },
  'cool bath': {
    label: 'cool bath',
    gives: 'No heat for hours, then a set; tonal when the goods are dry or twisted.',
    liquid: 'water',
    dry: false,
    hot: false,
    usual: { kind: 'cool bath', minutes: 720, temperatureC: 20 },
  },
  glaze: {
    label: 'glaze',
    gives: 'Cold, strongly acid, left untouched: a thin surface color. Fast-striking dyes only.',
    liquid: 'water',
    dry: false,
    hot: false,
    usual: { kind: 'glaze', minutes: 30 },
  },
  repeated: {
    label: 'repeated twist or knot',
    gives: 'Small doses into a hot acid pot, the goods re-tied between them.',
    liquid: 'water',
    dry: false,
    hot: true,
    usual: { kind: 'repeated', repeats: 4, minutes: 8 },
  },
  dip: {
    label: 'dip',
    gives: 'A gradient by time in the bath, the end first.',
    liquid: 'water',
    dry: false,
    hot: true,
    usual: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 },
  },
  painting: {
    label: 'section painting',
    gives: 'Solution worked into sections of the hank, the lightest color first.',
    liquid: 'paint',
    dry: false,
    hot: false,
    usual: {
      kind: 'painting',
      layout: 'around',
      sections: [
        { id: 'a', name: 'Section A', sharePercent: 50 },
        { id: 'b', name: 'Section B', sharePercent: 50 },
      ],
      pickUpMlPerG: 1,
    },
  },
  sprinkle: {
    label: 'sprinkle',
    gives: 'Dry powder, or powder cut with citric crystals, in speckles.',
    liquid: 'water',
    dry: true,
    hot: true,
    usual: { kind: 'sprinkle', citricPerGram: 10, coverPercent: 30, settleMinutes: 5 },
  },
  ice: {
    label: 'ice or snow',
    gives: 'Powder on ice over the goods; the melt water dilutes the acid.',
    liquid: 'water',
    dry: true,
    hot: false,
    usual: { kind: 'ice', iceGrams: 1500, meltMinutes: 480 },
  },
  'painted stack': {
    label: 'painted stack',
    gives: 'Flat pieces one on another in a shallow pan; the lowest comes out darkest.',
    liquid: 'paint',
    dry: false,
    hot: false,
    usual: { kind: 'painted stack', layers: 3, drainPercent: 20, pickUpMlPerG: 1.2 },
  },
  'blank painting': {
    label: 'blank painting',
    gives: 'A knitted blank painted in stripes, wrapped, coiled and steamed.',
    liquid: 'paint',
    dry: false,
    hot: false,
    usual: {
      kind: 'blank painting',
      sections: [
        { id: 'a', name: 'Stripe 1', sharePercent: 34 },
        { id: 'b', name: 'Stripe 2', sharePercent: 33 },
        { id: 'c', name: 'Stripe 3', sharePercent: 33 },
      ],
      pickUpMlPerG: 1,
    },
  },
};

export const METHOD_KINDS = Object.keys(METHODS) as [MethodKind, ...MethodKind[]];

/** Facts of a method under their general type. */
export const methodFacts = (kind: MethodKind): MethodFacts => METHODS[kind];

/** The sections a method paints; none for the others. */
export const sectionsOf = (method: PassMethod): readonly Section[] =>
  method.kind === 'painting' || method.kind === 'blank painting' ? method.sections : [];

/** Share of the goods that a pass reaches, above 0 to 1. */
export function passShare(method: PassMethod): number {
  if (method.kind === 'dip') return method.sharePercent / 100;
  const sections = sectionsOf(method);
  if (sections.length === 0) return 1;
  return Math.min(1, sections.reduce((sum, section) => sum + section.sharePercent, 0) / 100);
}

/** Base of a pan, cm². */
export const panArea = (pan: Pan): number =>
  pan.shape === 'round' ? (Math.PI * pan.diameterCm ** 2) / 4 : pan.lengthCm * pan.widthCm;

/** True when a pass goes on in the bath that is in the pot: paint and a pan of its own size never do. */
export const keepsBath = (pass: { method: PassMethod; water: { basis: string } }): boolean =>
  pass.water.basis === 'kept' && METHODS[pass.method.kind].liquid === 'water';
