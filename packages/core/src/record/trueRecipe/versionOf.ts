import { methodFacts, type PassMethod } from '../../method';
import type { AcidTime } from '../../method/acidTimes';
import type { Act, Purpose } from '../../process/act';
import { amountOf, minutesOf, type MeasuredOut } from '../../process/amountOf';
import type { AcidDose, DyeLine, GoodsLine, Pass, Recipe } from '../../recipe/recipe';
import { quantityKind } from '../../units/quantityKinds';
import { dyeGramsOf, liquidMl, mainJar, pureGramsOf, standardGramsOf } from '../additions';
import { doneAgain, type Repeated } from '../again/doneAgain';
import { goodsThen } from '../again/goodsAgain';
import { joinedCups } from '../again/joinedCups';
import type { Batch } from '../batch';
import { besideMeasured } from '../besideMeasured';
import type { Card, CardAct, CardPass } from '../card';
import { cardLines } from '../cardLines';
import { weightOfGoods } from '../cardGoods';
import type { FoldedRecord } from '../foldRecord';
import { depthOnLine, lineOfDye } from '../lineOfDye';
import { isOpen } from '../open/isOpen';
import { ownWayOf } from './ownWayOf';

/** A record as a recipe: what the next version of its colorway would be. */
export interface VersionOf {
  recipe: Recipe;
  /** Acts that a recipe has no words for: they are not in it. */
  lost: Repeated[];
}

/**
 * The recipe that a record comes to, on its own goods: every way with what really went in; a pass whose acts fit no way
 * any more as an own way. A pass that got no dye is left out.
 * @returns null where no dye went in
 */
export function versionOf(batch: Batch, folded: FoldedRecord): VersionOf | null {
  const { card, formulation } = batch;
  const goods = goodsOf(batch, folded);
  const { repeated } = doneAgain(joinedCups(folded.toTheEnd), card);
  const lost: Repeated[] = [];
  let set = setOf(repeated, card);
  const passes = card.passes.flatMap((planned): Pass[] => {
    const pass = formulation.recipe.passes.find(({ id }) => id === planned.id);
    const acts = repeated.filter(({ act }) => act.pass === planned.id);
    const additions = acts.flatMap(({ act }) => additionIn(act) ?? []);
    if (!pass || !additions.some(({ material }) => material.kind === 'dye')) return [];
    const parts: PassParts = { card, pass, planned, additions, acts };
    if (!isOpen(card) && fitsItsWay(parts)) return [inItsWay(parts)];
    const open = isOpen(card) ? setOfOpen(acts) : null;
    set = { ...set, ...open?.set };
    const own = ownWayOf({ pass, acts: acts.slice(0, open?.before), grams: planned.goodsGrams });
    lost.push(...own.lost);
    return [own.pass];
  });
  const [first] = passes;
  if (!first) return null;
  const bath = card.passes.find(({ id }) => id === first.id)?.bathMl ?? 0;
  return {
    lost,
    recipe: {
      ...formulation.recipe,
      goods,
      set: { ...formulation.recipe.set, ...set },
      // Where the pass that ran the water got no dye, the one after it is the first now and needs a bath of its own.
      passes: passes.map((pass) =>
        pass === first && pass.water.basis === 'kept'
          ? { ...pass, water: { basis: 'volume', value: bath } }
          : pass,
      ),
    },
  };
}

/** Something that went into a pass. */
type Addition = MeasuredOut & Pick<Act, 'line' | 'purpose'>;

/** What an act put in; null for acts that put nothing in, and for stock that only went into a working dilution. */
function additionIn(act: Act): Addition | null {
  const measured = act.purpose === 'dilution' ? null : amountOf(act);
  return measured && { ...measured, line: act.line, purpose: act.purpose };
}

interface PassParts {
  card: Card;
  pass: Pass;
  planned: CardPass;
  additions: Addition[];
  acts: Repeated[];
}

