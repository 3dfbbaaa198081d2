import { API, type Arrival, type Event } from '@ythrion/core';
import { ask } from '../api/client';
import { openDatabase, type DeviceDatabase } from './database';
import { Outbox } from './outbox';
import { Sender } from './sender';

/** A studio that has not answered an entry by then is asked again, ms. */
const PATIENCE_MS = 10_000;

const channel = new BroadcastChannel('ythrion.outbox');

/** What this device made and heard of. */
export const outbox = new Outbox(channel);

/** Where the record of an event takes it in. */
const addressOf = ({ of: { kind, id } }: Event): string =>
  `${kind === 'vessel' ? API.cups : API.batches}/${id}/events`;

/** Sends it. */
export const sender = new Sender(
  outbox,
  (event) => ask<Arrival>(addressOf(event), 'POST', event, PATIENCE_MS),
  undefined,
  'locks' in navigator ? (work) => navigator.locks.request('ythrion.outbox', work) : undefined,
);

/** Takes up what this device kept, and sends what it has not sent yet. Gives its database; null where nothing is kept. */
export async function startDevice(): Promise<DeviceDatabase | null> {
  const database = await openDatabase().catch(() => null);
  await outbox.open(database);
  channel.onmessage = () => void outbox.readAgain();
  outbox.subscribe(() => sender.wake());
  addEventListener('online', () => sender.wake());
  document.addEventListener('visibilitychange', () => sender.wake());
  sender.wake();
  return database;
}

let asked = false;

/** Asks the browser, once, not to clear what is kept: there is something that only this device has. */
export function askToKeep(): void {
  if (asked) return;
  asked = true;
  void navigator.storage?.persist?.().catch(() => false);
}
