import { chooseTool } from '../../amounts/chooseTool';
import { dyeableShare } from '../../amounts/dyeableShare';
import { FieldError } from '../../figure/fieldError';
import type { WayStep, Written } from '../../method/line';
import { amountOf } from '../../process/amountOf';
import type { Act } from '../../process/act';
import { DYED_IN } from '../../process/terms';
import { emptyState, type State } from '../../process/state';
import { formulate, named, type Shelf } from '../../recipe/materials';
import type { Formulation } from '../../recipe/recipe';
import type { PlanContext } from '../../plan/notices';
import { broughtVessel } from '../../plan/brought';
import { tell, type Told } from '../../plan/tell';
import { ownPotAt } from '../../plan/ownVessel';
import { riseOf } from '../../plan/vesselHeat';
import type { Batch } from '../batch';
import type { Card, CardAct } from '../card';
import { lineOnCard } from '../cardOf';
import { CARD_VERSION } from '../cardVersion';
import type { FoldedRecord } from '../foldRecord';
import type { Tool } from '../../shelf/tool';
import type { Again } from './again';
import { curesOf } from '../alter/bled';
import { againNotices, fullestMl, type AgainNotice } from './againNotices';
import { doneAgain, type NotAgain, type Repeated } from './doneAgain';
import { goodsLines, goodsThen, thenAndNow } from './goodsAgain';
import { joinedCups } from './joinedCups';
import { madeUp } from './makeUp';
import { mapAct, type Mapping } from './mapAct';
import { dilutionsNow, dyeNow } from './pouredAgain';
import { Reach, type LineOfGoods } from './reach';
import { writtenAgain } from '../saidInRecord';
import { recipeAgain } from './recipeAgain';

/** Why an act of a record has none beside it now. */
export type NotNow = NotAgain['why'] | 'no goods' | 'no room';

/** One act of a record beside the same act as it is to be done now; null on the side where there is none. */
export interface ComparedAct {
  /** Its line of the card of then, or the act by itself where nobody planned it. */
  then: CardAct | null;
  now: Told | null;
  why: NotNow | null;
}

/** A record as it is to be dyed again: a batch like any other. */
export interface DyedAgain {
  formulation: Formulation;
  card: Card;
  compared: ComparedAct[];
  notices: AgainNotice[];
  /** What the chosen vessel must hold, mL; 0 where none is chosen. */
  needsMl: number;
  /** The jar that each dye comes from, null for powder; powder that goes on dry has no choice of jar and is not here. */
  jars: ReadonlyMap<string, string | null>;
  /** Whether another part of some goods takes dye than did then: only there does it matter what depth is kept on. */
  takesOther: boolean;
  /** What there is once the card is done. */
  end: State;
}

/** Amounts that differ by less, one part in so many, are equal but for rounding: their tool stays. */
const SAME = 1e-9;

/**
 * The done acts of a record mapped to other goods, jars and another vessel; never by way of a recipe. Dye by the dyeable
 * grams that its own act reached, times old lot strength over new; water, soak and ice by the weight of the goods; acid
 * keeps its grams per liter; moves stay shares of what is there. Waits are those that were planned, and what was done
 * beside them. Linear in the goods.
 * @param context what jars still hold and what day it is
 * @param shelf with what the record refers to and is no longer on it
 * @throws FieldError when a base, dye or jar is not known, or the goods take no dye
 */
