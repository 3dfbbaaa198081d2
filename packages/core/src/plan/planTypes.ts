import type { AcidsInBath } from '../acid/expectedPh';
import type { AcidMaterial } from '../materials/acids';
import type { Figure } from '../figure/figure';
import type { SetMethod } from '../heat/setMethods';
import type { YarnLook } from '../skein/yarnLook';
import type { CautionName } from '../materials/cautionNames';
import type { School } from '../recipe/dyeEntrySchema';
import type { MethodKind } from '../method';
import type { NamedFigure, WayNotice } from '../method/method';
import type { Notice } from './notices';
import type { AcidTime } from '../method/acidTimes';
import type { Bath } from './liquids';
import type { Told } from './tell';

export interface PlannedGoods {
  lineId: string;
  baseName: string;
  form: string;
  count: number;
  grams: Figure;
  catchUp: boolean;
  /** Color before any pass, and color after all of them, for drawing. */
  undyedHex: string;
  /** How the line looks before the first pass and after each, for drawing. */
  looks: YarnLook[];
}

/** How an amount is measured: which tool, what is read on it, and what that really comes to. */
export interface Measured {
  toolId: string;
  toolName: string;
  fills: number;
  /** What to read on the tool. */
  reading: Figure;
  /** Reading error, % of the reading. */
  error: Figure;
  /** Depth that the reading really gives. */
  realDos: Figure;
}

/** A tool, and how often it is filled. */
export interface ToolUse {
  name: string;
  fills: number;
}

/** A working dilution for a pour too small to read. */
export interface PlannedDilution {
  ratio: number;
  take: Figure;
  takeWith: ToolUse;
  makeUp: Figure;
  makeUpWith: string;
  strengthPercent: number;
  /** What to pour of the dilution, and with which tool. */
  pour: Figure;
  pourWith: ToolUse;
  error: Figure;
  realDos: Figure;
}

/** A dose that is not as large as the first: how many times that, how much, and what it is measured with. */
export interface LaterDose {
  times: number;
  amount: Figure;
  tool: { name: string; fills: number } | null;
}

/** What to pour or weigh for one dye line. */
export interface PourLine {
  lineId: string;
  dyeId: string;
  dyeName: string;
  sectionId: string | null;
  school: School;
  stockId: string | null;
  stockCode: string;
  strengthPercent: number | null;
  lotStrength: number;
  grams: Figure;
  /** Stock to pour; null when the powder itself is weighed. */
  volume: Figure | null;
  /** How many doses it goes in, and the first of them; a single dose is the whole. */
  doses: number;
  each: Figure;
  /** The doses after the first, where they are not the same again. */
  later: LaterDose[];
  /** Citric crystals to cut a sprinkled powder with. */
  cut: Figure | null;
  dos: Figure;
  dosOnDyeable: Figure | null;
  measured: Measured | null;
  dilution: PlannedDilution | null;
  cost: Figure | null;
}

/** One acid dose in the words of every school. */
export interface PlannedAcid {
  /** Of the dose; `cut` for citric that powder is cut with. */
  id: string;
  /** Its place in the list of the pass, from 1; 0 for citric that powder is cut with. */
  nth: number;
  material: AcidMaterial;
  label: string;
  /** Of the bottle: g per 100 mL, or % pure. */
  strengthPercent: number;
  when: AcidTime;
  /** The act that puts it in. */
  actId: string;
  amount: Figure;
  pureGrams: Figure;
  gPerL: Figure;
  percentOfGoods: Figure;
  /** Expected pH of the bath with this dose and those before it, goods in it, and before they go in. */
  pH: Figure;
  phBeforeGoods: Figure;
  /** The other acid: for the same pH in this bath (null where no amount of it gets there), and for as many protons. */
  instead: { label: string; samePh: Figure | null; sameProtons: Figure };
}

/** A painted section or a layer of a stack, with what it takes. */
export interface PlannedPart {
  id: string;
  name: string;
  goods: Figure;
  /** Finished paint for it; null where it is not painted by itself. */
  paint: Figure | null;
  /** Water to fill its stock up with; null where it is not painted by itself. */
  fillUp: Figure | null;
  dos: Figure;
}

/** A pass led hot. */
export interface PlannedHeat {
  rise: Figure;
  temperature: Figure;
  hold: Figure;
}

/** Acid that is due beside the doses that were decided, in the acid poured last. */
export interface AcidDue {
  material: AcidMaterial;
  label: string;
  strengthPercent: number;
  amount: Figure;
}

/** Water topped up, and the acid that goes with it; none in a bath without acid. */
export interface PlannedTopUp {
  water: Figure;
  acid: AcidDue | null;
}

export interface PlannedPass {
  id: string;
  kind: MethodKind;
  title: string;
  /** The vessel that it has for itself, by name; null for that of the batch. */
  vessel: string | null;
  /** Goods that this pass reaches. */
  goods: Figure;
  parts: PlannedPart[];
  pours: PourLine[];
  bath: Figure;
  liquorRatio: Figure;
  /** Water to run: the bath less everything poured into it and what is in the pot already. */
  water: Figure;
  acids: PlannedAcid[];
  /** Liquid of the pass before that goes on into this one, where only a part of it does; null for none. */
  takenOver: Figure | null;
  /** Pure acids that the bath before brings along, g. */
  acidsBefore: AcidsInBath;
  /** All that is in the bath with the goods, and what they bring: what its pH is asked of. */
  inBath: Bath;
  /** The bath as it was decided, whatever is poured into it, mL. */
  decidedMl: number;
  /** What its way has to say of it. */
  said: WayNotice[];
  /** pH usual for the dyes of this pass, low and high. */
  phWindow: readonly [number, number];
  /** Acid in the bath, all doses together, as grams per liter and expected pH; null without acid. */
  bathAcid: { gPerL: Figure; pH: Figure } | null;
  topUp: PlannedTopUp | null;
  /** What only this method needs. */
  figures: NamedFigure[];
  heat: PlannedHeat | null;
  dos: Figure;
  dosOnAllGoods: Figure;
}

export interface Plan {
  name: string;
  goods: PlannedGoods[];
  wog: Figure;
  dyeable: Figure;
  dyeablePercent: Figure;
  passes: PlannedPass[];
  set: {
    method: SetMethod;
    temperature: Figure;
    hold: Figure;
    cool: Figure;
    rise: Figure;
    /** Where water boils here. */
    boiling: Figure;
    /** When the center of the bundle is hot; null where there is no bundle. */
    centerHot: Figure | null;
    /** When the pot has cooled to handling by itself; null while the vessel is not known. */
    expectedCool: Figure | null;
  };
  totals: {
    dye: Figure;
    /** Every pass together, on all the goods. */
    dos: Figure;
    water: Figure;
    acids: { label: string; amount: Figure }[];
    onHeat: Figure;
    handsOn: Figure;
    elapsed: Figure;
    cost: Figure | null;
  };
  /** The powders taken apart into single dyes. */
  singleDyes: { dyeId: string; name: string; grams: Figure }[];
  /** Every act of it in order, with the states around each. */
  lines: Told[];
  cautions: CautionName[];
  notices: Notice[];
}
