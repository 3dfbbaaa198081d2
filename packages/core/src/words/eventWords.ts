import { threeFigures } from '../units/threeFigures';
import { amountOf, type MeasuredOut } from '../process/amountOf';
import { CAUTION_WORDS } from '../materials/cautionNames';
import { ACIDS } from '../materials/acids';
import { lineAsked } from '../record/answers';
import { entryAsked } from '../record/doubts';
import { begunAsked } from '../record/due';
import type { CardAct } from '../record/card';
import { cardAct, PLAIN_LINE } from '../record/cardLines';
import { dyeName } from '../record/dyeTotals';
import { isOpen } from '../record/open/isOpen';
import { SOURCE_QUESTION } from '../record/open/sourceChanged';
import type { Event, EventOf } from '../record/event';
import { goodsOf } from '../record/cardGoods';
import { shownOf } from '../record/panMap';
import { DROPPED } from '../record/words';
import { cellWords } from './cellWords';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { isSpokenAmount } from '../record/saidInRecord';
import { alterationWords } from './alterationWords';
import { measureWords, titleOf, type Reading } from './lineWords';
import { partOfCup } from './partOfCup';

/** One event of a record as a sentence. @param events the others of its record, one of which it may be about */
export function eventWords(event: Event, reading: Reading, events: readonly Event[] = []): string {
  switch (event.kind) {
    case 'begun':
      return `${titleOf(lineOf(event, reading), reading)}: begun`;
    case 'act':
      return actWords(event, reading);
    case 'struck':
      return struckWords(event, reading, events);
    case 'acknowledged':
      return `Acknowledged: caution about ${CAUTION_WORDS[event.caution]}`;
    case 'noted':
      return event.text;
    case 'altered':
      return alterationWords(event.change, reading);
    case 'poured':
      return pouredWords(event);
    case 'kept':
      return `${partOfCup(event.share)} kept${event.dye ? ` as ${event.dye.name}` : ''}`;
    case 'mapped':
      return `Laid out: ${mapWords(event, reading)}`;
    case 'came out':
      return cameOutWords(event, reading);
    case 'sought':
      return 'An attempt at a sought color';
    case 'named':
      return `Named: ${event.name}`;
    case 'answered':
      return answerWords(event, reading, events);
    case 'closed':
      if (event.standing === DROPPED) return 'Dropped: begun by mistake';
      return `Closed: ${event.outcome}, ${event.standing}${event.note === '' ? '' : `. ${event.note}`}`;
  }
}

/** What a map shows, line by line: `3 × Ratchet Sock, 2 × Sexton worsted`. */
const mapWords = (map: EventOf<'mapped'>, { batch }: Reading): string =>
  goodsOf(batch.card)
    .flatMap(({ line, name }) => {
      const shown = shownOf(map, line);
      return shown > 0 ? [`${shown} × ${name}`] : [];
    })
    .join(', ');

function cameOutWords({ goods, cell, outcome, note }: EventOf<'came out'>, { batch }: Reading): string {
  const name = goodsOf(batch.card).find(({ line }) => line === goods)?.name ?? 'goods';
  return `${name}${cell ? `, ${cellWords(cell)}` : ''}: ${outcome}${note === '' ? '' : `. ${note}`}`;
}

function pouredWords({ share, batch, into }: EventOf<'poured'>): string {
  return `${partOfCup(share)} poured ${batch === null ? 'away' : `into ${into}`}`;
}

function struckWords(
  { event: id, why }: EventOf<'struck'>,
  reading: Reading,
  events: readonly Event[],
): string {
  const entry = events.find((one) => one.id === id);
  const what = entry && entry.kind !== 'struck' ? eventWords(entry, reading, events) : 'an entry';
  return `Taken back: ${what}${why === '' ? '' : ` (${why})`}`;
}

function answerWords(
  { question, answer }: EventOf<'answered'>,
  reading: Reading,
  events: readonly Event[],
): string {
  const line = cardAct(reading.batch.card, lineAsked(question));
  if (line) return `${titleOf(line, reading)}: ${answer}, said afterwards`;
  const counts = entryAsked(question, answer);
  const entry = events.find(({ id }) => id === counts);
  if (entry) return `It counts: ${eventWords(entry, reading, events)}`;
  if (begunAsked(question) !== null) return 'Heard that it was due';
  return question === SOURCE_QUESTION
    ? 'The bath that was taken over keeps its figures'
    : `Answered: ${answer}`;
}

/** The card's line that an event does; for an act nobody planned, the act by itself. */
function lineOf(event: EventOf<'act'> | EventOf<'begun'>, { batch }: Reading): CardAct {
  return cardAct(batch.card, event.planned) ?? { ...PLAIN_LINE, id: event.id, act: event.act };
}

function actWords(event: EventOf<'act'>, reading: Reading): string {
  const { act, planned } = event;
  if (act.kind === 'look') return lookWords(act.of, act.answer);
  const measured = amountOf(act);
  const read = measured && formatAmount(measured.amount, measured.unit);
  const written = event.written === '' || event.written === read ? '' : ` (“${event.written}”)`;
  if (measured === null) return `${titleOf(lineOf(event, reading), reading)}: done${written}`;
  const spoken = spokenAmount(event, reading);
  const amount = spoken === null ? `${read}${written}` : `${spoken} (${read})`;
  return planned === null
    ? `${beginningOf(act, reading)}${amount} of ${materialName(measured.material, reading.dyes)}`
    : `${titleOf(lineOf(event, reading), reading)}: ${amount}`;
}

/** What stands before an amount that no line of the card asked for. */
function beginningOf({ purpose }: EventOf<'act'>['act'], { batch }: Reading): string {
  if (purpose === 'cup') return 'From the cup: ';
  return isOpen(batch.card) ? '' : 'Also added ';
}

/** The amount of an event as it was said by the spoon: typed at the pot, or planned so and poured as planned. */
function spokenAmount(event: EventOf<'act'>, reading: Reading): string | null {
  if (isSpokenAmount(event.written)) return event.written;
  const line = lineOf(event, reading);
  const asPlanned = event.written === '' && amountOf(event.act)?.amount === amountOf(line.act)?.amount;
  const said = asPlanned ? measureWords(line, reading)?.bySpoon : null;
  return said?.first ? said.words : null;
}

/** A look in words: `Check, bath: clear`. */
const lookWords = (of: string, answer: string): string => `Check, ${of}: ${answer}`;

/** A material in words. */
export function materialName(material: MeasuredOut['material'], dyes: readonly Dye[]): string {
  switch (material.kind) {
    case 'water':
    case 'ice':
    case 'wetting agent':
      return material.kind;
    case 'acid':
      return ACIDS[material.acid].label;
    case 'dye': {
      const name = dyeName(material.dyeId, dyes);
      return material.strengthPercent === null
        ? `${name} powder`
        : `${name} ${threeFigures(material.strengthPercent)} %`;
    }
  }
}
