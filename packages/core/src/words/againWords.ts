import { threeFigures } from '../units/threeFigures';
import type { AgainNotice } from '../record/again/againNotices';
import type { ComparedAct, DyedAgain, NotNow } from '../record/again/dyeAgain';
import { goodsThen } from '../record/again/goodsAgain';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { amountOf, minutesOf } from '../process/amountOf';
import { depths } from '../process/depths';
import type { State } from '../process/state';
import { measureOfAct } from '../recipe/measureOf';
import { saidById } from '../record/saidInRecord';
import { lineGrams } from '../recipe/lineGrams';
import type { Batch } from '../record/batch';
import type { CardAct } from '../record/card';
import { dyeName } from '../record/dyeTotals';
import type { FoldedRecord } from '../record/foldRecord';
import type { Dye } from '../shelf/dye';
import { jarWords } from '../shelf/jarWords';
import { formatAmount } from '../units/formatQuantity';
import { lineWords, titleOf, type Reading } from './lineWords';

/** One row of a record beside what it is to be now. */
export interface AgainRow {
  key: string;
  label: string;
  then: Figure | string | null;
  now: Figure | string | null;
  /** A word on the row; null for none. */
  note: string | null;
}

/** A record beside the card that it becomes, as tables read one under the other. */
export interface AgainTable {
  /** Goods, vessel, and what of each dye is on the goods. */
  goods: AgainRow[];
  /** Every act, in the order in which it is done. */
  acts: AgainRow[];
}

/** A record beside the card that it becomes. @param dyes every dye they may name */
export function againTable(
  batch: Batch,
  folded: FoldedRecord,
  made: DyedAgain,
  dyes: readonly Dye[],
  studio?: Reading['studio'],
): AgainTable {
  const readings = { then: { batch, dyes, studio }, now: { batch: made, dyes, studio } };
  const said = saidById(batch);
  return {
    goods: [...goodsRows(folded, made), ...depthRows(folded, made.end, dyes)],
    acts: made.compared.flatMap((row, i) => actRow(row, i, readings, said)),
  };
}

function goodsRows(folded: FoldedRecord, { formulation }: DyedAgain): AgainRow[] {
  const { goods } = formulation.recipe;
  return goodsThen(folded).map((thing): AgainRow => {
    const line = goods.find(({ id }) => id === thing.line);
    const base = line && formulation.bases.find(({ id }) => id === line.baseId);
    const grams = line ? lineGrams(line) : 0;
    return {
      key: `goods ${thing.line}`,
      label: !base || base.id === thing.baseId ? thing.name : `${thing.name} → ${base.name}`,
      then: figure(thing.grams, 'g', () => `${thing.count} × ${thing.name}, as it was dyed`),
      now: line
        ? figure(grams, 'g', () =>
            line.weighedGrams === null
              ? `${line.count} × ${threeFigures(line.gramsEach)} g`
              : `${threeFigures(grams)} g as weighed`,
          )
        : null,
      note: line ? null : 'left out',
    };
  });
}

/** What of each dye is on all the goods, spare ones apart. */
function depthRows({ end, toTheEnd }: FoldedRecord, now: State, dyes: readonly Dye[]): AgainRow[] {
  const [before, after] = [depths(end), depths(now)];
  const of = (found: Map<string, number>, id: string, when: string): Figure | null => {
    const percent = found.get(id);
    return percent === undefined
      ? null
      : figure(percent, '%', `dye on the goods ${when} ÷ their weight × 100`);
  };
  // In the order in which they first go in.
  const inOrder = toTheEnd.flatMap(({ act }) =>
    act.kind === 'put' && act.material.kind === 'dye' ? [act.material.dyeId] : [],
  );
  return [...new Set([...inOrder, ...before.keys(), ...after.keys()])].map((id) => ({
    key: `depth ${id}`,
    label: `${dyeName(id, dyes)}, depth`,
    then: of(before, id, 'then'),
    now: of(after, id, 'now'),
    note: null,
  }));
}

