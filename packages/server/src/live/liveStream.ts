import type { Response } from 'express';
import type { LiveMessages } from '@ythrion/core';
import type { Gate } from '../gate/gate';
import type { Instruments } from '../instruments/instruments';
import type { Storage } from '../storage/storage';
import { arrivalsSince, cursorOf, isFull, lastCursor } from '../batches/arrivals';
import type { Hub } from './hub';

/** A stream says that it is there at least this often, ms. */
export const HEARTBEAT_MS = 8000;

/** What a stream needs of the studio. */
export interface LiveSources {
  storage: Storage;
  gate: Gate;
  hub: Hub;
  instruments: Instruments;
}

/**
 * Sends everything that arrives after a cursor, and what the named instruments show, until the listener goes away.
 * Arrivals are read from the record itself each time something was changed: whatever is written, and however slow the
 * listener is, none is left out and none comes twice.
 * @param since where the listener left off; null: from now on
 */
export async function liveStream(
  response: Response,
  { storage, gate, hub, instruments }: LiveSources,
  since: string | null,
  listenTo: readonly string[],
): Promise<void> {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    Connection: 'keep-alive',
  });
  let open = true;
  const ends: (() => void)[] = [() => (open = false)];
  response.on('close', () => ends.forEach((end) => end()));
  // A device that is sent away hears no more.
  const { whenGone } = response.locals as { whenGone?: (end: () => void) => () => void };
  if (whenGone) ends.push(whenGone(() => response.end()));
  const send = <K extends keyof LiveMessages>(name: K, data: LiveMessages[K], cursor?: string): void => {
    if (!open) return;
    const id = cursor === undefined ? '' : `id: ${cursor}\n`;
    response.write(`${id}event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
  };

  let cursor = since ?? (await gate.through(() => lastCursor(storage)));
  let reading = false;
  let more = false;
  const catchUp = async (): Promise<void> => {
    more = true;
    if (reading) return;
    reading = true;
    try {
      while (more && open) {
        more = false;
        const page = await gate.through(() => arrivalsSince(storage, cursor));
        if (page.restart) send('restart', { cursor: page.cursor }, page.cursor);
        for (const arrival of page.arrivals)
          send('arrival', arrival, cursorOf({ seq: arrival.seq, id: arrival.event.id }));
        cursor = page.cursor;
        if (isFull(page)) more = true;
      }
    } catch {
      // The listener comes again from where it was, and is told then what is wrong.
      response.end();
    } finally {
      reading = false;
    }
  };
  const now = (): void => send('now', { now: new Date().toISOString() });
  response.write(`retry: 1000\nid: ${cursor}\n`);
  now();
  const heart = setInterval(now, HEARTBEAT_MS);
  ends.push(
    () => clearInterval(heart),
    hub.listen((name, told) => {
      void catchUp().then(() => send(name, told));
    }),
  );
  await catchUp();
  for (const name of listenTo) {
    const instrument = await gate.through(() => instruments.named(name));
    if (!open) return;
    if (instrument)
      ends.push(instrument.listen((shown) => send('reading', { instrument: name, reading: shown })));
    else send('reading', { instrument: name, reading: null });
  }
}
