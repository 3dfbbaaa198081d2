import http from 'node:http';
import type { LiveMessages } from '@ythrion/core';

type Name = keyof LiveMessages;

/** A device that listens to a studio. */
export interface Listener {
  /** Everything heard so far under a name. */
  heard<K extends Name>(name: K): LiveMessages[K][];
  /** The same, once there are so many. */
  until<K extends Name>(name: K, count: number): Promise<LiveMessages[K][]>;
  /** Where it is: the last id that the stream gave. */
  cursor(): string;
  cut(): void;
}

/** Listens to the studio at an address. @param since where it left off; from now on when left out */
export function listen(
  url: string,
  { since, listen: names = [] }: { since?: string; listen?: string[] },
): Listener {
  const messages: { name: string; data: unknown }[] = [];
  const waiting = new Set<() => void>();
  let cursor = since ?? '';
  let pending = '';
  const query = new URLSearchParams(names.map((name) => ['listen', name]));
  if (since !== undefined) query.set('since', since);
  const get = http.get(`${url}/api/live?${query}`, (response) => {
    response.setEncoding('utf8').on('data', (chunk: string) => {
      pending += chunk;
      const blocks = pending.split('\n\n');
      pending = blocks.pop() ?? '';
      for (const block of blocks) take(block);
    });
    response.on('error', () => undefined);
  });
  get.on('error', () => undefined);
  function take(block: string): void {
    const line = (name: string): string | undefined => block.match(new RegExp(`^${name}: (.*)$`, 'm'))?.[1];
    cursor = line('id') ?? cursor;
    const data = line('data');
    if (data !== undefined) messages.push({ name: line('event') ?? '', data: JSON.parse(data) });
    for (const look of [...waiting]) look();
  }
  const heard = <K extends Name>(name: K): LiveMessages[K][] =>
    messages.flatMap((one) => (one.name === name ? [one.data as LiveMessages[K]] : []));
  return {
    heard,
    cursor: () => cursor,
    cut: () => void get.destroy(),
    until: (name, count) =>
      new Promise((resolve) => {
        const look = (): void => {
          if (heard(name).length < count) return;
          waiting.delete(look);
          resolve(heard(name));
        };
        waiting.add(look);
        look();
      }),
  };
}