/** Goods as they were dyed, those that came in later among them. */
function goodsOf({ formulation }: Batch, folded: FoldedRecord): GoodsLine[] {
  return goodsThen(folded).map((thing): GoodsLine => {
    const planned = formulation.recipe.goods.find(({ id }) => id === thing.line);
    return (
      planned ?? {
        id: thing.line,
        baseId: thing.baseId,
        count: thing.count,
        gramsEach: thing.grams / thing.count,
        weighedGrams: null,
        form: null,
        dyedOverHex: null,
        catchUp: thing.catchUp,
      }
    );
  });
}

/** Kinds of acts that make a way what it is; what is put in only fills it. */
const MAKES_A_WAY: readonly Act['kind'][] = [
  'place',
  'lift',
  'handle',
  'split',
  'heat',
  'hold',
  'stand',
  'cool',
  'move',
];
const isOfTheWay = (act: Act): boolean =>
  MAKES_A_WAY.includes(act.kind) && !(act.kind === 'move' && act.holds !== null);

/** Whether a pass was done as its way does it: every act of the way, and none beside them but longer waits. */
function fitsItsWay({ card, planned, acts, pass }: PassParts): boolean {
  const done = new Set(acts.map(({ id }) => id));
  const isDone = ({ id, act }: CardAct): boolean =>
    act.pass !== planned.id || !isOfTheWay(act) || done.has(id);
  const added = acts.filter((one) => isOfTheWay(one.act) && isAdded(one, card));
  const holdsLonger = pass.heat !== null && !methodFacts(pass.method.kind).waitsItself;
  return cardLines(card).every(isDone) && added.every(({ act }) => act.kind === 'hold' && holdsLonger);
}

/** Whether nobody had planned it. */
const isAdded = ({ id }: Repeated, card: Card): boolean => !card.acts.some((line) => line.id === id);

function inItsWay({ card, pass, planned, additions, acts }: PassParts): Pass {
  const bathMl = planned.keepsBath
    ? planned.bathMl
    : liquidMl(additions.filter(({ purpose }) => purpose !== 'top up' && purpose !== 'soak')) +
      besideMeasured(card, planned);
  const topUpMl = liquidMl(additions.filter(({ purpose }) => purpose === 'top up'));
  const { liquid } = methodFacts(pass.method.kind);
  const method = withCut(pass.method, additions);
  return {
    ...pass,
    method: liquid === 'paint' ? withPickUp(method, bathMl / planned.bathMl) : method,
    dyes: dyesOf(pass, additions, weightOfGoods(card).value),
    water:
      planned.keepsBath || (liquid !== 'water' && besideMeasured(card, planned) > 0)
        ? pass.water
        : { basis: 'ratio', value: bathMl / planned.goodsGrams },
    acids: acidsOf(pass, additions, bathMl),
    topUpMl: Math.min(topUpMl, quantityKind('topUp').possible[1]),
    topUpWithAcid: additions.some(
      ({ purpose, material }) => purpose === 'top up' && material?.kind === 'acid',
    ),
    heat: pass.heat && { ...pass.heat, minutes: pass.heat.minutes + waitedMore(acts, card) },
  };
}

/** Minutes that were waited longer, or again. */
const waitedMore = (acts: readonly Repeated[], card: Card): number =>
  acts.reduce(
    (sum, one) => (one.act.kind === 'hold' && isAdded(one, card) ? sum + (minutesOf(one.act) ?? 0) : sum),
    0,
  );

/** Each line with what it really came to, of standard strength on the goods that it is for. */
function dyesOf(pass: Pass, additions: readonly Addition[], wogGrams: number): DyeLine[] {
  const keyed = new Map<string, Addition[]>();
  for (const addition of additions) {
    const { material } = addition;
    if (material.kind !== 'dye') continue;
    const key = lineOfDye(pass, addition.line ?? '', material.dyeId)?.id ?? material.dyeId;
    keyed.set(key, [...(keyed.get(key) ?? []), addition]);
  }
  return [...keyed].map(([id, mine]): DyeLine => {
    const planned = pass.dyes.find((line) => line.id === id);
    const material = mine[0]?.material;
    const line = {
      id,
      dyeId: planned?.dyeId ?? (material?.kind === 'dye' ? material.dyeId : ''),
      stockId: mainJar(mine),
      sectionId: planned?.sectionId ?? null,
    };
    const standard = mine.reduce((sum, addition) => sum + standardGramsOf(addition), 0);
    return { ...line, entry: { school: 'depth', percent: depthOnLine(pass, line, standard, wogGrams) } };
  });
}

