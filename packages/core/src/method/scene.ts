import type { Figure } from '../figure/figure';
import type { AcidMaterial } from '../materials/acids';
import type { Act, ActOf, Purpose, VesselRole } from '../process/act';
import type { State } from '../process/state';
import type { AcidTime } from './acidTimes';

/** One dye of a pass, ready to be measured: the tools are chosen, the amounts are those of one dose. */
export interface SceneDye {
  lineId: string;
  /** The place it is for; null: all that the pass reaches. */
  placeId: string | null;
  dyeId: string;
  /** Null for powder. */
  stockId: string | null;
  strengthPercent: number | null;
  lotStrength: number;
  /** Powder asked for in the first dose, g. */
  askedGrams: number;
  /** The first dose as it is measured: mL of stock or of the dilution, g of powder. */
  amount: number;
  unit: 'mL' | 'g';
  tool: { name: string; fills: number } | null;
  dilution: {
    takeMl: number;
    takeWith: { name: string; fills: number };
    makeUpMl: number;
    makeUpWith: string;
    strengthPercent: number;
  } | null;
  /** Doses after the first, where they are not the same again; how many times the first each is. */
  later: readonly { times: number; amount: number; tool: { name: string; fills: number } | null }[];
}

/** When acid goes in: at a time that was decided, or with the powder that is cut with it. */
export type AcidWhen = AcidTime | 'cut';

/** One acid dose of a pass, resolved. */
export interface SceneAcid {
  /** Of the dose; `cut` for what goes in with the powder beside them. */
  id: string;
  material: AcidMaterial;
  strengthPercent: number;
  amount: number;
  when: AcidWhen;
}

/** A place on the goods: which stretches of them it is, and what its cup of paint is made up to. */
export interface ScenePart {
  id: string;
  /** Part of the goods, 0 to 1. */
  share: number;
  stretches: readonly { from: number; to: number }[];
  paintMl: number;
  fillUpMl: number;
}

/** All that the acts of one pass are written from. Amounts, goods and tools are settled; it knows no recipe. */
export interface Scene<S> {
  settings: S;
  pass: string;
  /** Counted from 0. */
  index: number;
  /** The vessel that the goods lie in. */
  vessel: string;
  /** What each vessel is that an act of this plan may name. */
  roles: Map<string, VesselRole>;
  dyes: readonly SceneDye[];
  acids: readonly SceneAcid[];
  parts: readonly ScenePart[];
  /** Liquid that is to be in the vessel, mL: what goes in beside water is taken off. Null: what is there stays. */
  fillTo: { ml: number; besideMl: number } | null;
  /** Liquid of the pass before that goes on into this one: from where, and how much of it, mL; null: all. */
  takesOver: { from: string; ml: number | null } | null;
  /** Water that paint is filled up with, mL. */
  paintWaterMl: number;
  lies: ActOf<'place'>['lies'];
  /** False for goods that go in dry. */
  wet: boolean;
  soak: { minutes: number; ml: number; leaves: 'dripping' | 'damp' } | null;
  /** How the goods leave the pass before, when there was one. */
  leaves: 'squeezed' | 'dripping' | 'as they lie';
  heat: { rampCPerMin: number; temperatureC: number; minutes: number } | null;
  /** True where no bath stands around the goods: what is poured or strewn goes onto them. */
  onGoods: boolean;
  /** True when the set follows and this pass has not been warm: acid for the warm and the hot bath waits for it. */
  waitsForSet: boolean;
  topUpMl: number;
  topUpAcid: SceneAcid | null;
  tapC: number;
  /** Lines of spare goods that catch what is left. */
  catchUp: readonly string[];
  /** True when some of the goods are pressed, and never wrung. */
  pressed: boolean;
  /** True when some wool here can felt. */
  felts: boolean;
  /** Minutes that a vessel takes to a temperature, as it stands. */
  rise(state: State, vessel: string, toC: number, rampCPerMin: number): Figure;
}

/** A scene whatever its way. */
export type AnyScene = Omit<Scene<unknown>, 'settings'>;

/** What every act carries: its pass, line and purpose. */
export const of = (
  { pass }: Pick<AnyScene, 'pass'>,
  purpose: Purpose | null,
  line: string | null = null,
): Pick<Act, 'pass' | 'line' | 'purpose'> => ({ pass, line, purpose });

/** A role within its pass. */
export const idIn = ({ pass }: Pick<AnyScene, 'pass'>, role: string): string => `${pass}.${role}`;

/** A vessel there is one of: the soak, the steamer. Naming it makes it known. */
export function theOne({ roles }: Pick<AnyScene, 'roles'>, role: VesselRole): string {
  roles.set(role, role);
  return role;
}

function ofPass({ roles, pass }: AnyScene, role: VesselRole, name: string, what: string): string {
  const id = what === '' ? `${name}.${pass}` : `${name}.${pass}.${what}`;
  roles.set(id, role);
  return id;
}

/** A cup of paint of this pass: of one section, of all of it, or the water that cups are filled up with. */
export const paintCup = (scene: AnyScene, what: string): string => ofPass(scene, 'paint cup', 'cup', what);
/** The working dilution of one line of this pass. */
export const dilutionOf = (scene: AnyScene, line: string): string =>
  ofPass(scene, 'working dilution', 'dilution', line);
/** The ice heaped over the goods of this pass. */
export const iceOf = (scene: AnyScene): string => ofPass(scene, 'melting ice', 'ice', '');
