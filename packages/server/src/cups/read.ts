import { QueryTypes, type Transaction } from 'sequelize';
import type { CupRecord, Event } from '@ythrion/core';
import type { Storage } from '../storage/storage';

/** Cups on the bench: those that something happened to last, so many at most. */
const AT_HAND = 40;

/** The cups that something happened to last, the latest first, each with its whole record. */
export async function cupsAtHand(storage: Storage): Promise<CupRecord[]> {
  const rows = await storage.sequelize.query<{ id: string }>(
    `SELECT vessel_id AS id FROM events WHERE vessel_id IS NOT NULL
      GROUP BY vessel_id ORDER BY MAX(seq) DESC LIMIT ${AT_HAND}`,
    { type: QueryTypes.SELECT },
  );
  return Promise.all(rows.map(({ id }) => readCup(storage, id)));
}

/** Every cup there ever was, in the order in which they were begun. */
export async function everyCup(storage: Storage): Promise<CupRecord[]> {
  const cups = new Map<string, Event[]>();
  const rows = await storage.sequelize.query<{ id: string; body: string }>(
    'SELECT vessel_id AS id, body FROM events WHERE vessel_id IS NOT NULL ORDER BY seq',
    { type: QueryTypes.SELECT },
  );
  for (const { id, body } of rows) {
    const events = cups.get(id) ?? [];
    events.push(JSON.parse(body) as Event);
    cups.set(id, events);
  }
  return [...cups].map(([id, events]) => ({ id, events }));
}

/** One cup with its record; an empty one where there is none. */
export async function readCup(storage: Storage, id: string, transaction?: Transaction): Promise<CupRecord> {
  const rows = await storage.sequelize.query<{ body: string }>(
    'SELECT body FROM events WHERE vessel_id = ? ORDER BY seq',
    { replacements: [id], type: QueryTypes.SELECT, transaction },
  );
  return { id, events: rows.map(({ body }) => JSON.parse(body) as Event) };
}