/** A painting way with the pick-up that its paint really came to. @param times of the paint that was planned */
function withPickUp(method: PassMethod, times: number): PassMethod {
  if (!('pickUpMlPerG' in method)) return method;
  const pickUpMlPerG = method.pickUpMlPerG * times;
  return pickUpMlPerG > 0.1 && pickUpMlPerG <= 6 ? { ...method, pickUpMlPerG } : method;
}

/** A sprinkled way with the citric that its powder was really cut with. */
function withCut(method: PassMethod, additions: readonly Addition[]): PassMethod {
  if (!('citricPerGram' in method)) return method;
  const powder = additions.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
  const cut = additions
    .filter(({ purpose }) => purpose === 'cut')
    .reduce((sum, one) => sum + pureGramsOf(one), 0);
  return { ...method, citricPerGram: powder > 0 ? cut / powder : 0 };
}

/** When acid of a purpose goes in, where it is a dose of its own. */
const TIMES: Partial<Record<Purpose, AcidTime>> = {
  soak: 'soak',
  bath: 'start',
  paint: 'start',
  warm: 'warm',
  late: 'last',
  melt: 'last',
  'with powder': 'with powder',
};

/** Most acid doses of a pass. */
const MOST_DOSES = 6;

/** Acid by kind and time: per liter of the bath; what went into the soak as it was measured. */
function acidsOf(pass: Pass, additions: readonly Addition[], bathMl: number): AcidDose[] {
  const { acidTimes } = methodFacts(pass.method.kind);
  const doses = new Map<string, AcidDose>();
  for (const one of additions) {
    const { material, purpose, amount } = one;
    const time = purpose === null ? 'start' : TIMES[purpose];
    if (material.kind !== 'acid' || time === undefined) continue;
    const when = acidTimes.includes(time) ? time : 'start';
    const inSoak = when === 'soak' || bathMl <= 0;
    const key = `${material.acid} ${material.strengthPercent} ${when}`;
    doses.set(key, {
      id: doses.get(key)?.id ?? `acid${doses.size + 1}`,
      material: material.acid,
      strengthPercent: material.strengthPercent,
      basis: inSoak ? 'amount' : 'gPerL',
      value: (inSoak ? amount : (1000 * pureGramsOf(one)) / bathMl) + (doses.get(key)?.value ?? 0),
      when,
    });
  }
  return [...doses.values()].slice(0, MOST_DOSES);
}

/** Cooler than this nothing is set, °C (common practice, no source). */
const SETS_FROM_C = 75;

/**
 * Of a batch that nobody planned the last hold that is hot enough is the set; the steps before it are the way.
 * @returns how many acts of its pass come before the set, and the set
 */
function setOfOpen(acts: readonly Repeated[]): { before: number; set: Partial<Recipe['set']> } {
  const last = acts.findLastIndex(({ act }) => act.kind === 'hold');
  const held = acts[last]?.act;
  if (held?.kind !== 'hold' || (held.atC ?? 0) < SETS_FROM_C)
    return { before: acts.length, set: { minutes: 0 } };
  const rise = acts[last - 1]?.act.kind === 'heat' ? 1 : 0;
  return {
    before: last - rise,
    set: { temperatureC: held.atC ?? SETS_FROM_C, minutes: minutesOf(held) ?? 0 },
  };
}

/** Temperature and time of the set: as it was held, as long as it was meant to be and what was waited beside. */
function setOf(repeated: readonly Repeated[], card: Card): Partial<Recipe['set']> {
  const mine = repeated.filter(({ act }) => act.pass === null);
  const held = mine.find((one) => one.act.kind === 'hold' && !isAdded(one, card));
  if (held?.act.kind !== 'hold') return {};
  return {
    ...(held.act.atC !== null && { temperatureC: held.act.atC }),
    minutes: (minutesOf(held.line.act) ?? 0) + waitedMore(mine, card),
  };
}
