import { FieldError } from '../figure/fieldError';
import type { Batch } from './batch';
import type { Card } from './card';
import { goodsOf } from './cardGoods';
import type { EventOf } from './event';
import { standingEvents } from './standing';

/** A place on the floor of a pan, counted from 1, from the left and from the back. */
export interface Cell {
  column: number;
  row: number;
}

/** Who lies where. */
export interface PanMap {
  columns: number;
  rows: number;
  cells: readonly (Cell & { goods: string })[];
}

/** The map that stands; null where nobody drew one. */
export function mapOf({ events }: Pick<Batch, 'events'>): PanMap | null {
  const drawn = standingEvents(events).standing.findLast((event) => event.kind === 'mapped');
  return drawn?.kind === 'mapped' ? drawn : null;
}

/** A map with a piece laid on a cell, another one there, or none. @param goods null: nothing lies there */
export const laidOn = (map: PanMap, { column, row }: Cell, goods: string | null): PanMap => ({
  ...map,
  cells: [
    ...map.cells.filter((cell) => cell.column !== column || cell.row !== row),
    ...(goods === null ? [] : [{ column, row, goods }]),
  ],
});

/** Pieces of a line that a map shows. */
export const shownOf = ({ cells }: PanMap, goods: string): number =>
  cells.filter((cell) => cell.goods === goods).length;

/**
 * Holds a map against the goods of its batch.
 * @throws FieldError where it shows more pieces than there are, or one where there is no place
 */
export function admitMap({ columns, rows, cells }: PanMap, card: Card): void {
  const lines = goodsOf(card);
  const taken = new Set<string>();
  for (const [i, { column, row, goods }] of cells.entries()) {
    const field = `cells.${i}`;
    const line = lines.find((one) => one.line === goods);
    if (!line) throw new FieldError(`${field}.goods`, 'The map shows goods that are not in this batch.');
    if (column > columns || row > rows)
      throw new FieldError(field, `The map has ${columns} × ${rows} places; this one lies outside of it.`);
    if (taken.has(`${column}:${row}`))
      throw new FieldError(field, 'Two pieces lie on one place of the map. Lay one of them elsewhere.');
    taken.add(`${column}:${row}`);
    const shown = shownOf({ columns, rows, cells }, goods);
    if (shown > line.count)
      throw new FieldError(
        field,
        `The map shows ${shown} of ${line.name}, and there are ${line.count}. Take ${shown - line.count} off it.`,
      );
  }
}

/** How one piece, or a whole line of goods, came out. */
export type CameOut = Pick<EventOf<'came out'>, 'outcome' | 'note'>;

/** A line of goods with how it came out, and each of its pieces that something was said of. */
export interface LineOutcome {
  goods: string;
  name: string;
  count: number;
  whole: CameOut | null;
  pieces: (CameOut & { cell: Cell })[];
}

/** How each line of goods came out, and which of its pieces otherwise; what was said last counts. */
export function outcomesOf({ card, events }: Pick<Batch, 'card' | 'events'>): LineOutcome[] {
  const { standing } = standingEvents(events);
  return goodsOf(card).map(({ line, name, count }) => {
    const said = standing.flatMap((event) =>
      event.kind === 'came out' && event.goods === line ? [event] : [],
    );
    const pieces = new Map<string, CameOut & { cell: Cell }>();
    for (const { cell, outcome, note } of said)
      if (cell) pieces.set(`${cell.column}:${cell.row}`, { cell, outcome, note });
    const whole = said.findLast(({ cell }) => cell === null);
    return {
      goods: line,
      name,
      count,
      whole: whole ? { outcome: whole.outcome, note: whole.note } : null,
      pieces: [...pieces.values()],
    };
  });
}

/** Whether pieces of a batch can differ: several lines of goods, places in a pan, or something that was said of one. */
export const tellsPieces = (batch: Pick<Batch, 'card' | 'events'>): boolean =>
  goodsOf(batch.card).length > 1 ||
  mapOf(batch) !== null ||
  outcomesOf(batch).some(({ whole, pieces }) => whole !== null || pieces.length > 0);

/** Holds how a piece came out against its batch. @throws FieldError for goods that are not in it */
export function admitOutcome({ goods }: { goods: string }, card: Card): void {
  if (!goodsOf(card).some(({ line }) => line === goods))
    throw new FieldError('goods', 'These goods are not in this batch.');
}
