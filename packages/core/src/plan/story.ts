import type { Figure } from '../figure/figure';
import { keepsBath, methodFacts, passShare, type PassMethod } from '../method';
import { acidsAt, toppedUp } from '../method/bath';
import type { Written } from '../method/line';
import { ready } from '../method/ready';
import type { AnyScene, Scene } from '../method/scene';
import { DYED_IN } from '../process/terms';
import { emptyState, type State } from '../process/state';
import { named, ownPot } from '../recipe/materials';
import { takenOverMl } from '../recipe/takenOver';
import type { Formulation, Pass } from '../recipe/recipe';
import { fiberFacts } from '../shelf/fibers';
import { isNeverWrung } from '../shelf/forms';
import type { Base } from '../shelf/base';
import { broughtGoods, broughtVessel } from './brought';
import { keepPasses, keptPasses } from './keptPasses';
import { acidGrams, around, boundMeqOf, brought, NO_BATH, together, type Bath } from './liquids';
import { ownPotAt, ownVessel, roleIn } from './ownVessel';
import { planPour, stockPouredMl, type PassGoods } from './pours';
import type { PourLine } from './planTypes';
import {
  bathAsDecided,
  cutOf,
  liquidAcidMl,
  paintWaterMl,
  resolveAcids,
  sceneAcid,
  sceneDyes,
  sceneParts,
  SOAK_ML_PER_GRAM,
  topUpAcidOf,
  type ResolvedAcid,
} from './sceneOf';
import { setSteps } from './setSteps';
import { tell, type Telling, type Told } from './tell';
import { riseOf } from './vesselHeat';

/** A pass as it was told. */
export interface ToldPass {
  pass: Pass;
  index: number;
  scene: Scene<PassMethod>;
  pours: PourLine[];
  acids: ResolvedAcid[];
  /** Dry goods that it reaches, g. */
  goodsGrams: number;
  /** The finished bath as it was decided. */
  decided: Figure;
  /** What a kept bath holds once the goods are out of it; nothing for any other. */
  kept: Bath | null;
  /** What a part of the bath before brings, where only that goes on. */
  takenOver: Bath | null;
  /** Acid that the fiber of the goods carries as the pass begins, meq. */
  boundMeqBefore: number;
  lines: Told[];
  /** Everything once its acts are done, before water is topped up. */
  end: State;
  /** And after that. */
  after: State;
}

/** A whole recipe as it was told: its acts, and the states between them. */
export interface Story {
  passes: ToldPass[];
  /** The set, and what comes after it. */
  set: Told[];
  lines: Told[];
  end: State;
}

/** Tells a recipe from its goods to the drying rail: each pass with what the one before left. */
export function tellRecipe(formulation: Formulation, bases: readonly Base[], goods: PassGoods): Story {
  const { recipe, place, water } = formulation;
  const telling: Telling = {
    state: emptyState(
      { tapC: place.tapC, roomC: place.roomC, alkalinityMgPerL: water.alkalinityMgPerL },
      recipe.passes.map(({ id }) => id),
    ),
    lines: [],
    roles: new Map(),
    vessel: bringVessel(formulation),
    ids: new Set(),
  };
  tell(telling, bringGoods(formulation, bases));
  const felts = bases.some(
    (base) => !base.superwash && base.fibers.some(({ fiber }) => fiberFacts(fiber).felts),
  );
  const pressed = recipe.goods.some(({ form }, i) => isNeverWrung(form ?? bases[i]?.form ?? 'skein'));
  const passes: ToldPass[] = [];
  const kept = keptPasses(formulation);
  recipe.passes.forEach((pass, index) => {
    const before = passes.at(-1) ?? null;
    const known = kept[index];
    if (known) retell(telling, known);
    passes.push(known ?? tellPass({ formulation, before, pass, index, goods, telling, pressed, felts }));
  });
  keepPasses(formulation, passes);
  const last = passes.at(-1);
  // Vessels that only the set needs are none of the last pass.
  telling.roles = new Map(telling.roles);
  const set = last
    ? tell(
        telling,
        setSteps({
          set: recipe.set,
          scene: {
            ...last.scene,
            roles: telling.roles,
            leaves: leavesOf(last.pass, last.scene.pressed),
          },
          owed: last.scene.waitsForSet
            ? { warm: acidsAt(last.scene, ['warm']), last: acidsAt(last.scene, ['last']) }
            : { warm: [], last: [] },
        }),
      )
    : [];
  return { passes, set, lines: telling.lines, end: telling.state };
}

