import { ACIDS } from '../materials/acids';
import { phRange } from '../acid/phRange';
import { MOST_ERROR_PERCENT } from '../amounts/chooseTool';
import { ringMinutes } from '../heat/planHeat';
import { setMethodFacts } from '../heat/setMethods';
import { setWindow, type SetWindow } from '../heat/setWindow';
import type { Base } from '../shelf/base';
import { jarAgeDays, OLD_STOCK_DAYS } from '../shelf/jarAge';
import { formatAmount } from '../units/formatQuantity';
import { keepsBath, methodFacts } from '../method';
import type { Figure } from '../figure/figure';
import type { Measured, Plan, PlannedPass, PourLine } from './planTypes';
import type { Formulation, Pass } from '../recipe/recipe';

/** Something worth a second look, always with its reason. */
export interface Notice {
  /** The row of the formulation it concerns. */
  about: 'goods' | 'pass' | 'acid' | 'heat' | 'set';
  /** The pass it concerns; null for goods and set. */
  passId: string | null;
  text: string;
  /** True when it cannot be done like that, so that no batch begins with it. */
  blocks?: boolean;
  /** The jar to make more of. */
  jarId?: string;
}

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
            ...bathNotices(pass, planned, plan, formulation.pot),
            ...acidNotices(pass, planned),
            ...heatNotices(pass, planned, { plan, formulation, bases, window }),
          ]
        : [];
    }),
    ...setNotices({ plan, formulation, bases, window }),
  ];
}

