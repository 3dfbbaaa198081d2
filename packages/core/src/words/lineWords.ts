import { threeFigures } from '../units/threeFigures';
import { ACIDS } from '../materials/acids';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { setMethodFacts } from '../heat/setMethods';
import type { Act, ActOf } from '../process/act';
import { amountOf, minutesOf, type MeasuredOut } from '../process/amountOf';
import type { BegunBatch } from '../record/batch';
import type { Card, CardAct } from '../record/card';
import { goodsOf, vesselRole } from '../record/cardGoods';
import { dyeName } from '../record/dyeTotals';
import { methodFacts, sectionsOf } from '../method';
import { sectionOfLine } from '../recipe/entryContext';
import { SQUEEZED_ML_PER_GRAM } from '../method/ready';
import type { PassMethod } from '../method';
import type { Pass } from '../recipe/recipe';
import { behaviorWords, UNKNOWN_BEHAVIOR } from '../shelf/behavior';
import { isNeverWrung } from '../shelf/forms';
import type { Dye } from '../shelf/dye';
import type { Studio } from '../shelf/studio';
import { formatAmount } from '../units/formatQuantity';
import { jarToMake } from './jarToMake';
import { withTool } from './withTool';
import { isSoak, vesselName, vesselSaid, whereGoodsGo } from './vesselWords';
import { inFahrenheit, measuresOf, ownMeasure, type BySpoon } from './saying';
import { measureOfAct, plannedText } from '../recipe/measureOf';
import { ARRANGED } from '../method/arranged';

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
    /** The same by the spoon or cup, with whether that is read first; null where no spoon measures it. */
    bySpoon: BySpoon | null;
    tool: string | null;
  } | null;
  wait: Figure | null;
}

/** What a line is read against: the batch it is of, and every dye it may name. */
export interface Reading {
  batch: Pick<BegunBatch, 'formulation' | 'card'>;
  dyes: readonly Dye[];
  /** By whose spoons and habits amounts are said; in metric measures when left out. */
  studio?: Pick<Studio, 'spoons' | 'habits' | 'citricGramsPerTeaspoon'> | undefined;
}

/** Puts a line of the card into words. The words may change; what the line means does not. */
export function lineWords(line: CardAct, reading: Reading): LineWords {
  const minutes = minutesOf(line.act);
  return {
    title: titleOf(line, reading),
    detail: joined(jarToMake(line.act, reading.batch.formulation.stocks), detailOf(line, reading)),
    measure: measureWords(line, reading),
    wait:
      minutes === null || minutes === 0
        ? null
        : figure(
            minutes,
            'min',
            () =>
              line.estimated
                ? 'expected when the batch began, from ring, vessel, bath and goods'
                : `${plainNumber(minutes)} min as decided`,
            line.estimated ? 'estimate' : 'exact',
          ),
  };
}

/** What a line measures, by the spoon or cup as well, and with what. */
export function measureWords(line: CardAct, reading: Reading): LineWords['measure'] {
  const measured = amountOf(line.act);
  if (!measured) return null;
  const amount = measureFigure(line, measured, reading);
  const bySpoon = reading.studio ? ownMeasure(amount, measuresOf(reading.studio)) : null;
  return {
    amount,
    unit: measured.unit,
    material: measured.material,
    bySpoon,
    // Spoons are their own tool.
    tool: bySpoon?.first ? null : toolOf(line),
  };
}

/** The title of a line of the card: in the words of its way, or the usual ones. */
export function titleOf(line: CardAct, reading: Reading): string {
  const { act } = line;
  const method = passOf(act, reading)?.method;
  return (
    (method && methodFacts(method.kind).words.title?.(method, line)) ??
    `${usualTitle(line, reading, method)}${whereOf(line, reading)}`
  );
}

/** Where on the goods a dye goes, as its way says it; nothing for a dye that goes everywhere. */
function whereOf({ act, madeUp }: CardAct, reading: Reading): string {
  const pass = passOf(act, reading);
  if (!pass || madeUp || act.purpose !== 'dose' || (act.kind !== 'put' && act.kind !== 'move')) return '';
  const dye = pass.dyes.find(({ id }) => id === act.line);
  const place = sectionsOf(pass.method).find(({ id }) => id === (dye && sectionOfLine(pass, dye))) ?? null;
  const where = methodFacts(pass.method.kind).words.where?.(pass.method, place);
  return where ? `, ${where}` : '';
}

