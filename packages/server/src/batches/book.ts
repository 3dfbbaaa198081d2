import { Op } from 'sequelize';
import type { BatchSummary, BookPage, BookQuery } from '@ythrion/core';
import type { Storage } from '../storage/storage';

const SUMMARY_FIELDS = [
  'id',
  'code',
  'name',
  'colorwayId',
  'startedAt',
  'closedAt',
  'wogGrams',
  'dosPercent',
  'bases',
  'dyes',
  'undyedHex',
  'hex',
  'outcome',
  'standing',
];

/** A page of the Book, newest first; every word of the search must be found in name, code, bases, dyes or verdict and its words. */
export async function bookPage(storage: Storage, { q, offset, limit }: BookQuery): Promise<BookPage> {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const where =
    words.length === 0
      ? {}
      : { [Op.and]: words.map((word) => ({ search: { [Op.like]: `%${word.replaceAll(/[%_]/g, '')}%` } })) };
  const [total, rows] = await Promise.all([
    storage.models.batches.count({ where }),
    storage.models.batches.findAll({
      attributes: SUMMARY_FIELDS,
      where,
      order: [['startedAt', 'DESC'], 'id'],
      offset,
      limit,
      raw: true,
    }),
  ]);
  return { total, rows: rows as unknown as BatchSummary[] };
}

/** What a batch is searched by. @param said the words of its verdict */
export const searchText = (summary: BatchSummary, said: string): string =>
  [summary.name, summary.code, summary.bases, summary.dyes, summary.outcome, summary.standing, said]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
