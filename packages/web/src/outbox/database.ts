import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Event } from '@ythrion/core';

/** An event that this device made or heard of. */
export interface Entry {
  /** The event's own. */
  id: string;
  event: Event;
  /** Made here and not sent yet; in the studio's record; or sent and not taken. */
  state: 'unsent' | 'known' | 'refused';
  /** Its number in the studio's sequence of arrivals, once it is known. */
  seq: number | null;
  /** Why it was not taken. */
  why: string | null;
  /** Since when it is in this state, by this device's clock, ms. */
  sinceMs: number;
}

/** This device, as its events name it. */
export interface Self {
  id: string;
  /** Events made so far. */
  count: number;
  person: string | null;
}

interface DeviceSchema extends DBSchema {
  entries: { key: string; value: Entry };
  self: { key: 'self'; value: Self };
  /** The latest answers that the bench needs, by the address asked. */
  answers: { key: string; value: unknown };
}

export type DeviceDatabase = IDBPDatabase<DeviceSchema>;

/** What this device keeps, in the browser's own database. @throws when the browser keeps nothing */
export const openDatabase = (name = 'ythrion'): Promise<DeviceDatabase> =>
  openDB<DeviceSchema>(name, 1, {
    upgrade(database) {
      database.createObjectStore('entries', { keyPath: 'id' });
      database.createObjectStore('self');
      database.createObjectStore('answers');
    },
  });
