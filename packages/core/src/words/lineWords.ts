import { ACIDS } from '../materials/acids';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { setMethodFacts } from '../heat/setMethods';
import type { Act, ActOf } from '../process/act';
import { amountOf, minutesOf, type MeasuredOut } from '../process/amountOf';
import type { BegunBatch } from '../record/batch';
import type { CardAct } from '../record/card';
import { goodsOf, vesselRole } from '../record/cardGoods';
import { dyeName } from '../record/dyeTotals';
import { sectionsOf } from '../recipe/methods';
import type { Pass } from '../recipe/recipe';
import { withTool } from '../recipe/steps';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { ARRANGED } from '../recipe/arranged';

/** A line of the card as it is read at the pot. */
export interface LineWords {
  /** What to do, as a colleague would say it. */
  title: string;
  /** A second sentence, where one is due. */
  detail: string | null;
  measure: {
    amount: Figure;
    unit: 'mL' | 'g';
    material: MeasuredOut['material'];
    tool: string | null;
  } | null;
  wait: Figure | null;
}

/** What a line is read against: the batch it is of, and every dye it may name. */
export interface Reading {
  batch: BegunBatch;
  dyes: readonly Dye[];
}

/** Puts a line of the card into words. The words may change; what the line means does not. */
export function lineWords(line: CardAct, reading: Reading): LineWords {
  const measured = amountOf(line.act);
  const minutes = minutesOf(line.act);
  return {
    title: titleOf(line, reading),
    detail: detailOf(line, reading),
    measure: measured && {
      amount: measureFigure(line, measured),
      unit: measured.unit,
      material: measured.material,
      tool: toolOf(line),
    },
    wait:
      minutes === null || minutes === 0
        ? null
        : figure(
            minutes,
            'min',
            line.estimated
              ? 'expected when the batch began, from ring, vessel, bath and goods'
              : `${plainNumber(minutes)} min as decided`,
            line.estimated ? 'estimate' : 'exact',
          ),
  };
}

/** The title of a line of the card. */
export function titleOf(line: CardAct, reading: Reading): string {
  const { act } = line;
  const pass = passOf(act, reading);
  switch (act.kind) {
    case 'bring':
      return act.thing.kind === 'vessel'
        ? `Have ${act.thing.name || act.thing.role} ready`
        : 'Have the goods ready';
    case 'run':
      return runTitle(act, reading);
    case 'put':
      return putTitle(line, act, reading);
    case 'move':
      return moveTitle(line, act, reading);
    case 'place':
      return placeTitle(line, act, reading);
    case 'split':
      return 'Part the goods';
    case 'lift':
      return 'Lift the goods out';
    case 'handle':
      return handleTitle(act, pass === reading.batch.formulation.recipe.passes[0]);
    case 'heat':
      return heatTitle(act, reading);
    case 'hold':
      return holdTitle(line, act, reading);
    case 'stand':
      return standTitle(act, pass);
    case 'cool':
      return `Cool in place to ${celsius(act.toC)}; color is still moving onto the fiber`;
    case 'look':
      return `Look at the ${act.of}`;
    case 'rinse':
      return 'Rinse cool, one drop of dish soap as the bleed test';
    case 'wring':
      return 'Wring';
    case 'dry':
      return 'Spin and hang to dry';
  }
}

const celsius = (value: number | null): string => (value === null ? 'heat' : `${plainNumber(value)} °C`);

const passOf = (act: Act, { batch }: Reading): Pass | undefined =>
  batch.formulation.recipe.passes.find((pass) => pass.id === act.pass);

function runTitle(act: ActOf<'run'>, { batch }: Reading): string {
  if (act.purpose === 'paint') return 'Measure water to fill the paint up with';
  if (act.purpose === 'top up') return 'Top the bath up with water';
  if (act.purpose === 'dilution') return 'Make the dilution up with water';
  return vesselRole(batch.card, act.vessel) === 'pan' ? 'Run water into the pan' : 'Run water into the pot';
}

function putTitle(line: CardAct, act: ActOf<'put'>, reading: Reading): string {
  const { material } = act;
  if (material.kind === 'ice') return 'Heap ice or snow over the goods';
  if (material.kind === 'wetting agent') return 'Add a drop of wetting agent';
  if (material.kind === 'acid') return `Add ${ACIDS[material.acid].label} ${acidWhere(act, reading)}`;
  const name = dyeName(material.dyeId, reading.dyes);
  if (line.madeUp)
    return `Take ${name} ${strength(material.strengthPercent)} and make it up to ${formatAmount(line.madeUp.ml, 'mL')}`;
  if (act.unit === 'mL') return `Pour ${name} ${strength(material.strengthPercent)}`;
  if (passOf(act, reading)?.method.kind === 'ice') return `Sprinkle ${name} powder on the ice`;
  return 'place' in act.into
    ? `Sprinkle ${name} powder`
    : `Weigh ${name} powder and dissolve it in hot water`;
}