function usualTitle(line: CardAct, reading: Reading, method: PassMethod | undefined): string {
  const { act } = line;
  switch (act.kind) {
    case 'bring':
      return act.thing.kind === 'vessel'
        ? `Have ${act.thing.name || act.thing.role} ready`
        : 'Have the goods ready';
    case 'run':
      return runTitle(line, act, reading);
    case 'put':
      return putTitle(line, act, reading);
    case 'move':
      return moveTitle(act, reading);
    case 'place':
      return placeTitle(line, act, reading, method);
    case 'split':
      return 'Part the goods';
    case 'lift':
      return 'Lift the goods out';
    case 'handle':
      return handleTitle(line, act, reading);
    case 'heat':
      return heatTitle(act, reading);
    case 'hold':
      return act.purpose === 'set'
        ? `Hold at ${celsius(act.atC, act, reading)}, ${setMethodFacts(reading.batch.formulation.recipe.set.method).label}`
        : `Hold at ${celsius(act.atC, act, reading)} until the bath clears`;
    case 'stand':
      if (act.purpose === 'soak') return soakTitle(act, reading);
      return isSoak(reading.batch.card, act.vessel)
        ? 'Leave the goods in the acid soak'
        : 'Leave it to stand';
    case 'cool':
      return `Cool in place to ${celsius(act.toC, act, reading)}; color is still moving onto the fiber`;
    case 'look':
      return `Look at the ${act.of}`;
    case 'rinse':
      return 'Rinse cool, one drop of dish soap as the bleed test';
    case 'wring':
      return 'Wring';
    case 'dry':
      return isPressed(reading)
        ? 'Press the water out, let it drip, and dry it flat; never wring'
        : 'Spin and hang to dry';
  }
}

/** Whether some of the goods are pressed and dried flat. */
const isPressed = ({ batch }: Reading): boolean => goodsOf(batch.card).some(({ form }) => isNeverWrung(form));

/** A temperature as it was said, or as the studio reads it. */
function celsius(value: number | null, act: Act, { batch, studio }: Reading): string {
  if (value === null) return 'heat';
  const fahrenheit = studio && inFahrenheit(value, plannedText(act, batch.formulation), measuresOf(studio));
  return fahrenheit ? `${fahrenheit} (${threeFigures(value)} °C)` : `${threeFigures(value)} °C`;
}

const passOf = (act: Act, { batch }: Reading): Pass | undefined =>
  batch.formulation.recipe.passes.find((pass) => pass.id === act.pass);

function moveTitle(act: ActOf<'move'>, reading: Reading): string {
  if (act.holds?.kind === 'dye') return `Pour the diluted ${dyeName(act.holds.dyeId, reading.dyes)}`;
  const { card } = reading.batch;
  if (act.to === null)
    return act.ml === null
      ? 'Pour the bath away'
      : `Pour ${amountSaid(act.ml, act, reading)} of the bath away; what is left goes on`;
  const into = `into the ${vesselName(card, act.to)}`;
  return act.ml === null
    ? `Tip the bath over ${into}`
    : `Measure ${amountSaid(act.ml, act, reading)} of the bath before ${into}`;
}

/** A volume of a bath as it was said, or as the studio reads water. */
function amountSaid(ml: number, act: Act, { batch, studio }: Reading): string {
  const said = plannedText(act, batch.formulation);
  const own =
    studio &&
    ownMeasure(measuredOut(figure(ml, 'mL', 'as decided'), { as: 'water', said }), measuresOf(studio));
  return own?.first ? `${own.words} (${formatAmount(ml, 'mL')})` : formatAmount(ml, 'mL');
}

function runTitle(line: CardAct, act: ActOf<'run'>, reading: Reading): string {
  const { batch } = reading;
  if (act.purpose === 'paint') return 'Measure water to fill the paint up with';
  if (act.purpose === 'top up') return 'Top the bath up with water';
  if (act.purpose === 'dilution') return 'Make the dilution up with water';
  if (isSoak(batch.card, act.vessel)) return 'Run water for an acid soak';
  const water =
    act.celsius === null || Math.abs(act.celsius - batch.formulation.place.tapC) < 1
      ? 'water'
      : `water of ${celsius(act.celsius, act, reading)}`;
  return isEmptiedFor(line, batch.card)
    ? `Pour the old bath away, then run ${water} into the ${vesselSaid(batch.card, act.vessel)}`
    : `Run ${water} into the ${vesselSaid(batch.card, act.vessel)}`;
}

/** Whether the vessel is emptied right before this water is run, which has no line of its own. */
function isEmptiedFor({ id, act }: CardAct, { acts }: Card): boolean {
  const before = acts[acts.findIndex((line) => line.id === id) - 1];
  return (
    act.kind === 'run' &&
    before?.act.kind === 'move' &&
    before.quiet &&
    before.act.to === null &&
    'vessel' in before.act.from &&
    before.act.from.vessel === act.vessel
  );
}

