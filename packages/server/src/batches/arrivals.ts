import { QueryTypes } from 'sequelize';
import type { ArrivalsResponse, Event } from '@ythrion/core';
import type { Storage } from '../storage/storage';

/** Most arrivals in one answer. */
const PAGE = 500;

interface ArrivalRow {
  seq: number;
  id: string;
  body: string;
}

/** What arrived after a cursor, in the order of arrival; from the present on where the cursor is of another history. */
export async function arrivalsSince(storage: Storage, cursor: string): Promise<ArrivalsResponse> {
  const [number = '0', id] = cursor.split(':');
  const since = Number(number);
  if (id !== undefined && since > 0 && (await idAt(storage, since)) !== id)
    return { arrivals: [], cursor: await lastCursor(storage), restart: true };
  const rows = await storage.sequelize.query<ArrivalRow>(
    `SELECT seq, id, body FROM events WHERE seq > ? ORDER BY seq LIMIT ${PAGE}`,
    { replacements: [since], type: QueryTypes.SELECT },
  );
  const last = rows.at(-1);
  return {
    arrivals: rows.map(({ seq, body }) => ({ seq, event: JSON.parse(body) as Event })),
    cursor: last ? cursorOf(last) : cursor,
    restart: false,
  };
}

/** The cursor of the latest arrival. */
export async function lastCursor(storage: Storage): Promise<string> {
  const [last] = await storage.sequelize.query<{ seq: number; id: string }>(
    'SELECT seq, id FROM events ORDER BY seq DESC LIMIT 1',
    { type: QueryTypes.SELECT },
  );
  return last ? cursorOf(last) : '0';
}

/** Whether there may be more after an answer. */
export const isFull = ({ arrivals }: ArrivalsResponse): boolean => arrivals.length === PAGE;

export const cursorOf = ({ seq, id }: { seq: number; id: string }): string => `${seq}:${id}`;

async function idAt(storage: Storage, seq: number): Promise<string | undefined> {
  const [row] = await storage.sequelize.query<{ id: string }>('SELECT id FROM events WHERE seq = ?', {
    replacements: [seq],
    type: QueryTypes.SELECT,
  });
  return row?.id;
}