function goodsNotices(plan: Unnoticed, bases: readonly Base[]): Notice[] {
  const say = (text: string): Notice => ({ about: 'goods', passId: null, text });
  if (plan.dyeable.value === 0) return [say('Nothing in these goods takes acid dye.')];
  if (plan.dyeable.value < plan.wog.value - 1e-9) {
    const names = [...new Set(bases.map((base) => base.name))].join(', ');
    return [
      say(
        `${formatAmount(plan.wog.value - plan.dyeable.value, 'g')} of ${names} takes no acid dye and stays undyed.`,
      ),
    ];
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
  const say = (text: string, more: Partial<Notice> = {}): void => {
    notices.push({ about: 'pass', passId: pass.id, text, ...more });
  };
  if (planned.pours.length > 0 && planned.dos.value < BARELY_VISIBLE_DOS)
    say(`At ${formatAmount(planned.dos.value, '%')} there is little to see on an undyed base.`);
  if (planned.dos.value > DEEPEST_USUAL_DOS)
    say(
      `${formatAmount(planned.dos.value, '%')} in all is deeper than a black; expect dye left in the bath.`,
    );
  for (const pour of planned.pours) {
    if (pour.measured && pour.measured.error.value > MOST_ERROR_PERCENT && !pour.dilution)
      say(
        `${coarseReading(pour, pour.measured)} No dilution with these tools does better: take a finer tool${pour.volume ? ', or a jar weighed weaker' : ''}.`,
      );
    if (!pour.measured && !pour.dilution && formulation.tools.length > 0 && pour.each.value > 0)
      say(
        `${pour.dyeName}: no tool on the shelf can measure ${formatAmount(pour.each.value, pour.each.unit)}${pour.volume ? '; use a weaker stock' : ''}.`,
      );
    const dye = formulation.dyes.find((candidate) => candidate.id === pour.dyeId);
    if (pour.school === 'powder spoons' && dye?.gramsPerTeaspoon === null)
      say(`${pour.dyeName} was never weighed by the spoon: its grams are a guess until it is.`);
    const jar = formulation.stocks.find((stock) => stock.id === pour.stockId);
    if (!jar || !pour.volume) continue;
    const taken = pour.dilution ? pour.dilution.take.value : pour.volume.value;
    const holds = left[jar.id] ?? jar.volumeMl;
    const before = drawn.get(jar.id) ?? 0;
    drawn.set(jar.id, before + taken);
    if (before + taken > holds + 1e-9)
      say(
        `${pour.dyeName}: the jar holds ${formatAmount(Math.max(0, holds - before), 'mL')}, ${formatAmount(before + taken - Math.max(holds, before), 'mL')} less than you need. Make more.`,
        { jarId: jar.id },
      );
    const days = today === undefined ? null : jarAgeDays(jar, today);
    if (days !== null && days > OLD_STOCK_DAYS)
      say(
        `${pour.dyeName} ${jar.code}: this jar is ${days} days old. Warm it, shake it, and test it before you rely on it.`,
      );
  }
  return notices;
}

/** What a tool that is too coarse makes of a pour: another depth, or the same only more or less. */
function coarseReading(pour: PourLine, { reading, toolName, error, realDos }: Measured): string {
  const shown = (of: Figure): string => formatAmount(of.value, of.unit);
  const read = `${pour.dyeName}: ${shown(pour.each)} is read as ${shown(reading)} on the ${toolName}, to within ${shown(error)};`;
  return shown(realDos) === shown(pour.dos)
    ? `${read} ${shown(pour.dos)} may come out as ${formatAmount((1 - error.value / 100) * pour.dos.value, '%')} or ${formatAmount((1 + error.value / 100) * pour.dos.value, '%')}.`
    : `${read} that makes it ${shown(realDos)}, not ${shown(pour.dos)}.`;
}

function bathNotices(pass: Pass, planned: PlannedPass, plan: Unnoticed, pot: Formulation['pot']): Notice[] {
  const notices: Notice[] = [];
  const say = (text: string, blocks = false): void => {
    notices.push({ about: 'pass', passId: pass.id, text, ...(blocks && { blocks }) });
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
    say(
      `Stock and acid come to ${formatAmount(poured + liquidAcid, 'mL')}, more than the ${formatAmount(decidedMl, 'mL')} ${paint ? 'of paint the goods take up' : 'bath'}. Take ${paint ? 'a stronger stock' : 'more water or a stronger stock'}.`,
    );
  for (const notice of planned.said) say(way.words.notice(notice), notice.blocks === true);
  const full = planned.bath.value + plan.wog.value + pass.topUpMl;
  if (pot && way.liquid !== 'pan' && !paint && full > pot.capacityMl)
    say(
      `${pot.name} holds ${formatAmount(pot.capacityMl, 'mL')}; bath and goods need about ${formatAmount(full, 'mL')}. Take a larger pot or less water.`,
      true,
    );
  if (keepsBath(pass) && pass.acids.length === 0 && planned.bathAcid === null)
    say('The bath that is kept has no acid in it.');
  return notices;
}

/** How far expected pH may lie outside its window before it is worth a word; the estimate is no better. */
const PH_SLACK = 0.3;

function acidNotices(pass: Pass, planned: PlannedPass): Notice[] {
  const say = (text: string): Notice => ({ about: 'acid', passId: pass.id, text });
  const { bathAcid, phWindow } = planned;
  if (!bathAcid) return [say('No acid: most acid dyes will stay in the bath.')];
  const tooMuch = planned.acids.find(({ material, gPerL }) => gPerL.value > ACIDS[material].mostGPerL);
  if (tooMuch)
    return [
      {
        ...say(
          `${formatAmount(planned.bath.value, 'mL')} of water cannot hold ${formatAmount(tooMuch.amount.value, tooMuch.amount.unit)} of ${tooMuch.label}. Take more water or less acid.`,
        ),
        blocks: true,
      },
    ];
  const range = `Usual for these dyes is ${phRange(phWindow)}.`;
  const pH = bathAcid.pH.value;
  const glaze = pass.method.kind === 'glaze';
  if (!glaze && pH < phWindow[0] - PH_SLACK)
    return [
      say(
        `About ${formatAmount(pH, 'pH')} is more acid than usual: expect a fast, less even strike. ${range}`,
      ),
    ];
  if (pH > phWindow[1] + PH_SLACK)
    return [say(`About ${formatAmount(pH, 'pH')} may leave dye in the bath. ${range}`)];
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
  const say = (text: string, blocks = false): Notice => ({
    about: 'heat',
    passId: pass.id,
    text,
    ...(blocks && { blocks }),
  });
  return hotNotices(pass.heat.temperatureC, pass.heat.rampCPerMin, planned.bath.value, goods, true, say);
}

/** What holds for any bath on a ring: boiling, the fiber's ceiling, the ring's power, a gentle rise. */
function hotNotices(
  temperatureC: number,
  rampCPerMin: number,
  bathMl: number,
  { plan, formulation: { pot, place }, bases, window }: HeatedGoods,
  onRing: boolean,
  say: (text: string, blocks?: boolean) => Notice,
): Notice[] {
  const notices: Notice[] = [];
  const boiling = plan.set.boiling.value;
  if (temperatureC > boiling + 0.5)
    notices.push(
      say(
        `Water boils at ${boiling.toFixed(1)} °C at ${place.altitudeM} m: ${formatAmount(temperatureC, '°C')} cannot be reached.`,
        true,
      ),
    );
  if (window && temperatureC > window.high)
    notices.push(
      say(
        `Over ${window.high} °C is hard on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`,
      ),
    );
  if (!onRing) return notices;
  const minutes = ringMinutes(
    { waterMl: bathMl, fiberGrams: plan.wog.value, pot, roomC: place.roomC },
    place.tapC,
    Math.min(temperatureC, boiling),
  );
  if (minutes === Number.POSITIVE_INFINITY)
    notices.push(
      say(
        `${pot?.name ?? 'This pot'} loses heat as fast as its ring gives it before ${formatAmount(temperatureC, '°C')}. Put a lid on, take a stronger ring or a smaller bath.`,
        true,
      ),
    );
  const felting = bases.find((base) => !base.superwash && setWindow(base.fibers));
  if (
    felting &&
    rampCPerMin > GENTLE_C_PER_MIN &&
    felting.fibers.some(({ fiber }) => fiber !== 'silk' && fiber !== 'nylon')
  )
    notices.push(
      say(
        `${felting.name} is not superwash: rise at most ${GENTLE_C_PER_MIN} °C/min and do not stir above 60 °C.`,
      ),
    );
  return notices;
}

function setNotices(goods: HeatedGoods): Notice[] {
  const { plan, formulation, window } = goods;
  const { set } = formulation.recipe;
  const facts = setMethodFacts(set.method);
  const notices: Notice[] = [];
  const say = (text: string, blocks = false): Notice => ({
    about: 'set',
    passId: null,
    text,
    ...(blocks && { blocks }),
  });
  if (set.temperatureC < facts.range[0] || set.temperatureC > facts.range[1])
    notices.push(
      say(
        `A ${facts.label} runs from ${facts.range[0]} to ${facts.range[1]} °C, not ${formatAmount(set.temperatureC, '°C')}.`,
      ),
    );
  if (set.method === 'microwave' && set.wrap === 'sealed')
    notices.push(say('Never seal a bag for the microwave: the steam bursts it. Leave a vent.', true));
  if (set.method === 'warm rest') return [...notices, say(facts.confidence)];
  const onRing = facts.riseMinutes === undefined;
  const last = formulation.recipe.passes.at(-1);
  if (onRing && last && methodFacts(last.method.kind).needs === 'wrap')
    notices.push(
      say('Painted goods lie in no bath to simmer in: steam them, or take the oven or the microwave.'),
    );
  if (set.method !== 'oven' || set.temperatureC <= plan.set.boiling.value)
    notices.push(
      ...hotNotices(
        set.temperatureC,
        set.rampCPerMin,
        plan.passes.at(-1)?.bath.value ?? 0,
        goods,
        onRing,
        say,
      ),
    );
  if (window && set.temperatureC < window.low)
    notices.push(
      say(
        `Under ${window.low} °C may leave dye unset on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`,
      ),
    );
  if (set.minutes === 0) notices.push(say('No hold at all: the dye is not set.'));
  const { centerHot } = plan.set;
  if (centerHot && centerHot.value > set.minutes)
    notices.push(
      say(
        `The middle of a ${set.bundleCm} cm bundle is hot after about ${formatAmount(centerHot.value, 'min')}, longer than the hold. Steam longer, or lay it thinner.`,
      ),
    );
  return notices;
}