const strength = (percent: number | null): string => `${percent === null ? '' : plainNumber(percent)} %`;

function acidWhere(act: ActOf<'put'>, { batch }: Reading): string {
  switch (act.purpose) {
    case 'soak':
      return 'to the soak';
    case 'warm':
      return 'to the warm bath';
    case 'late':
      return 'to the hot, level bath';
    case 'cut':
    case 'with powder':
      return 'with the powder';
    case 'melt':
      return 'for the melt water';
    case 'top up':
      return 'for the water topped up';
    default:
      return 'vessel' in act.into && vesselRole(batch.card, act.into.vessel) === 'paint cup'
        ? 'to the paint water'
        : 'to the bath';
  }
}

function moveTitle(line: CardAct, act: ActOf<'move'>, reading: Reading): string {
  if (act.holds?.kind === 'dye') return `Pour the diluted ${dyeName(act.holds.dyeId, reading.dyes)}`;
  if (act.to === null) return 'Pour the bath away';
  const method = passOf(act, reading)?.method;
  if (method?.kind === 'painted stack')
    return `Paint the stack, ${method.layers} layers, pressing the color through`;
  const section = method && sectionsOf(method).find(({ id }) => id === act.line);
  return `Fill up to ${formatAmount(line.madeUp?.ml ?? 0, 'mL')} and paint ${section?.name ?? 'the section'}`;
}

function placeTitle(line: CardAct, act: ActOf<'place'>, reading: Reading): string {
  if (act.purpose === 'catch up') {
    const spare = goodsOf(reading.batch.card).filter((goods) => act.goods.includes(goods.line));
    return `Put ${spare.map((goods) => goods.name).join(' and ')} in to catch what is left`;
  }
  const method = passOf(act, reading)?.method;
  switch (method?.kind) {
    case 'sprinkle':
      return 'Lay the goods in, just showing';
    case 'ice':
      return 'Lay the goods in';
    case 'repeated':
      return `Goods in, ${doseWords(line)}`;
    case 'dip':
      return act.wet
        ? `Hang the end of the goods in, ${plainNumber(method.sharePercent)} % of the length`
        : `Hang the end of the dry goods in, ${plainNumber(method.sharePercent)} % of the length`;
    case 'low immersion':
      return 'Lay the goods in, just showing; pour color in places';
    case 'glaze':
      return 'Lay the goods in and leave them untouched';
    default:
      return act.wet ? 'Lift the goods in, open, and stir' : 'Lay the dry goods in';
  }
}

const doseWords = ({ dose }: CardAct): string => (dose ? `dose ${dose.nth} of ${dose.of}` : 'dose');

function handleTitle(act: ActOf<'handle'>, first: boolean): string {
  if (act.what !== 're-tie')
    return {
      turn: 'Turn the goods',
      press: 'Press the goods',
      blot: 'Blot the goods',
      wrap: 'Wrap the goods',
      unwrap: 'Unwrap the goods',
      braid: 'Braid the goods',
    }[act.what];
  const lies = act.lies ? ARRANGED[act.lies.kind](act.lies.count) : 'Tie the goods';
  if (act.purpose === 'dose') return `Lift, cool to the hand, re-tie. ${lies}`;
  return first ? lies : `Lift out and squeeze. ${lies}`;
}

function heatTitle(act: ActOf<'heat'>, { batch }: Reading): string {
  const { set } = batch.formulation.recipe;
  const facts = setMethodFacts(set.method);
  if (act.pass !== null || facts.riseMinutes === undefined) return `Heat slowly to ${celsius(act.toC)}`;
  return set.wrap === 'none'
    ? `Lift the goods out, squeeze, lay them in for the ${facts.label}`
    : `Lift the goods out, squeeze, wrap for the ${facts.label}`;
}

function holdTitle(line: CardAct, act: ActOf<'hold'>, reading: Reading): string {
  if (act.purpose === 'set')
    return `Hold at ${celsius(act.atC)}, ${setMethodFacts(reading.batch.formulation.recipe.set.method).label}`;
  if (act.purpose === 'strike') return `Let ${doseWords(line)} strike until the bath clears`;
  if (act.purpose === 'dip' && line.dose) {
    const method = passOf(act, reading)?.method;
    const share = method?.kind === 'dip' ? method.sharePercent / line.dose.of : 100 / line.dose.of;
    return line.dose.nth === line.dose.of
      ? `Leave the last ${Math.round(share * 10) / 10} % in`
      : `Leave it ${line.dose.nth} of ${line.dose.of}, then lift by one step`;
  }
  return `Hold at ${celsius(act.atC)} until the bath clears`;
}

