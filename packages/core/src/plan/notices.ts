import { ACIDS } from '../materials/acids';
import { MOST_ERROR_PERCENT } from '../amounts/chooseTool';
import { ringMinutes } from '../heat/planHeat';
import { setMethodFacts, type SetMethod } from '../heat/setMethods';
import { setWindow, type SetWindow } from '../heat/setWindow';
import { isNeverWrung } from '../shelf/forms';
import { fullMl } from './potNeeds';
import type { Base } from '../shelf/base';
import { jarAgeDays, OLD_STOCK_DAYS } from '../shelf/jarAge';
import { jarWords } from '../shelf/jarWords';
import { keepsBath, methodFacts, type MethodKind } from '../method';
import type { WayNotice } from '../method/method';
import type { Dye } from '../shelf/dye';
import type { Unit } from '../figure/figure';
import { saidBySpoon } from '../units/saidBy';
import type { Measured, Plan, PlannedPass, PourLine } from './planTypes';
import { isLeftInBath } from '../recipe/leftInBath';
import { potOfPass } from '../recipe/materials';
import type { Formulation, HeatProgram, Pass } from '../recipe/recipe';

/** What is said by the spoon needs no other tool. */
const isBySpoon = ({ each }: PourLine): boolean => saidBySpoon(each.measure?.said ?? '');

/** What there is to say, with the values it hangs on; `words/noticeWords.ts` has the sentences. */
export type Saying =
  | { code: 'nothing takes dye' }
  | { code: 'part takes no dye'; grams: number; names: readonly string[] }
  | { code: 'hardly visible' | 'deeper than black'; percent: number }
  | { code: 'coarse reading'; pour: PourLine; measured: Measured }
  | { code: 'over deepest'; dye: string; percent: number; deepestPercent: number }
  | { code: 'breaks when sprinkled' | 'never clears' | 'slow for a glaze' | 'bleeds'; dye: string }
  | { code: 'clears later'; dye: string; clearsMinutes: number; heldMinutes: number }
  | { code: 'no tool'; dye: string; amount: number; unit: Unit; stock: boolean }
  | { code: 'spoon not weighed'; dye: string }
  | { code: 'jar short'; dye: string; holdsMl: number; shortMl: number }
  | { code: 'jar gone'; dye: string; jar: string }
  | { code: 'jar old'; dye: string; jar: string; days: number }
  | { code: 'never twisted'; form: string }
  | { code: 'more than bath'; ml: number; decidedMl: number; paint: boolean }
  | { code: 'of its way'; kind: MethodKind; notice: WayNotice }
  | { code: 'pot too small'; pot: string; holdsMl: number; needsMl: number }
  | { code: 'less to take over'; askedMl: number; thereMl: number }
  | { code: 'kept bath without acid' | 'no acid' }
  | { code: 'acid does not dissolve'; bathMl: number; amount: number; unit: Unit; acid: string }
  | { code: 'very acid' | 'not acid enough'; pH: number; window: readonly [number, number] }
  | { code: 'over boiling'; boilingC: number; altitudeM: number; celsius: number }
  | { code: 'hard on the fiber' | 'too cool for the fiber'; window: SetWindow }
  /** The number of the pass that the goods go on to; null for the set. */
  | { code: 'left in the bath'; next: number | null }
  | { code: 'ring too weak'; pot: string | null; celsius: number }
  | { code: 'rise too fast'; base: string; mostCPerMin: number }
  | { code: 'set out of range' | 'what the set is worth'; method: SetMethod; celsius: number }
  | { code: 'sealed in the microwave' | 'painted goods simmered' | 'no hold' }
  | { code: 'middle stays cold'; bundleCm: number; minutes: number };

/** Something worth a second look, always with its reason. */
export type Notice = Saying & {
  /** The row of the formulation it concerns. */
  about: 'goods' | 'pass' | 'acid' | 'heat' | 'set';
  /** The pass it concerns; null for goods and set. */
  passId: string | null;
  /** True when it cannot be done like that, so that no batch begins with it. */
  blocks?: boolean;
  /** True when it is to be answered before a batch begins with it. */
  asks?: boolean;
  /** The jar to make more of. */
  jarId?: string;
};

/** What jars still hold, mL, by stock id. */
export type StockLeft = Readonly<Record<string, number>>;

/** What a plan cannot know from its formulation alone. */
export interface PlanContext {
  left?: StockLeft;
  /** Today, ISO 8601, for the age of the jars; their age is not spoken of without it. */
  today?: string;
}

type Unnoticed = Omit<Plan, 'notices'>;

/** Depth below which there is little to see on an undyed base, % (common practice, no source). */
const BARELY_VISIBLE_DOS = 0.02;
const DEEPEST_USUAL_DOS = 4;

