import { ACIDS } from '../materials/acids';
import { FieldError } from '../figure/fieldError';
import { amountOf, minutesOf } from '../process/amountOf';
import type { Act } from '../process/act';
import { quantityFor } from '../recipe/quantityFor';
import { judge } from '../units/judge';
import { formatAmount } from '../units/formatQuantity';
import type { Card } from './card';
import { cardAct } from './cardLines';
import type { Event, EventOf } from './event';
import { admitMap, admitOutcome } from './panMap';

/** A jar or a dye as far as an event is held against it. */
export interface KnownMaterials {
  dyes: readonly { id: string; name: string }[];
  stocks?: readonly { id: string; dyeId: string }[];
}

/**
 * Decides whether an event may join a batch's record. What happened is taken whatever else is in there: a line done
 * twice, or after closing, is a doubt, and no fault of the entry.
 * @param find the event of this batch with that id; undefined when there is none
 * @throws FieldError naming the field where it does not hold together: an unknown line or event, another kind of act or
 * unit than the line's, a clock for what is no wait
 */
export function admitEvent(event: Event, card: Card, find: (id: string) => Event | undefined): void {
  if (event.kind === 'act' || event.kind === 'begun') admitPlanned(event, card);
  if (event.kind === 'altered') admitAlteration(event, card);
  if (event.kind === 'mapped') admitMap(event, card);
  if (event.kind === 'came out') admitOutcome(event, card);
  if (event.kind === 'struck') admitStrike(event, find);
  if (event.kind === 'poured' || event.kind === 'kept')
    throw new FieldError('kind', `An entry “${event.kind}” belongs to a cup, not to a batch.`);
}

/**
 * Everything an event is held against before it joins a record: its card, what it names, what can be measured.
 * @param known what its act may name
 * @throws FieldError naming the field
 */
export function checkEvent(
  event: Event,
  card: Card,
  find: (id: string) => Event | undefined,
  known: KnownMaterials,
): void {
  admitEvent(event, card, find);
  if (event.kind === 'act' || event.kind === 'begun') checkMaterial(event.act, known);
  if (event.kind === 'altered')
    for (const { act } of event.change.lines) checkMaterial(act, withDyes(known, event.change.dyes));
  if (event.kind === 'act') checkAmount(event.act, event.written);
}

/** What is known, with the dyes that come along. */
const withDyes = (known: KnownMaterials, dyes: KnownMaterials['dyes']): KnownMaterials => ({
  ...known,
  dyes: [...known.dyes, ...dyes],
});

function admitPlanned(event: EventOf<'act'> | EventOf<'begun'>, card: Card): void {
  const { planned, act } = event;
  if (planned === null) {
    if (event.kind === 'begun')
      throw new FieldError('planned', 'A clock is started for a line of the card: name it.');
    return;
  }
  const line = cardAct(card, planned);
  if (!line) throw new FieldError('planned', `This batch’s card has no act “${planned}”.`);
  if (line.act.kind !== act.kind)
    throw new FieldError('act.kind', `“${planned}” is to ${line.act.kind}, not to ${act.kind}.`);
  const asked = amountOf(line.act);
  const got = amountOf(act);
  if (asked && event.kind === 'act' && got && got.unit !== asked.unit)
    throw new FieldError('act.unit', `This line is measured in ${asked.unit}, not ${got.unit}.`);
  if (event.kind === 'begun' && minutesOf(line.act) === null)
    throw new FieldError('planned', 'That line has nothing to wait for.');
}

/**
 * Holds what an act puts in against the shelf.
 * @param known stocks left out: jars are not asked about, as in a record of long ago
 * @throws FieldError: an unknown dye or jar, dye from another dye's jar, a unit that does not fit
 */