interface PassInputs {
  pass: Pass;
  index: number;
  formulation: Formulation;
  goods: PassGoods;
  telling: Telling;
  pressed: boolean;
  felts: boolean;
  before: ToldPass | null;
}

/** Goes on behind a pass that need not be told again. */
function retell(telling: Telling, { lines, scene, after }: ToldPass): void {
  telling.state = after;
  for (const line of lines) {
    telling.lines.push(line);
    telling.ids.add(line.id);
  }
  telling.roles = new Map(scene.roles);
}

function tellPass({
  pass,
  index,
  formulation,
  goods,
  telling,
  pressed,
  felts,
  before,
}: PassInputs): ToldPass {
  const { recipe, place } = formulation;
  const way = methodFacts(pass.method.kind);
  const reached = passShare(pass.method);
  const goodsGrams = goods.wogGrams * reached;
  const pours = pass.dyes.map((line, d) =>
    planPour(pass, line, `recipe.passes.${index}.dyes.${d}`, formulation, goods, reached),
  );
  const from = telling.lines.length;
  const soaks = index === 0 && pass.goodsGoIn === 'wet' && recipe.wettingMinutes > 0;
  const soakMl = SOAK_ML_PER_GRAM * goods.wogGrams;
  const last = index === recipe.passes.length - 1;
  // Its own, so that a later pass adds nothing to it.
  telling.roles = new Map(telling.roles);
  const own = ownPot(pass, formulation);
  const vessel = own ? ownVessel(own) : before && keepsBath(pass) ? before.scene.vessel : way.needs;
  if (!telling.roles.has(vessel)) telling.roles.set(vessel, own ? roleIn(own, way.needs) : way.needs);
  const soakAcids = resolveAcids(pass, soaks, { bathMl: 0, soakMl, goodsGrams }, (when) => when === 'soak');
  const plain: AnyScene & { settings: PassMethod } = {
    settings: pass.method,
    pass: pass.id,
    index,
    vessel,
    roles: telling.roles,
    dyes: sceneDyes(pours),
    acids: soakAcids.map(sceneAcid),
    parts: sceneParts(pass.method, pours, goods.wogGrams),
    fillTo: null,
    takesOver: before && takesOver(pass, before.scene.vessel, vessel),
    paintWaterMl: 0,
    lies: pass.arrangement,
    // Whoever composes a way step by step may have wetted the goods outside of it.
    wet: index > 0 || soaks || (pass.method.kind === 'own way' && pass.goodsGoIn === 'wet'),
    soak: soaks ? { minutes: recipe.wettingMinutes, ml: soakMl, leaves: way.soaked } : null,
    leaves: before ? leavesOf(before.pass, pressed) : 'squeezed',
    heat: way.onGoods(pass.method) ? null : pass.heat,
    onGoods: way.onGoods(pass.method),
    waitsForSet: last && pass.heat === null && !way.onGoods(pass.method),
    topUpMl: pass.topUpMl,
    topUpAcid: null,
    tapC: place.tapC,
    catchUp: recipe.goods.filter((line) => line.catchUp).map((line) => line.id),
    pressed,
    felts,
    rise: (state, of, toC, ramp) => riseOf(formulation, state, of, toC, ramp),
  };
  tell(telling, ready(plain));
  const boundMeqBefore = boundMeqOf(telling.state);
  const left = before ? around(withoutGoods(telling.state), before.scene.vessel) : NO_BATH;
  const kept = keepsBath(pass) ? left : null;
  const takenOver = kept ? null : partOf(left, plain.takesOver?.ml ?? 0);
  const painted = plain.parts.filter(({ id }) => plain.dyes.some(({ placeId }) => placeId === id));
  const decided = bathAsDecided(pass, {
    thereMl: kept?.ml ?? null,
    pours,
    goodsGrams,
    ownPaintMl: painted.some(({ paintMl, share }) => differs(paintMl, pass.method, share * goods.wogGrams))
      ? painted.reduce((sum, { paintMl }) => sum + paintMl, 0)
      : null,
    paintedGrams:
      plain.parts.length === 0
        ? goodsGrams
        : goods.wogGrams * painted.reduce((sum, { share }) => sum + share, 0),
    soaks,
  });
  const acids = [
    ...resolveAcids(pass, soaks, { bathMl: decided.value, soakMl, goodsGrams }, (when) => when !== 'soak'),
    ...cutOf(pours, decided.value, goodsGrams),
  ];
  const poured = stockPouredMl(pours);
  const gPerL =
    (1000 *
      (acidGrams(kept ?? takenOver ?? NO_BATH) +
        acids.reduce((sum, { amounts }) => sum + amounts.pureGrams, 0))) /
    Math.max(1, decided.value);
  const scene: Scene<PassMethod> = {
    ...plain,
    acids: [...soakAcids, ...acids].map(sceneAcid),
    fillTo:
      kept || way.liquid === 'paint' || way.liquid === 'ice'
        ? null
        : { ml: decided.value, besideMl: poured + liquidAcidMl(acids) },
    paintWaterMl: paintWaterMl(pass.method, decided.value, plain.parts, pours, acids),
    topUpAcid: topUpAcidOf(pass, gPerL),
  };
  tell(telling, way.acts(scene));
  const end = telling.state;
  if (!last) tell(telling, toppedUp(scene));
  return {
    pass,
    index,
    scene,
    pours,
    acids: [...soakAcids, ...acids],
    goodsGrams,
    decided,
    kept,
    takenOver,
    boundMeqBefore,
    lines: telling.lines.slice(from),
    end,
    after: telling.state,
  };
}

