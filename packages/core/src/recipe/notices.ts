import { phRange } from '../acid/phRange';
import { setMethodFacts } from '../heat/setMethods';
import { setWindow } from '../heat/setWindow';
import type { Base } from '../shelf/base';
import { formatAmount } from '../units/formatQuantity';
import type { Formulation } from './recipe';
import type { Plan } from './plan';

/** Something worth a second look: never blocks, always says why. */
export interface Notice {
  /** The row of the formulation it concerns. */
  about: 'goods' | 'pass' | 'acid' | 'set';
  text: string;
}

/** What jars still hold, mL, by stock id. */
export type StockLeft = Readonly<Record<string, number>>;

/** Depth below which there is little to see on an undyed base, % (common practice, no source). */
const BARELY_VISIBLE_DOS = 0.02;
const DEEPEST_USUAL_DOS = 4;

/** Everything about a plan that a colleague would mention before the pouring starts. */
export function noticesFor(
  plan: Omit<Plan, 'notices'>,
  formulation: Formulation,
  bases: readonly Base[],
  left: StockLeft,
): Notice[] {
  return [
    ...goodsNotices(plan, bases),
    ...passNotices(plan, formulation, left),
    ...acidNotices(plan, formulation),
    ...setNotices(formulation, bases),
  ];
}

function goodsNotices(plan: Omit<Plan, 'notices'>, bases: readonly Base[]): Notice[] {
  if (plan.dyeable.value === 0) return [{ about: 'goods', text: 'Nothing in these goods takes acid dye.' }];
  if (plan.dyeable.value < plan.wog.value) {
    const names = [...new Set(bases.map((base) => base.name))].join(', ');
    return [
      {
        about: 'goods',
        text: `${formatAmount(plan.wog.value - plan.dyeable.value, 'g')} of ${names} takes no acid dye and stays undyed.`,
      },
    ];
  }
  return [];
}

function passNotices(plan: Omit<Plan, 'notices'>, formulation: Formulation, left: StockLeft): Notice[] {
  const notices: Notice[] = [];
  for (const pass of plan.passes) {
    const poured = pass.pours.reduce((sum, pour) => sum + (pour.volume?.value ?? 0), 0);
    const acidMl = pass.acid?.amount.unit === 'mL' ? pass.acid.amount.value : 0;
    if (poured + acidMl > pass.bath.value)
      notices.push({
        about: 'pass',
        text: `Stock and acid come to ${formatAmount(poured + acidMl, 'mL')}, more than the ${formatAmount(pass.bath.value, 'mL')} bath. Take more water or a stronger stock.`,
      });
    if (pass.pours.length > 0 && pass.dos.value < BARELY_VISIBLE_DOS)
      notices.push({
        about: 'pass',
        text: `At ${formatAmount(pass.dos.value, '%')} there is little to see on an undyed base.`,
      });
    if (pass.dos.value > DEEPEST_USUAL_DOS)
      notices.push({
        about: 'pass',
        text: `${formatAmount(pass.dos.value, '%')} in all is deeper than a black; expect dye left in the bath.`,
      });
    for (const pour of pass.pours) {
      const jar = formulation.stocks.find((stock) => stock.id === pour.stockId);
      if (!jar || !pour.volume) continue;
      const holds = left[jar.id] ?? jar.volumeMl;
      if (pour.volume.value > holds + 1e-9)
        notices.push({
          about: 'pass',
          text: `${pour.dyeName}: the jar holds ${formatAmount(holds, 'mL')}, ${formatAmount(pour.volume.value - holds, 'mL')} less than you need. Make more.`,
        });
    }
    const pot = formulation.pot;
    const full = pass.bath.value + plan.wog.value;
    if (pot && full > pot.capacityMl)
      notices.push({
        about: 'pass',
        text: `${pot.name} holds ${formatAmount(pot.capacityMl, 'mL')}; bath and goods need about ${formatAmount(full, 'mL')}.`,
      });
  }
  return notices;
}

/** How far expected pH may lie outside its window before it is worth a word; the estimate is no better. */
const PH_SLACK = 0.3;

function acidNotices(plan: Omit<Plan, 'notices'>, { recipe }: Formulation): Notice[] {
  if (recipe.passes.some((pass) => !pass.acid || pass.acid.value === 0))
    return [{ about: 'acid', text: 'No acid: most acid dyes will stay in the bath.' }];
  return plan.passes.flatMap(({ acid }): Notice[] => {
    if (!acid) return [];
    const [low, high] = acid.phWindow;
    const range = `Usual for these dyes is ${phRange(acid.phWindow)}.`;
    if (acid.pH.value < low - PH_SLACK)
      return [
        {
          about: 'acid',
          text: `About ${formatAmount(acid.pH.value, 'pH')} is more acid than usual: expect a fast, less even strike. ${range}`,
        },
      ];
    if (acid.pH.value > high + PH_SLACK)
      return [
        {
          about: 'acid',
          text: `About ${formatAmount(acid.pH.value, 'pH')} may leave dye in the bath. ${range}`,
        },
      ];
    return [];
  });
}

function setNotices({ recipe }: Formulation, bases: readonly Base[]): Notice[] {
  const { set } = recipe;
  const facts = setMethodFacts(set.method);
  const notices: Notice[] = [];
  if (set.temperatureC < facts.range[0] || set.temperatureC > facts.range[1])
    notices.push({
      about: 'set',
      text: `A ${facts.label} runs from ${facts.range[0]} to ${facts.range[1]} °C, not ${formatAmount(set.temperatureC, '°C')}.`,
    });
  const window = setWindow(bases.flatMap((base) => base.fibers));
  if (set.method === 'warm rest') notices.push({ about: 'set', text: facts.confidence });
  else if (window && set.temperatureC > window.high)
    notices.push({
      about: 'set',
      text: `Over ${window.high} °C is hard on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`,
    });
  else if (window && set.temperatureC < window.low)
    notices.push({
      about: 'set',
      text: `Under ${window.low} °C may leave dye unset on ${window.limitedBy}. Usual is ${window.low} to ${window.high} °C.`,
    });
  if (set.method !== 'warm rest' && set.minutes === 0)
    notices.push({ about: 'set', text: 'No hold at all: the dye is not set.' });
  return notices;
}
