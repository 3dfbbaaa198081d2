/** What a fiber means for acid dyeing. */
export interface FiberFacts {
  label: string;
  takesAcidDye: boolean;
  /** True when it felts if handled hot, unless it was made superwash. */
  felts?: boolean;
  /** Usual heat-set window in the bath, °C (common practice, no source). */
  setWindow?: readonly [number, number];
}

const PROTEIN = [85, 98] as const;

/** The fibers a hand dyer meets, with their usual set windows. */
export const FIBERS = {
  wool: { label: 'wool', takesAcidDye: true, felts: true, setWindow: PROTEIN },
  merino: { label: 'merino', takesAcidDye: true, felts: true, setWindow: PROTEIN },
  alpaca: { label: 'alpaca', takesAcidDye: true, felts: true, setWindow: PROTEIN },
  mohair: { label: 'mohair', takesAcidDye: true, felts: true, setWindow: [80, 93] },
  cashmere: { label: 'cashmere', takesAcidDye: true, felts: true, setWindow: [80, 90] },
  yak: { label: 'yak', takesAcidDye: true, felts: true, setWindow: [80, 93] },
  silk: { label: 'silk', takesAcidDye: true, setWindow: [75, 88] },
  nylon: { label: 'nylon', takesAcidDye: true, setWindow: PROTEIN },
  cotton: { label: 'cotton', takesAcidDye: false },
  linen: { label: 'linen', takesAcidDye: false },
  viscose: { label: 'viscose', takesAcidDye: false },
  polyester: { label: 'polyester', takesAcidDye: false },
  acrylic: { label: 'acrylic', takesAcidDye: false },
  metallic: { label: 'metal filament', takesAcidDye: false },
} as const satisfies Record<string, FiberFacts>;

export type Fiber = keyof typeof FIBERS;

export const FIBER_NAMES = Object.keys(FIBERS) as [Fiber, ...Fiber[]];

/** Facts of a fiber under their general type. */
export const fiberFacts = (fiber: Fiber): FiberFacts => FIBERS[fiber];