/** What of the bath before goes on into a pass, and where that is; paint and ice stand in no bath. */
function takesOver(pass: Pass, from: string, vessel: string): AnyScene['takesOver'] {
  if (keepsBath(pass)) return from === vessel ? null : { from, ml: null };
  const ml = takenOverMl(pass);
  return ml > 0 ? { from, ml } : null;
}

/** So much of a bath; null for none. @param ml at most all of it */
function partOf(bath: Bath, ml: number): Bath | null {
  const taken = Math.min(bath.ml, ml);
  return taken > 0 ? { ...together(NO_BATH, bath, taken / bath.ml), ml: taken } : null;
}

/** How goods leave a pass: those that are never wrung drip. */
function leavesOf({ method }: Pass, pressed: boolean): AnyScene['leaves'] {
  const { leaves } = methodFacts(method.kind);
  return pressed && leaves === 'squeezed' ? 'dripping' : leaves;
}

/** Whether a section takes another amount of paint than is usual for its pass. */
const differs = (paintMl: number, method: PassMethod, grams: number): boolean =>
  'pickUpMlPerG' in method && Math.abs(paintMl - method.pickUpMlPerG * grams) > 1e-9 * paintMl;

/** The state as if no goods hung over any liquid: what they hold is theirs. */
const withoutGoods = (state: State): State => ({ ...state, pieces: emptyState().pieces });

/** What the acts of a pass brought to the goods and their vessels; top-ups and what was soaked up before are none of it. */
export function broughtBy(lines: readonly Told[], isCounted: (line: Told) => boolean = () => true): Bath {
  let sum = NO_BATH;
  for (const line of lines)
    if (isBringing(line) && isCounted(line)) sum = together(sum, brought(line.before, line.after));
  return sum;
}

/** Whether an act brings liquid to the dyeing: water, stock, acid, or ice that melts. */
function isBringing({ act }: Told): boolean {
  if (act.purpose === 'soak' || act.purpose === 'top up' || act.purpose === 'dilution') return false;
  if (act.kind === 'move') return act.holds !== null;
  return act.kind === 'run' || act.kind === 'put' || (act.kind === 'stand' && act.purpose === 'melt');
}

function bringGoods({ recipe, water }: Formulation, bases: readonly Base[]): Written[] {
  return recipe.goods.map((line, i) => {
    const base = bases[i] ?? named<Base>([], line.baseId, 'recipe.goods', 'yarn base');
    return {
      id: `bring.goods.${line.id}`,
      quiet: true,
      act: {
        kind: 'bring',
        pass: null,
        line: line.id,
        purpose: line.catchUp ? 'catch up' : null,
        thing: broughtGoods(line, base, water),
      },
    };
  });
}

const bringVessel =
  (formulation: Formulation): Telling['vessel'] =>
  (state, id, role) => {
    const own = ownPotAt(formulation, id);
    const isMain =
      DYED_IN.includes(role) &&
      !state.vessels
        .entries()
        .some(([there, vessel]) => DYED_IN.includes(vessel.role) && !ownPotAt(formulation, there));
    return {
      id: `bring.vessel.${id}`,
      quiet: true,
      act: {
        kind: 'bring',
        pass: null,
        line: null,
        purpose: null,
        thing: broughtVessel(id, role, own ?? (isMain ? formulation.pot : null)),
      },
    };
  };