export function dyeAgain(
  batch: Batch,
  folded: FoldedRecord,
  to: Again,
  shelf: Shelf,
  context: PlanContext = {},
): DyedAgain {
  const { repeated, left } = doneAgain(joinedCups(folded.toTheEnd), batch.card, curesOf(batch.events));
  const then = goodsThen(folded);
  const lines = goodsLines(then, to, batch.formulation.recipe, shelf);
  const goods = thenAndNow(then, lines, shelf);
  if (to.depthOn === 'dyeable' && !lines.some((line) => takesDye(line.baseId, shelf)))
    throw new FieldError('goods', 'Nothing in these goods takes acid dye.');
  const acts = repeated.map(({ act }) => act);
  const reach = new Reach(folded.end, acts, goods, to.depthOn === 'goods' ? 'grams' : 'dyeable');
  const pot = shelf.pots?.find(({ id }) => id === to.potId) ?? null;
  const was = batch.formulation.recipe;
  const noDyes = was.passes.map((pass) => ({ ...pass, dyes: [] }));
  const place = formulate(batch.name, { ...was, passes: noDyes, goods: lines }, shelf, pot);
  const mapping: Mapping = {
    reach,
    to,
    shelf,
    bases: shelf.bases,
    lines,
    formulation: place,
    mainVessel: mainVesselOf(acts, batch.formulation),
    dilutions: dilutionsNow(repeated, { reach, to, shelf }),
  };
  const kept = repeated.flatMap((one) => {
    const written = mapAct(one, mapping);
    return written ? [{ id: one.id, then: one.act, now: written.act, written }] : [];
  });
  const { instead, beside } = madeUp(kept, (vessel) => reach.ofVessel(vessel));
  const told = toldAnew(
    kept.flatMap(({ id, then: before, written }): WayStep[] => {
      const ml = instead.get(id);
      const step = ml === undefined ? written : withMl(written, ml);
      return [
        // Dye that comes in so much more liquid leaves no water to be run.
        ...(ml === 0 ? [] : [stepOf(withTool(step, before, place.tools), place)]),
        ...beside.flatMap((water) => (water.after === id ? [ownWater(id, water)] : [])),
      ];
    }),
    place,
    batch.card,
  );
  const recipe = recipeAgain(batch.formulation.recipe, lines, pot?.id ?? null, told);
  const formulation = {
    ...formulate(batch.name, recipe, shelf, pot),
    asWritten: writtenAgain(batch, recipe),
  };
  const jars = jarsOf(repeated, mapping);
  return {
    formulation,
    card: cardAgain(batch.card, told, reach),
    compared: [
      ...repeated.map(({ id, line, act }): ComparedAct => {
        const now = told.find((one) => one.id === id) ?? null;
        const why = now ? null : instead.get(id) === 0 ? 'no room' : 'no goods';
        return { then: { ...line, act }, now, why };
      }),
      ...told.flatMap((now) =>
        repeated.some(({ id }) => id === now.id) ? [] : [{ then: null, now, why: null }],
      ),
      ...left.map(({ act, why, line }): ComparedAct => ({ then: { ...line, act }, now: null, why })),
    ],
    notices: [...otherJars(repeated, jars, mapping), ...againNotices(told, formulation, context)],
    needsMl: fullestMl(told, formulation.pot),
    jars,
    takesOther: [...goods.values()].some(takesOther),
    end: told.at(-1)?.after ?? emptyState(),
  };
}

const takesDye = (baseId: string, { bases }: Shelf): boolean =>
  dyeableShare(named(bases, baseId, 'goods', 'yarn base').fibers) > 0;

function jarsOf(repeated: readonly Repeated[], { reach, to, shelf }: Mapping): Map<string, string | null> {
  const jars = new Map<string, string | null>();
  for (const { act } of repeated) {
    if (act.kind !== 'put' || act.material.kind !== 'dye' || jars.has(act.material.dyeId)) continue;
    const isBath = 'vessel' in act.into && reach.isBath(act.into.vessel);
    if (isBath || act.material.strengthPercent !== null)
      jars.set(act.material.dyeId, dyeNow(act.material, isBath, to, shelf).material.stockId);
  }
  return jars;
}

/** Jars that are gone and have another in their place, which nobody chose. */
function otherJars(
  repeated: readonly Repeated[],
  jars: DyedAgain['jars'],
  { to, shelf }: Mapping,
): AgainNotice[] {
  return [...jars].flatMap(([dyeId, stockId]): AgainNotice[] => {
    if (to.stockFor[dyeId] !== undefined) return [];
    const then = repeated.flatMap(({ act }) =>
      act.kind === 'put' && act.material.kind === 'dye' && act.material.dyeId === dyeId
        ? (act.material.stockId ?? [])
        : [],
    );
    const was = shelf.stocks.find(({ id }) => id === then[0]);
    const now = shelf.stocks.find(({ id }) => id === stockId);
    return was && now && was !== now ? [{ code: 'other jar', was, now, blocks: false }] : [];
  });
}