function putTitle(line: CardAct, act: ActOf<'put'>, reading: Reading): string {
  const { material } = act;
  if (material.kind === 'ice') return 'Heap ice or snow over the goods';
  if (material.kind === 'wetting agent') return 'Add a drop of wetting agent';
  if (material.kind === 'acid' && act.purpose === 'cut')
    return `Weigh ${ACIDS[material.acid].label} to stir into the powder`;
  if (material.kind === 'acid') return `Add ${ACIDS[material.acid].label} ${acidWhere(act, reading)}`;
  const name = dyeName(material.dyeId, reading.dyes);
  if (line.madeUp)
    return `Take ${name} ${strength(material.strengthPercent)} and make it up to ${formatAmount(line.madeUp.ml, 'mL')}`;
  if (act.unit === 'mL') return `Pour ${name} ${strength(material.strengthPercent)}`;
  if ('vessel' in act.into && vesselRole(reading.batch.card, act.into.vessel) === 'melting ice')
    return `Sprinkle ${name} powder on the ice`;
  return 'place' in act.into
    ? `Sprinkle ${name} powder`
    : `Weigh ${name} powder and dissolve it in hot water`;
}

const strength = (percent: number | null): string => `${percent === null ? '' : threeFigures(percent)} %`;

function acidWhere(act: ActOf<'put'>, reading: Reading): string {
  const over = 'place' in act.into && (act.purpose === 'warm' || act.purpose === 'late');
  if (over) return 'over the goods';
  switch (act.purpose) {
    case 'soak':
      return 'to the soak';
    case 'warm':
      return 'to the warm bath';
    case 'late':
      return 'to the hot, level bath';
    case 'with powder':
      return 'with the powder';
    case 'melt':
      return 'for the melt water';
    case 'top up':
      return 'for the water topped up';
    default:
      if ('place' in act.into) return 'over the goods';
      if (isSoak(reading.batch.card, act.into.vessel)) return 'to the soak';
      return vesselRole(reading.batch.card, act.into.vessel) === 'paint cup'
        ? 'to the paint water'
        : 'to the bath';
  }
}

function placeTitle(
  line: CardAct,
  act: ActOf<'place'>,
  { batch }: Reading,
  method: PassMethod | undefined,
): string {
  if (act.purpose === 'catch up') {
    const spare = goodsOf(batch.card).filter((goods) => act.goods.includes(goods.line));
    return `Put ${spare.map((goods) => goods.name).join(' and ')} in to catch what is left`;
  }
  if (act.purpose === 'unplanned') return `Put ${namesOf(act.goods, batch.card)} in with them`;
  if (isSoak(batch.card, act.vessel) && act.purpose === null) return 'Lay the goods into the acid soak';
  if (act.purpose === 'set')
    return act.goods.length === 0
      ? 'Lay the goods in a pan, with what melted'
      : `Lay ${namesOf(act.goods, batch.card)} in beside them, not touching`;
  if (method) return methodFacts(method.kind).words.goodsIn(method, line);
  return act.wet ? 'Lift the goods in, open, and stir' : 'Lay the dry goods in';
}

/** Lines of goods by their count and name. */
const namesOf = (lines: readonly string[], card: Card): string =>
  goodsOf(card)
    .filter(({ line }) => lines.includes(line))
    .map(({ count, name }) => `${count} × ${name}`)
    .join(' and ');

function handleTitle(line: CardAct, act: ActOf<'handle'>, { batch }: Reading): string {
  if (act.what === 'unwrap' && act.purpose === 'set')
    return 'Take the goods out of the shared set, once it is over and has cooled';
  if (act.what === 'wrap' && act.purpose === 'rest')
    return 'Lift the goods out and keep them damp in a bag until others can be set with them';
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
  const { acts } = batch.card;
  const before = acts[acts.findIndex(({ id }) => id === line.id) - 1]?.act;
  if (before?.kind === 'lift') return `${LIFTED[leftAs(before)]}. ${lies}`;
  return before?.kind === 'handle' && before.what === 'unwrap' ? `${LIFTED['as they lie']}. ${lies}` : lies;
}

/** How goods came out: squeezed, unless it says that they keep more; older cards always squeezed, and left it unsaid. */
const leftAs = ({ keepsMlPerGram }: ActOf<'lift'>): 'squeezed' | 'dripping' =>
  (keepsMlPerGram ?? 0) > SQUEEZED_ML_PER_GRAM ? 'dripping' : 'squeezed';

/** Goods coming out of the pass before. */
const LIFTED = {
  squeezed: 'Lift out and squeeze',
  dripping: 'Lift out and let drip',
  'as they lie': 'Unwrap, and do not squeeze',
} as const;