function standTitle(act: ActOf<'stand'>, pass: Pass | undefined): string {
  switch (act.purpose) {
    case 'soak':
      return pass?.acids.some((dose) => dose.when === 'soak' && dose.value > 0)
        ? 'Wet out the goods in the acid soak with a drop of wetting agent'
        : 'Wet out the goods in plain water with a drop of wetting agent';
    case 'settle':
      return 'Leave it to settle, nothing moved';
    case 'melt':
      return 'Let it melt, away from children and animals';
    default:
      return pass?.method.kind === 'glaze'
        ? 'Leave the glaze untouched'
        : 'Leave it in the cool bath, no heat';
  }
}

function detailOf(line: CardAct, reading: Reading): string | null {
  const { act } = line;
  const method = passOf(act, reading)?.method;
  if (act.kind === 'put' && act.material.kind === 'dye' && line.madeUp && act.amount !== null) {
    const made = ((act.material.strengthPercent ?? 0) * act.amount) / line.madeUp.ml;
    return `1 part in ${Math.round(line.madeUp.ml / act.amount)}: the pour alone is too small to read. Label it ${Number(made.toPrecision(3))} %.`;
  }
  if (act.purpose === 'dose' && line.dose && act.kind !== 'place') return `${capital(doseWords(line))}.`;
  if (
    act.kind === 'put' &&
    act.purpose === 'dose' &&
    method?.kind === 'sprinkle' &&
    line.askedGrams !== null
  ) {
    const cut = line.askedGrams * method.citricPerGram;
    return cut > 0
      ? `Stir it with ${formatAmount(cut, 'g')} of the citric crystals first, so that it sticks on contact.`
      : null;
  }
  if (act.kind === 'move' && act.purpose === 'paint' && method && method.kind !== 'painted stack') {
    const section = sectionsOf(method).find(({ id }) => id === act.line);
    return section
      ? `${formatAmount(section.sharePercent, '%')} of the ${method.kind === 'blank painting' ? 'blank' : 'hank'}. Press the color in, turn, look underneath.`
      : null;
  }
  if (act.kind === 'hold' && act.purpose === 'bath' && method?.kind === 'low immersion' && method.turns > 0)
    return `Turn the goods ${method.turns === 1 ? 'once' : `${method.turns} times`}.`;
  return null;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function toolOf({ tool, madeUp }: CardAct): string | null {
  if (tool === null) return null;
  return madeUp ? `with the ${tool.name}, made up in the ${madeUp.tool}` : withTool(tool.name, tool.fills);
}

/** The amount of a line with the arithmetic behind it. */
function measureFigure(line: CardAct, { material, amount, unit }: MeasuredOut): Figure {
  return figure(amount, unit, because(line, material, amount, unit));
}

function because(line: CardAct, material: MeasuredOut['material'], amount: number, unit: 'mL' | 'g'): string {
  if (material.kind === 'acid')
    return `${plainNumber(amount)} ${unit} × ${plainNumber(material.strengthPercent)} % ÷ 100 = ${plainNumber((amount * material.strengthPercent) / 100)} g of ${ACIDS[material.acid].acid}`;
  if (material.kind !== 'dye') return 'as planned when the batch began';
  if (line.madeUp)
    return `${plainNumber(line.madeUp.ml)} mL ÷ ${plainNumber(line.madeUp.ml / amount)}, to be made up to ${plainNumber(line.madeUp.ml)} mL`;
  const { askedGrams: asked } = line;
  if (asked === null) return 'as planned when the batch began';
  if (unit === 'g')
    return asked === amount
      ? `${plainNumber(asked)} g asked for when the batch began`
      : `${plainNumber(asked)} g asked for, read to ${plainNumber(amount)} g`;
  const strengthPercent = material.strengthPercent ?? 0;
  const exact = (100 * asked) / strengthPercent;
  const read = Math.abs(exact - amount) > 1e-9 * amount ? `, read to ${plainNumber(amount)} mL` : '';
  return `100 × ${plainNumber(asked)} g ÷ ${plainNumber(strengthPercent)} % w/v = ${plainNumber(exact)} mL${read}`;
}

/** What kind of thing is next, in a word: for the hob, where there is no room for more. */
export function kindWord({ act, madeUp }: CardAct): string {
  switch (act.kind) {
    case 'run':
      return 'water';
    case 'put':
      return act.material.kind === 'dye' ? (madeUp ? 'dilute' : 'dye') : act.material.kind;
    case 'move':
      return act.holds ? 'dye' : 'paint';
    case 'place':
      return 'goods';
    case 'handle':
      return 'arrange';
    case 'stand':
      return act.purpose === 'soak' ? 'wet' : 'wait';
    case 'hold':
      return act.purpose === 'set' ? 'set' : 'hold';
    default:
      return act.kind;
  }
}