/** Everything about a plan that a colleague would mention before the pouring starts. */
export function noticesFor(
  plan: Unnoticed,
  formulation: Formulation,
  bases: readonly Base[],
  context: PlanContext,
): Notice[] {
  const drawn = new Map<string, number>();
  const window = setWindow(bases.flatMap((base) => base.fibers));
  return [
    ...goodsNotices(plan, bases),
    ...formulation.recipe.passes.flatMap((pass, i) => {
      const planned = plan.passes[i];
      return planned
        ? [
            ...pourNotices(pass, planned, formulation, context, drawn),
            ...bathNotices(pass, planned, plan, potOfPass(pass, formulation)),
            ...acidNotices(pass, planned),
            ...heatNotices(pass, planned, { plan, formulation, bases, window }),
            ...coldNotices(pass, i, formulation),
          ]
        : [];
    }),
    ...setNotices({ plan, formulation, bases, window }),
  ];
}

function goodsNotices(plan: Unnoticed, bases: readonly Base[]): Notice[] {
  const say = (saying: Saying): Notice => ({ about: 'goods', passId: null, ...saying });
  if (plan.dyeable.value === 0) return [say({ code: 'nothing takes dye' })];
  if (plan.dyeable.value < plan.wog.value - 1e-9) {
    const names = [...new Set(bases.map((base) => base.name))];
    return [say({ code: 'part takes no dye', grams: plan.wog.value - plan.dyeable.value, names })];
  }
  return [];
}

function pourNotices(
  pass: Pass,
  planned: PlannedPass,
  formulation: Formulation,
  { left = {}, today }: PlanContext,
  drawn: Map<string, number>,
): Notice[] {
  const notices: Notice[] = [];
  const say = (saying: Saying, more: Pick<Notice, 'jarId' | 'asks'> = {}): void => {
    notices.push({ about: 'pass', passId: pass.id, ...saying, ...more });
  };
  if (planned.pours.length > 0 && planned.dos.value < BARELY_VISIBLE_DOS)
    say({ code: 'hardly visible', percent: planned.dos.value });
  if (planned.dos.value > DEEPEST_USUAL_DOS) say({ code: 'deeper than black', percent: planned.dos.value });
  for (const pour of planned.pours) {
    if (pour.measured && pour.measured.error.value > MOST_ERROR_PERCENT && !pour.dilution)
      say({ code: 'coarse reading', pour, measured: pour.measured });
    if (
      !pour.measured &&
      !pour.dilution &&
      formulation.tools.length > 0 &&
      pour.each.value > 0 &&
      !isBySpoon(pour)
    )
      say({
        code: 'no tool',
        dye: pour.dyeName,
        amount: pour.each.value,
        unit: pour.each.unit,
        stock: pour.volume !== null,
      });
    const dye = formulation.dyes.find((candidate) => candidate.id === pour.dyeId);
    if (dye)
      behaviorNotices(dye, pour, pass, planned.heat?.hold.value ?? null).forEach((saying) => say(saying));
    if (pour.school === 'powder spoons' && dye?.gramsPerTeaspoon === null)
      say({ code: 'spoon not weighed', dye: pour.dyeName });
    const jar = formulation.stocks.find((stock) => stock.id === pour.stockId);
    if (!jar || !pour.volume) continue;
    if (jar.retired) {
      say({ code: 'jar gone', dye: pour.dyeName, jar: jarWords(jar) }, { asks: true });
      continue;
    }
    const taken = pour.dilution ? pour.dilution.take.value : pour.volume.value;
    const holds = left[jar.id] ?? jar.volumeMl;
    const before = drawn.get(jar.id) ?? 0;
    drawn.set(jar.id, before + taken);
    if (before + taken > holds + 1e-9)
      say(
        {
          code: 'jar short',
          dye: pour.dyeName,
          holdsMl: Math.max(0, holds - before),
          shortMl: before + taken - Math.max(holds, before),
        },
        { jarId: jar.id },
      );
    const days = today === undefined ? null : jarAgeDays(jar, today);
    if (days !== null && days > OLD_STOCK_DAYS)
      say({ code: 'jar old', dye: pour.dyeName, jar: jar.code, days });
  }
  return notices;
}

/**
 * What is known of a dye, where this pass asks something else of it.
 * @param held minutes that it is held hot; null where it is not
 */