const WHY: Record<NotNow, string> = {
  cure: 'was a cure for a rinse that bled',
  'empty dilution': 'no dye went into it',
  'no goods': 'its goods are not there',
  'no room': 'no room left beside the stock',
};

function actRow(
  { then, now, why }: ComparedAct,
  i: number,
  readings: { then: Reading; now: Reading },
  said: ReturnType<typeof saidById>,
): AgainRow[] {
  const shown = now ?? then;
  if (!shown || shown.quiet || shown.act.kind === 'bring') return [];
  return [
    {
      key: `${i} ${shown.id}`,
      label: now ? titleOf(now, readings.now) : titleOf(shown, readings.then),
      then: then && valueThen(then, readings.then, said(then.id, then.act)),
      now: now && valueNow(now, readings.now),
      note: why === null ? clockNote(then, now) : WHY[why],
    },
  ];
}

function valueThen({ act }: CardAct, { dyes, studio }: Reading, said: string | null): Figure | string {
  const much = amountOf(act);
  if (much)
    return measuredOut(
      figure(much.amount, much.unit, 'as it was measured'),
      measureOfAct(act, said, {
        dyes,
        citricGramsPerTeaspoon: studio?.citricGramsPerTeaspoon,
      }),
    );
  const minutes = minutesOf(act);
  return minutes === null
    ? 'done'
    : figure(minutes, 'min', 'as it was, by the clock of its line or as planned');
}

function valueNow(line: CardAct, reading: Reading): Figure | string {
  const { measure, wait } = lineWords(line, reading);
  return measure?.amount ?? wait ?? 'to do';
}

/** A wait that differs by less of what was meant needs no word. */
const WORTH_A_WORD = 0.1;

/** A wait that came to be longer or shorter than was meant: the time that was meant is waited again. */
function clockNote(then: CardAct | null, now: CardAct | null): string | null {
  if (!then || !now || now.estimated) return null;
  const [real, meant] = [minutesOf(then.act), minutesOf(now.act)];
  return real !== null && meant !== null && Math.abs(real - meant) >= Math.max(1, WORTH_A_WORD * meant)
    ? 'the time that was meant, not what it came to be'
    : null;
}

/** What to say before a record is dyed again. */
export function againNoticeWords(notice: AgainNotice, dyes: readonly Dye[]): string {
  switch (notice.code) {
    case 'no acid':
      return 'No acid went in then, so there is none on this card: most acid dyes will stay in the bath.';
    case 'too small':
      return `${notice.vessel} holds ${formatAmount(notice.holdsMl, 'mL')}; bath and goods need about ${formatAmount(notice.needsMl, 'mL')}. Take a larger vessel or fewer goods.`;
    case 'jar short':
      return `${dyeName(notice.stock.dyeId, dyes)}: the jar holds ${formatAmount(notice.holdsMl, 'mL')}, ${formatAmount(notice.needsMl - notice.holdsMl, 'mL')} less than you need. Make more.`;
    case 'jar gone':
      return `${dyeName(notice.stock.dyeId, dyes)}: the ${jarWords(notice.stock)} jar is off the shelf, and there is no other. Make one, or weigh the powder.`;
    case 'other jar':
      return `${dyeName(notice.was.dyeId, dyes)}: the ${jarWords(notice.was)} jar is off the shelf. The ${jarWords(notice.now)} jar is in its place.`;
    case 'jar old':
      return `${dyeName(notice.stock.dyeId, dyes)} ${notice.stock.code}: this jar is ${notice.days} days old. Warm it, shake it, and test it before you rely on it.`;
    case 'no tool':
      return `${dyeName(notice.dyeId, dyes)}: no tool on the shelf can measure ${formatAmount(notice.amount, notice.unit)}.`;
    case 'coarse':
      return `${dyeName(notice.dyeId, dyes)}: ${formatAmount(notice.amount, notice.unit)} with the ${notice.tool} is read to about ${plainNumber(Number(notice.percent.toPrecision(2)))} %. Take a finer tool, or a weaker jar.`;
  }
}