function heatTitle(act: ActOf<'heat'>, reading: Reading): string {
  const { batch } = reading;
  const { set } = batch.formulation.recipe;
  const facts = setMethodFacts(set.method);
  if (act.pass !== null || facts.riseMinutes === undefined)
    return `Heat slowly to ${celsius(act.toC, act, reading)}`;
  const out = batch.card.acts.find(({ act: lift }) => lift.kind === 'lift' && lift.pass === null)?.act;
  const bagged = batch.card.acts.some(
    ({ act: bag }) => bag.kind === 'handle' && bag.what === 'wrap' && bag.purpose === 'rest',
  );
  const { wrapped, bare } = INTO_SET[bagged ? 'bagged' : out?.kind === 'lift' ? leftAs(out) : 'as they lie'];
  return `${set.wrap === 'none' ? bare : wrapped} for the ${facts.label}`;
}

/** Goods on their way to where they are set. Nobody squeezes painted goods. */
const INTO_SET = {
  squeezed: {
    wrapped: 'Lift the goods out, squeeze, wrap',
    bare: 'Lift the goods out, squeeze, lay them in',
  },
  dripping: {
    wrapped: 'Lift the goods out, let them drip, wrap',
    bare: 'Lift the goods out, let them drip, lay them in',
  },
  'as they lie': { wrapped: 'Wrap the goods as they lie', bare: 'Lay the goods in as they lie' },
  bagged: { wrapped: 'Out of the bag, wrap', bare: 'Out of the bag, lay them in' },
} as const;

function soakTitle(act: ActOf<'stand'>, { batch }: Reading): string {
  const acid = batch.card.acts.some(
    ({ act: put }) => put.kind === 'put' && put.purpose === 'soak' && put.material.kind === 'acid',
  );
  return act.purpose === 'soak' && acid
    ? 'Wet out the goods in the acid soak with a drop of wetting agent'
    : 'Wet out the goods in plain water with a drop of wetting agent';
}

function detailOf(line: CardAct, reading: Reading): string | null {
  const { act } = line;
  if (act.kind === 'put' && act.material.kind === 'dye' && line.madeUp && act.amount !== null) {
    const made = ((act.material.strengthPercent ?? 0) * act.amount) / line.madeUp.ml;
    return `1 part in ${Math.round(line.madeUp.ml / act.amount)}: the pour alone is too small to read. Label it ${threeFigures(made)} %.`;
  }
  if (act.kind === 'stand' && act.purpose === 'soak')
    return isSqueezedAfter(line, reading)
      ? `Then ${isPressed(reading) ? 'press, do not wring' : 'squeeze'}: damp, not dripping.`
      : null;
  const method = passOf(act, reading)?.method;
  const said = (method && methodFacts(method.kind).words.detail?.(method, line)) ?? knownOf(act, reading);
  const where =
    act.kind === 'place' && act.pass !== null ? whereGoodsGo(reading.batch.card, act.vessel) : null;
  return joined(where === null ? null : `Vessel: ${where}.`, said);
}

/** What there is of some sentences, one after another; null where there is none. */
function joined(...sentences: readonly (string | null)[]): string | null {
  const said = sentences.filter((sentence) => sentence !== null);
  return said.length === 0 ? null : said.join(' ');
}

/** What is known of the dye that an act puts in; null where that is nothing. */
function knownOf(act: Act, { dyes }: Reading): string | null {
  if (act.kind !== 'put' || act.material.kind !== 'dye' || act.purpose === 'dilution') return null;
  const { dyeId } = act.material;
  const words = behaviorWords(dyes.find(({ id }) => id === dyeId)?.behavior ?? UNKNOWN_BEHAVIOR);
  if (words.length === 0) return null;
  const said = words.join(', ');
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`;
}

/** Whether the goods are squeezed when they come out of their soak. */
function isSqueezedAfter({ id }: CardAct, { batch }: Reading): boolean {
  const { acts } = batch.card;
  const next = acts[acts.findIndex((line) => line.id === id) + 1]?.act;
  return next?.kind === 'lift' && next.keepsMlPerGram === SQUEEZED_ML_PER_GRAM;
}

function toolOf({ tool, madeUp }: CardAct): string | null {
  if (tool === null) return null;
  return madeUp ? `with the ${tool.name}, made up in the ${madeUp.tool}` : withTool(tool.name, tool.fills);
}

/** The amount of a line with the arithmetic behind it. */
function measureFigure(line: CardAct, { material, amount, unit }: MeasuredOut, reading: Reading): Figure {
  const said = plannedText(line.act, reading.batch.formulation);
  return measuredOut(
    figure(amount, unit, () => because(line, material, amount, unit)),
    measureOfAct(line.act, said, {
      dyes: reading.dyes,
      citricGramsPerTeaspoon:
        reading.studio?.citricGramsPerTeaspoon ?? reading.batch.formulation.citricGramsPerTeaspoon,
    }),
  );
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