function behaviorNotices({ name, behavior }: Dye, pour: PourLine, pass: Pass, held: number | null): Saying[] {
  const { kind } = pass.method;
  const { clearsMinutes, deepestPercent } = behavior;
  return [
    ...(deepestPercent !== null && pour.dos.value > deepestPercent + 1e-9
      ? [{ code: 'over deepest' as const, dye: name, percent: pour.dos.value, deepestPercent }]
      : []),
    ...(behavior.breaks && (kind === 'sprinkle' || kind === 'ice')
      ? [{ code: 'breaks when sprinkled' as const, dye: name }]
      : []),
    ...(behavior.strikes === 'slow' && kind === 'glaze'
      ? [{ code: 'slow for a glaze' as const, dye: name }]
      : []),
    ...(behavior.clears === 'never' ? [{ code: 'never clears' as const, dye: name }] : []),
    ...(behavior.clears === 'clears' && clearsMinutes !== null && held !== null && held < clearsMinutes
      ? [{ code: 'clears later' as const, dye: name, clearsMinutes, heldMinutes: held }]
      : []),
    ...(behavior.bleeds ? [{ code: 'bleeds' as const, dye: name }] : []),
  ];
}

/** Ways of lying that wring what must not be wrung. */
const TWISTS: readonly string[] = ['twisted', 'twisted tight', 'knotted'];

function bathNotices(pass: Pass, planned: PlannedPass, plan: Unnoticed, pot: Formulation['pot']): Notice[] {
  const notices: Notice[] = [];
  const say = (saying: Saying, more: Pick<Notice, 'blocks' | 'asks'> = {}): void => {
    notices.push({ about: 'pass', passId: pass.id, ...saying, ...more });
  };
  const way = methodFacts(pass.method.kind);
  const paint = way.liquid === 'paint';
  const poured = planned.pours.reduce((sum, pour) => sum + (pour.volume?.value ?? 0), 0);
  const liquidAcid = planned.acids.reduce(
    // Acid that goes on after the paint is none of it.
    (sum, { amount, when }) =>
      amount.unit === 'mL' && (paint ? when === 'start' : when !== 'soak') ? sum + amount.value : sum,
    0,
  );
  const { decidedMl } = planned;
  if (!keepsBath(pass) && way.liquid !== 'ice' && poured + liquidAcid > decidedMl * (1 + 1e-9))
    say({ code: 'more than bath', ml: poured + liquidAcid, decidedMl, paint }, paint ? { asks: true } : {});
  const { takenOver } = planned;
  if (takenOver && takenOver.value < pass.takesOverMl * (1 - 1e-9))
    say({ code: 'less to take over', askedMl: pass.takesOverMl, thereMl: takenOver.value });
  const form = plan.goods.find((line) => isNeverWrung(line.form))?.form;
  if (form !== undefined && TWISTS.includes(pass.arrangement.kind))
    say({ code: 'never twisted', form }, { asks: true });
  for (const notice of planned.said)
    say(
      { code: 'of its way', kind: pass.method.kind, notice },
      notice.blocks ? { blocks: true } : notice.asks ? { asks: true } : {},
    );
  const full = fullMl(pass, planned, plan.wog.value);
  if (pot && full !== null && full > pot.capacityMl)
    say({ code: 'pot too small', pot: pot.name, holdsMl: pot.capacityMl, needsMl: full }, { blocks: true });
  if (keepsBath(pass) && pass.acids.length === 0 && planned.bathAcid === null)
    say({ code: 'kept bath without acid' });
  return notices;
}

/** How far expected pH may lie outside its window before it is worth a word; the estimate is no better. */
const PH_SLACK = 0.3;

function acidNotices(pass: Pass, planned: PlannedPass): Notice[] {
  const say = (saying: Saying): Notice => ({ about: 'acid', passId: pass.id, ...saying });
  const { bathAcid, phWindow } = planned;
  if (!bathAcid) return pass.dyes.length === 0 ? [] : [say({ code: 'no acid' })];
  const tooMuch = planned.acids.find(({ material, gPerL }) => gPerL.value > ACIDS[material].mostGPerL);
  if (tooMuch)
    return [
      {
        ...say({
          code: 'acid does not dissolve',
          bathMl: planned.bath.value,
          amount: tooMuch.amount.value,
          unit: tooMuch.amount.unit,
          acid: tooMuch.label,
        }),
        blocks: true,
      },
    ];
  const pH = bathAcid.pH.value;
  const glaze = pass.method.kind === 'glaze';
  if (!glaze && pH < phWindow[0] - PH_SLACK) return [say({ code: 'very acid', pH, window: phWindow })];
  if (pH > phWindow[1] + PH_SLACK) return [say({ code: 'not acid enough', pH, window: phWindow })];
  return [];
}

/** Fastest rise that wool which can felt should see, °C per minute (common practice, no source). */
const GENTLE_C_PER_MIN = 1.5;

