import { rm } from 'node:fs/promises';
import path from 'node:path';
import type { StudioCopy } from '@ythrion/core';
import { copiesFolder } from '../storage/dataFolder';
import { listCopies } from '../storage/copies';

/**
 * How many copies stay: the newest ones, and the newest of each of so many days, weeks and months. Copies made before
 * going back to another are counted by themselves.
 */
export const KEPT = { newest: 5, days: 7, weeks: 5, months: 12, beforeRestore: 5 } as const;

const DAY = 86_400_000;
const dayOf = (at: string): string => at.slice(0, 10);
const monthOf = (at: string): string => at.slice(0, 7);
/** Number of the week since 1970, from Monday on. */
const weekOf = (at: string): string =>
  String(Math.floor((Date.parse(`${dayOf(at)}T00:00:00Z`) / DAY + 3) / 7));

/**
 * Which copies have served their time. One made before a change of format never has: it is the only one of its kind.
 * @param copies newest first
 */
export function outlived(copies: readonly StudioCopy[]): StudioCopy[] {
  const usual = copies.filter(({ why }) => why === 'daily' || why === 'asked');
  const kept = new Set([
    ...usual.slice(0, KEPT.newest),
    ...newestOfEach(usual, dayOf, KEPT.days),
    ...newestOfEach(usual, weekOf, KEPT.weeks),
    ...newestOfEach(usual, monthOf, KEPT.months),
    ...copies.filter(({ why }) => why === 'before-restore').slice(0, KEPT.beforeRestore),
    ...copies.filter(({ why }) => why === 'before-upgrade'),
  ]);
  return copies.filter((copy) => !kept.has(copy));
}

function newestOfEach(
  copies: readonly StudioCopy[],
  periodOf: (at: string) => string,
  most: number,
): StudioCopy[] {
  const seen = new Map<string, StudioCopy>();
  for (const copy of copies) {
    const period = periodOf(copy.at);
    if (!seen.has(period) && seen.size < most) seen.set(period, copy);
  }
  return [...seen.values()];
}

/** Takes the copies away that have served their time. */
export async function clearOutlived(folder: string): Promise<void> {
  for (const { name } of outlived(await listCopies(folder)))
    await rm(path.join(copiesFolder(folder), name), { force: true });
}