const takesOther = ({ then, now }: LineOfGoods): boolean =>
  now.grams > 0 && Math.abs(now.dyeable / now.grams - then.dyeable / then.grams) > 1e-6;

/** The first vessel of a list that goods are dyed in, and that no pass has for itself. */
function mainVesselOf(acts: readonly Act[], then: Pick<Formulation, 'passPots'>): string | null {
  for (const act of acts)
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && DYED_IN.includes(act.thing.role))
      if (ownPotAt(then, act.thing.vessel) === null) return act.thing.vessel;
  return null;
}

/** The same act of another volume. */
const withMl = (written: Written, ml: number): Written =>
  written.act.kind === 'run' || written.act.kind === 'move'
    ? { ...written, act: { ...written.act, ml } }
    : written;

/** Another amount is measured with the tool that suits it. */
function withTool(written: Written, then: Act, tools: readonly Tool[]): Written {
  const now = amountOf(written.act);
  const before = amountOf(then);
  if (now === null || now.material.kind !== 'dye') return written;
  const same = before?.unit === now.unit && Math.abs(now.amount - before.amount) <= SAME * before.amount;
  if (same) return written;
  const chosen = chooseTool(now.amount, now.unit, tools);
  return { ...written, tool: chosen ? { name: chosen.tool.name, fills: chosen.fills } : null };
}

/** Time to heat is estimated anew, by what stands in the vessel; an oven or a steamer takes what it took. */
function stepOf(written: Written, formulation: Pick<Formulation, 'pot' | 'passPots' | 'place'>): WayStep {
  const { act, estimated } = written;
  if (act.kind !== 'heat' || !estimated) return written;
  const { vessel, toC, rampCPerMin } = act;
  return (state) => {
    const liquid = state.vessels.get(vessel)?.liquid.ml ?? 0;
    if (toC === null || rampCPerMin === null || liquid === 0) return [written];
    const rise = riseOf(formulation, state, vessel, toC, rampCPerMin);
    return [{ ...written, because: rise, act: { ...act, minutes: rise.value } }];
  };
}

const ownWater = (
  id: string,
  { vessel, pass, ml }: { vessel: string; pass: string | null; ml: number },
): Written => ({
  id: `${id}.make-up`,
  act: { kind: 'run', pass, line: null, purpose: 'bath', vessel, ml, celsius: null },
});

/** The card told from the goods to the drying rail, in this studio. */
function toldAnew(steps: readonly WayStep[], { place, water }: Formulation, card: Card): Told[] {
  return tell(
    {
      state: emptyState(
        { tapC: place.tapC, roomC: place.roomC, alkalinityMgPerL: water.alkalinityMgPerL },
        card.passes.map(({ id }) => id),
      ),
      lines: [],
      roles: new Map(),
      vessel: (_, id) => ({
        id: `bring.vessel.${id}`,
        quiet: true,
        act: {
          kind: 'bring',
          pass: null,
          line: null,
          purpose: null,
          thing: broughtVessel(id, 'pot'),
        },
      }),
      ids: new Set(),
    },
    steps,
  );
}

function cardAgain({ passes }: Card, told: readonly Told[], { inAll: ratio }: Reach): Card {
  return {
    version: CARD_VERSION,
    remembered: false,
    acts: told.map(lineOnCard),
    passes: passes.map((pass) => ({
      ...pass,
      goodsGrams: pass.goodsGrams * ratio,
      bathMl: pass.bathMl * ratio,
      takesOverMl: pass.takesOverMl * ratio,
      acidsBefore: pass.acidsBefore.map((acid) => ({ ...acid, pureGrams: acid.pureGrams * ratio })),
    })),
  };
}
