import type { DrawnDye } from '../color/drawnColor';
import type { Figure } from '../figure/figure';
import type { Act, VesselRole } from '../process/act';
import type { AcidTime } from './acidTimes';
import type { Lying } from '../skein/bundle';
import type { Part } from '../skein/coat';
import type { Line, WayStep } from './line';
import type { Scene } from './scene';
import type { Section } from './settings';

/** A figure that one way alone needs. */
export interface NamedFigure {
  name: string;
  figure: Figure;
}

/** What a pass came to, read from its states, for the figures and notices of its way. */
export interface WayRead {
  /** Dry goods that it reaches, g; and all the goods. */
  goodsGrams: number;
  allGrams: number;
  bath: Figure;
  dyes: readonly {
    lineId: string;
    name: string;
    dyeClass: string;
    placeId: string | null;
    volumeMl: number;
  }[];
  acids: readonly { id: string; name: string }[];
  parts: readonly { id: string; name: string; paintMl: number }[];
}

/** Something about a pass that only its way knows: a code with its values. The way has the words for it. */
export interface WayNotice {
  code: string;
  values: Readonly<Record<string, string | number>>;
  /** True when it cannot be done like that. */
  blocks?: boolean;
  /** True when it is to be answered before a batch begins. */
  asks?: boolean;
}

/** The dyes of a pass for one place, or all of them when null, each at its depth on the goods it is for. */
export type Drawn = (placeId: string | null) => readonly DrawnDye[];

/** How the color of a pass lies on goods, for drawing. */
export interface WayLook {
  /** Its coats, first to last; each a list of places with their dyes, of which the first that covers a spot has it. */
  coats: readonly (readonly Part[])[];
  /** How goods lie for each coat, where that is not as in the pass. */
  lying?: readonly Lying[];
  /** How much more tonal than a stirred pot it comes out, 0 to 1. */
  tonal: number;
}

/** How a line is to be read. */
export interface WayWords<S> {
  /** The goods going in. */
  goodsIn(settings: S, line: Pick<Line, 'act' | 'dose'>): string;
  /** Words for an act of this way that differ from the usual; null for the usual ones. */
  title?(settings: S, line: Pick<Line, 'act' | 'dose' | 'madeUp'>): string | null;
  /** A second sentence; null for none. */
  detail?(settings: S, line: Pick<Line, 'act' | 'dose' | 'madeUp' | 'askedGrams'>): string | null;
  /** Where or how a color goes on: `on the top third`, `through a sieve`; null where that goes without saying. */
  where?(settings: S, place: Section | null): string | null;
  /** What the goods do without heat in a folded pass: `12 h cold`. */
  unheated(settings: S): string;
  notice(notice: WayNotice): string;
}

/**
 * One way of dyeing: everything there is to know of it, in one place. Order: places, entries resolved, doses, tools,
 * acts.
 */
export interface Method<S extends { kind: string }> {
  kind: S['kind'];
  label: string;
  /** What the way is for, in a sentence. */
  gives: string;
  /** What is usual for it (common practice, no source). */
  usual: S;
  /** Where its liquid comes from: the water of the pass, the size of the pan, what the goods pick up, or the ice. */
  liquid: 'water' | 'pan' | 'paint' | 'ice';
  /** True where no bath stands around the goods: acid that is due late goes onto them, before they are set. */
  onGoods(settings: S): boolean;
  /** True when dye goes on as dry powder. */
  dry: boolean;
  /** True when the pass can be led hot; the others stand cold until the set. */
  hot: boolean;
  /** True when a pass begins led hot, until it is said otherwise. */
  hotUsually: boolean;
  /** True where the waits of the way are all there are: heat only says how hot they are. */
  waitsItself: boolean;
  /** When its acid may go in, as a dose says it; none where a step of its own says it. */
  acidTimes: readonly AcidTime[];
  /** When its acid goes in until it is said otherwise. */
  acidUsually: AcidTime;
  /** How wet goods are that were soaked for it. */
  soaked: 'dripping' | 'damp';
  /** How its goods leave it. */
  leaves: 'squeezed' | 'dripping' | 'as they lie';
  /** What the goods lie in. */
  needs: VesselRole;
  /** What a line of dye may be for, with its share of the goods; none: all that the pass reaches. */
  places(settings: S): readonly Section[];
  /** Part of the goods that it reaches, above 0 to 1. */
  reach(settings: S): number;
  /** The doses that a dye goes in in, each as its share of the whole; together 1. */
  shares(settings: S, lineId: string): readonly number[];
  /** Citric crystals a gram of powder is cut with, g. */
  cut(settings: S): number;
  /** The liquid of the way itself, mL; null where the pass decides its water. @param grams goods it reaches */
  bath(settings: S, grams: number): Figure | null;
  /** The acts of a pass once its goods are ready, up to where the next pass or the set begins. */
  acts(scene: Scene<S>): WayStep[];
  figures(settings: S, read: WayRead): NamedFigure[];
  /** Where its color lies. An estimate for drawing. */
  look(settings: S, drawn: Drawn): WayLook;
  notices(settings: S, read: WayRead): WayNotice[];
  words: WayWords<S>;
}

/** What is usual where a way says nothing else. */
export const USUAL_WAY = {
  dry: false,
  hotUsually: false,
  waitsItself: false,
  soaked: 'dripping',
  acidTimes: ['soak', 'start', 'warm', 'last'],
  acidUsually: 'start',
  leaves: 'squeezed',
  onGoods: (): boolean => false,
  places: (): readonly Section[] => [],
  reach: (): number => 1,
  shares: (): readonly number[] => [1],
  cut: (): number => 0,
  bath: (): null => null,
  figures: (): NamedFigure[] => [],
  notices: (): WayNotice[] => [],
} as const;

/** Words of a way that adds none of its own. */
export const USUAL_WORDS = {
  goodsIn: (_: unknown, { act }: Pick<Line, 'act'>): string =>
    isWet(act) ? 'Lift the goods in, open, and stir' : 'Lay the dry goods in',
  unheated: (): string => 'no heat before the set',
  notice: ({ code }: WayNotice): string => code,
};

/** Whether goods that are laid in are wet. */
export const isWet = (act: Act): boolean => act.kind === 'place' && act.wet;
