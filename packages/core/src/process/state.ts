import type { WeakAcidName } from '../materials/weakAcidNames';
import { DEFAULT_PLACE } from '../shelf/water';
import type { Act, ActOf, VesselRole } from './act';
import type { Chain } from './chain';
import { Named, type Things } from './named';
import type { Place } from './place';

/** An act of a list, with the id that everything it does is remembered by. */
export interface ListedAct {
  id: string;
  act: Act;
}

/** A weak acid as it is once it is in water, whatever bottle it came from. */
export type AcidSubstance = WeakAcidName;

/** Grams of each pure acid. */
export type Acids = Readonly<Partial<Record<AcidSubstance, number>>>;

/**
 * Dye that waits in a liquid, of one addition. It is given to the goods that were in its vessel since it came there, by
 * how much of them took dye and for how long.
 */
export interface Parcel {
  dyeId: string;
  /** Grams times lot strength. */
  standardGrams: number;
  /** The act it came by. */
  act: string;
  /** The pass it belongs to; null for none, as what another batch left. */
  pass: string | null;
  /** What its vessel had done to the goods when it came there. */
  since: Exposure;
  /** A wait that is over left it: it is no part of any depth that was meant, and spare goods may catch it. */
  left: boolean;
}

/** Liquid with all that is in it. */
export interface Liquid {
  ml: number;
  celsius: number;
  /** Strong base that the tap brought, milliequivalents. */
  alkalinityMeq: number;
  /** Acid that fiber took out of it, less what fiber brought into it, milliequivalents (estimate). */
  takenMeq: number;
  acids: Acids;
  parcels: readonly Parcel[];
}

/** A stretch of a piece. */
export type Stretch = Pick<Place, 'axis' | 'from' | 'to'>;

/** A stretch of a piece that has been in a vessel. */
export interface Contact {
  piece: string;
  stretch: Stretch;
}

/**
 * All contacts of a vessel so far, in the order they began, and how long each has lasted in all. An earlier one of the
 * same vessel holds the first of them, so that what came since is told by their difference.
 */
export interface Exposure {
  contacts: readonly Contact[];
  /** Minutes of each contact. */
  minutes: readonly number[];
}

/** What a meter or an eye last said of a vessel; it holds until something changes that vessel. */
export type Reading = NonNullable<ActOf<'look'>['reading']>;

export interface Vessel {
  role: VesselRole;
  name: string;
  capacityMl: number | null;
  liquid: Liquid;
  exposure: Exposure;
  /** Minutes since the list began, once the last act in it is over. */
  clock: number;
  reading: Reading | null;
  /** The last pass, counted from 0, that something was done for in it; -1 before any. */
  pass: number;
}

/** Where a part of a piece is: which vessel, and how much of it is in the liquid there; `none`: above it. */
export interface Whereabouts {
  vessel: string;
  /** Null: all of it. */
  reach: Stretch | 'none' | null;
}

/** Dye that goods got together, of one addition. */
export interface Dose {
  dyeId: string;
  standardGrams: number;
  /** The act it came by. */
  act: string;
  pass: string | null;
}

/** A stretch of a piece’s part in what goods got together at one moment; all of them share the doses. */
export interface Received {
  doses: readonly Dose[];
  /** Part of every dose that is this stretch’s, 0 to 1. */
  share: number;
  stretch: Stretch;
  /** What spare goods caught, and what another batch left: it counts in no depth. */
  counts: boolean;
}

/** Goods of one line that lie together; a line is one piece until some of it parts. */
export interface Piece {
  /** The line of goods it belongs to. */
  line: string;
  name: string;
  count: number;
  /** Dry, g. */
  grams: number;
  /** Part of it that takes acid dye, 0 to 1. */
  dyeableShare: number;
  /** Acid that its fiber holds at most, milliequivalents (estimate); none where that is not counted. */
  holdsMeq: number;
  /** Acid that its fiber carries as long as it lies in no liquid, milliequivalents (estimate). */
  boundMeq: number;
  catchUp: boolean;
  /** The batch they come from, when they were dyed before. */
  from: string | null;
  at: readonly Whereabouts[];
  lies: ActOf<'place'>['lies'];
  held: Liquid;
  /** Ice that lies on it and has not melted, g. */
  iceGrams: number;
}

/** What the place and the goods are like, as far as liquids hang on it. */
export interface Surroundings {
  tapC: number;
  roomC: number;
  alkalinityMgPerL: number;
  /** Liquid that wet goods hold unsqueezed, mL per dry gram (0.8 to 1.2 squeezed: from memory, yields to your own). */
  canHoldMlPerGram: number;
}

/** What can be asked of a state, and of one that an act is changing. */
export interface There {
  surroundings: Surroundings;
  vessels: Things<Vessel>;
  pieces: Things<Piece>;
  /** What each piece got, by its id; a piece that got nothing is not among them. */
  received: Things<Chain<Received>>;
}

/** Everything there is after some acts. Never changed; an act makes another one. */
export interface State extends There {
  vessels: Named<Vessel>;
  pieces: Named<Piece>;
  received: Named<Chain<Received>>;
  /** What went down the drain. */
  drained: Liquid;
  /** Water that left the goods as they dried, mL. */
  driedMl: number;
  /** The passes in their order. */
  passes: readonly string[];
  /** Minutes since the list began until the dyer’s hands are free. */
  handsFree: number;
}

/** No contact yet. */
export const NO_CONTACT: Exposure = { contacts: [], minutes: [] };

/** Liquid with nothing in it. */
export const plainLiquid = (ml: number, celsius: number): Liquid => ({
  ml,
  celsius,
  alkalinityMeq: 0,
  takenMeq: 0,
  acids: {},
  parcels: [],
});

/** No liquid. */
export const emptyLiquid = (celsius: number): Liquid => plainLiquid(0, celsius);

/** A vessel that stands empty. */
export const emptyVessel = (
  role: VesselRole,
  name: string,
  capacityMl: number | null,
  celsius: number,
): Vessel => ({
  role,
  name,
  capacityMl,
  liquid: emptyLiquid(celsius),
  exposure: NO_CONTACT,
  clock: 0,
  reading: null,
  pass: -1,
});

export const USUAL_SURROUNDINGS: Surroundings = {
  tapC: DEFAULT_PLACE.tapC,
  roomC: DEFAULT_PLACE.roomC,
  alkalinityMgPerL: 0,
  canHoldMlPerGram: 1.2,
};

/**
 * The state before any act.
 * @param passes ids in their order; a pass that is not named comes after them, in the order of its first act
 */
export const emptyState = (
  surroundings: Partial<Surroundings> = {},
  passes: readonly string[] = [],
): State => {
  const around = { ...USUAL_SURROUNDINGS, ...surroundings };
  return {
    surroundings: around,
    vessels: Named.none(),
    pieces: Named.none(),
    received: Named.none(),
    drained: emptyLiquid(around.tapC),
    driedMl: 0,
    passes,
    handsFree: 0,
  };
};