/** What notices of heat are read from. */
interface HeatedGoods {
  plan: Unnoticed;
  formulation: Formulation;
  bases: readonly Base[];
  window: SetWindow | undefined;
}

function heatNotices(pass: Pass, planned: PlannedPass, goods: HeatedGoods): Notice[] {
  if (!pass.heat || !planned.heat) return [];
  const say = (saying: Saying, blocks = false): Notice => ({
    about: 'heat',
    passId: pass.id,
    ...saying,
    ...(blocks && { blocks }),
  });
  const pot = potOfPass(pass, goods.formulation);
  return hotNotices(pass.heat, { bathMl: planned.bath.value, pot }, goods, true, say);
}

/** What is to be said of a pass that nothing heats. */
function coldNotices(pass: Pass, i: number, { recipe: { passes, set } }: Formulation): Notice[] {
  const next = passes[i + 1] ?? null;
  if (!isLeftInBath(pass, next, set)) return [];
  const code = 'left in the bath' as const;
  return [{ about: 'heat', passId: pass.id, code, next: next && i + 2, asks: true }];
}

/** What holds for any bath on a ring: boiling, the fiber's ceiling, the ring's power, a gentle rise. */
function hotNotices(
  { temperatureC, rampCPerMin }: Pick<HeatProgram, 'temperatureC' | 'rampCPerMin'>,
  { bathMl, pot }: { bathMl: number; pot: Formulation['pot'] },
  { plan, formulation: { place }, bases, window }: HeatedGoods,
  onRing: boolean,
  say: (saying: Saying, blocks?: boolean) => Notice,
): Notice[] {
  const notices: Notice[] = [];
  const boiling = plan.set.boiling.value;
  if (temperatureC > boiling + 0.5)
    notices.push(
      say(
        { code: 'over boiling', boilingC: boiling, altitudeM: place.altitudeM, celsius: temperatureC },
        true,
      ),
    );
  if (window && temperatureC > window.high) notices.push(say({ code: 'hard on the fiber', window }));
  if (!onRing) return notices;
  const minutes = ringMinutes(
    { waterMl: bathMl, fiberGrams: plan.wog.value, pot, roomC: place.roomC },
    place.tapC,
    Math.min(temperatureC, boiling),
  );
  if (minutes === Number.POSITIVE_INFINITY)
    notices.push(say({ code: 'ring too weak', pot: pot?.name ?? null, celsius: temperatureC }, true));
  const felting = bases.find((base) => !base.superwash && setWindow(base.fibers));
  if (
    felting &&
    rampCPerMin > GENTLE_C_PER_MIN &&
    felting.fibers.some(({ fiber }) => fiber !== 'silk' && fiber !== 'nylon')
  )
    notices.push(say({ code: 'rise too fast', base: felting.name, mostCPerMin: GENTLE_C_PER_MIN }));
  return notices;
}

function setNotices(goods: HeatedGoods): Notice[] {
  const { plan, formulation, window } = goods;
  const { set } = formulation.recipe;
  const facts = setMethodFacts(set.method);
  const notices: Notice[] = [];
  const say = (saying: Saying, blocks = false): Notice => ({
    about: 'set',
    passId: null,
    ...saying,
    ...(blocks && { blocks }),
  });
  if (set.temperatureC < facts.range[0] || set.temperatureC > facts.range[1])
    notices.push(say({ code: 'set out of range', method: set.method, celsius: set.temperatureC }));
  if (set.method === 'microwave' && set.wrap === 'sealed')
    notices.push(say({ code: 'sealed in the microwave' }, true));
  if (set.method === 'warm rest')
    return [
      ...notices,
      say({ code: 'what the set is worth', method: set.method, celsius: set.temperatureC }),
    ];
  const onRing = facts.riseMinutes === undefined;
  const last = formulation.recipe.passes.at(-1);
  if (onRing && last && methodFacts(last.method.kind).needs === 'wrap')
    notices.push({ ...say({ code: 'painted goods simmered' }), asks: true });
  if (set.method !== 'oven' || set.temperatureC <= plan.set.boiling.value)
    notices.push(
      ...hotNotices(
        set,
        {
          bathMl: plan.passes.at(-1)?.bath.value ?? 0,
          pot: last ? potOfPass(last, formulation) : formulation.pot,
        },
        goods,
        onRing,
        say,
      ),
    );
  if (window && set.temperatureC < window.low) notices.push(say({ code: 'too cool for the fiber', window }));
  if (set.minutes === 0) notices.push(say({ code: 'no hold' }));
  const { centerHot } = plan.set;
  if (centerHot && centerHot.value > set.minutes)
    notices.push(say({ code: 'middle stays cold', bundleCm: set.bundleCm, minutes: centerHot.value }));
  return notices;
}
