import { QueryTypes } from 'sequelize';
import {
  plainLook,
  type BatchSummary,
  type BookFilter,
  type BookOrder,
  type BookPage,
  type BookQuery,
  type YarnLook,
} from '@ythrion/core';
import { anyWordBeginning } from '../storage/fullText';
import type { BatchRow } from '../storage/models';
import type { Storage } from '../storage/storage';

/** What a row is put in order by. */
const COLUMN: Record<BookOrder, string> = {
  startedAt: '',
  name: 'name',
  wogGrams: 'wog_grams',
  dosPercent: 'dos_percent',
  outcome: 'outcome',
  standing: 'standing',
};

/** Where the lists hold so many, going through the Book in its order is sooner done than looking up each of them. */
const MANY = 2000;

const ROW = `SELECT id, code, name, colorway_id AS colorwayId, started_at AS startedAt, closed_at AS closedAt, wog_grams AS wogGrams,
  dos_percent AS dosPercent, bases, dyes, undyed_hex AS undyedHex, hex, look, outcome, standing FROM batches`;

type SummaryRow = Omit<BatchSummary, 'look'> & Pick<BatchRow, 'look'>;

/** A page of the Book: what all of the filter holds for, in the order asked for; the equal by when they were begun. */
export async function bookPage(
  { sequelize }: Pick<Storage, 'sequelize'>,
  { order, way, offset, limit, ...filter }: BookQuery,
): Promise<BookPage> {
  const { lists, columns, values } = narrowed(filter);
  const select = <T extends object>(sql: string): Promise<T[]> =>
    sequelize.query<T>(sql, {
      replacements: { ...values, offset, limit },
      type: QueryTypes.SELECT,
      raw: true,
    });
  const counted = async (sql: string): Promise<number> =>
    (await select<{ total: number }>(sql))[0]?.total ?? 0;
  const onLists =
    lists.length === 0 ? null : await counted(`SELECT count(*) AS total FROM (${lists.join(' INTERSECT ')})`);
  // A plus sign before a column: no index is looked up for it.
  const held = where([...listed(lists, (onLists ?? 0) > MANY ? '+line' : 'line'), ...columns]);
  const inOrder = `ORDER BY ${[COLUMN[order], 'started_at', 'id']
    .filter(Boolean)
    .map((column) => `${column} ${way === 'down' ? 'DESC' : 'ASC'}`)
    .join()}`;
  const [total, rows] = await Promise.all([
    onLists !== null && columns.length === 0
      ? onLists
      : counted(`SELECT count(*) AS total FROM batches${held}`),
    select<SummaryRow>(
      `${ROW} WHERE id IN (SELECT id FROM batches${held} ${inOrder} LIMIT :limit OFFSET :offset) ${inOrder}`,
    ),
  ]);
  return { total, rows: rows.map((row) => ({ ...row, look: lookOf(row) })) };
}

const where = (conditions: readonly string[]): string =>
  conditions.length === 0 ? '' : ` WHERE ${conditions.join(' AND ')}`;

const listed = (lists: readonly string[], line: string): string[] =>
  lists.map((list) => `${line} IN (${list})`);

/** How the goods of a row are drawn; in one color all over where nothing else is known. */
const lookOf = ({ look, hex }: SummaryRow): YarnLook =>
  look === '' ? plainLook(hex) : (JSON.parse(look) as YarnLook);

interface Narrowed {
  /** Selects of the lines of the Book that are left. */
  lists: string[];
  /** Conditions on the line itself. */
  columns: string[];
  values: Record<string, unknown>;
}

function narrowed(filter: BookFilter): Narrowed {
  const { q, from, before, colorway, base, dye, verdict, standing } = filter;
  const { massFrom, massTo, depthFrom, depthTo } = filter;
  const match = anyWordBeginning(q);
  const given = (conditions: readonly [value: unknown, sql: string][]): string[] =>
    conditions.flatMap(([value, sql]) => (value == null ? [] : sql));
  return {
    lists: given([
      [match, 'SELECT rowid FROM batch_words WHERE batch_words MATCH :match'],
      [base, 'SELECT line FROM batch_bases WHERE base_id = :base'],
      [dye, 'SELECT line FROM dyed_lines WHERE dye_id = :dye'],
    ]),
    columns: given([
      [from, 'started_at >= :from'],
      [before, 'started_at < :before'],
      [colorway, 'colorway_id = :colorway'],
      [verdict, verdict === 'wet' ? 'outcome IS NULL' : 'outcome = :verdict'],
      [standing, 'standing = :standing'],
      [massFrom, 'wog_grams >= :massFrom'],
      [massTo, 'wog_grams <= :massTo'],
      [depthFrom, 'dos_percent >= :depthFrom'],
      [depthTo, 'dos_percent <= :depthTo'],
    ]),
    values: { ...filter, match, from: utc(from), before: utc(before) },
  };
}

/** A moment as the record writes it, so that texts of moments stand in their order. */
const utc = (moment: string | undefined): string | undefined => moment && new Date(moment).toISOString();

/** What a batch is searched by. @param said the words of its verdict */
export const searchText = (summary: Omit<BatchSummary, 'look'>, said: string): string =>
  [summary.name, summary.code, summary.bases, summary.dyes, summary.outcome, summary.standing, said]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