export function checkMaterial(act: Act, { dyes, stocks }: KnownMaterials): void {
  const material = act.kind === 'put' ? act.material : act.kind === 'move' ? act.holds : null;
  const field = act.kind === 'move' ? 'act.holds' : 'act.material';
  const unit = act.kind === 'put' ? act.unit : 'mL';
  if (material?.kind === 'acid' && unit !== ACIDS[material.acid].unit)
    throw new FieldError(
      'act.unit',
      ACIDS[material.acid].unit === 'g'
        ? 'Citric crystals are measured in g.'
        : 'A liquid acid is measured in mL.',
    );
  if (material?.kind !== 'dye') return;
  const dye = dyes.find(({ id }) => id === material.dyeId);
  if (!dye)
    throw new FieldError(
      `${field}.dyeId`,
      `There is no dye with the id “${material.dyeId}”. Name one that is on the shelf.`,
    );
  if (unit === 'mL' && material.strengthPercent === null)
    throw new FieldError(`${field}.strengthPercent`, 'Stock poured in mL needs its strength in % w/v.');
  if (material.stockId === null || stocks === undefined) return;
  const jar = stocks.find(({ id }) => id === material.stockId);
  if (!jar)
    throw new FieldError(
      `${field}.stockId`,
      `There is no jar with the id “${material.stockId}”. Name one that is on the shelf.`,
    );
  if (jar.dyeId !== material.dyeId)
    throw new FieldError(
      `${field}.stockId`,
      `That jar does not hold ${dye.name}. Name a jar of ${dye.name}, or the dye that is in this one.`,
    );
}

/** A change of the card must be about lines of the card, and do the same thing otherwise, not another thing. */
function admitAlteration({ change }: EventOf<'altered'>, card: Card): void {
  change.instead.forEach((line, i) => {
    const known = cardAct(card, line.id);
    if (known && known.act.kind !== line.act.kind)
      throw new FieldError(
        `change.instead.${i}.act.kind`,
        `“${line.id}” is to ${known.act.kind}, not to ${line.act.kind}.`,
      );
    const [asked, got] = [known && amountOf(known.act), amountOf(line.act)];
    if (asked && got && asked.unit !== got.unit)
      throw new FieldError(
        `change.instead.${i}.act.unit`,
        `This line is measured in ${asked.unit}, not ${got.unit}.`,
      );
  });
  const twice = change.lines.find(({ id }, i) => change.lines.findIndex((line) => line.id === id) !== i);
  if (twice) throw new FieldError('change.lines', `“${twice.id}” comes in twice.`);
}

function admitStrike({ event: id }: EventOf<'struck'>, find: (id: string) => Event | undefined): void {
  const target = find(id);
  if (!target) throw new FieldError('event', `There is no event “${id}” in this batch to take back.`);
  if (target.kind === 'struck')
    throw new FieldError('event', 'A taking-back cannot itself be taken back; make the entry again.');
}

/** The field of an act that holds its amount; acts that measure nothing have none. */
const AMOUNT_FIELDS: Partial<Record<Act['kind'], string>> = {
  run: 'act.ml',
  put: 'act.amount',
  move: 'act.ml',
};

/**
 * Holds a new act's amount to what a studio can measure. Only for what is entered now: a record of long ago is read
 * whatever it says.
 * @param written what was typed; an amount nobody measured needs words
 * @throws FieldError naming the field, the amount and the most there can be
 */
export function checkAmount(act: Act, written: string): void {
  const field = AMOUNT_FIELDS[act.kind];
  // What is tipped over out of a bath is no material that is measured out.
  if (field === undefined || (act.kind === 'move' && (act.ml === null || act.holds === null))) return;
  const measured = amountOf(act);
  if (measured === null) {
    if (written.trim() === '')
      throw new FieldError(field, 'Say how much went in, or in words what it was, such as “a splash”.');
    return;
  }
  if (!(measured.amount > 0)) throw new FieldError(field, 'An amount must be more than zero.');
  const judged = judge(measured.amount, quantityFor(measured.material, measured.unit));
  if (judged.ok) return;
  throw new FieldError(
    field,
    `${formatAmount(measured.amount, measured.unit)} cannot have been measured here. ${judged.problem}`,
  );
}
