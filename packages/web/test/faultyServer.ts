import http from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Event } from '@ythrion/core';

/** How the server treats one request. */
export type Fault = 'none' | 'says 500' | 'hangs' | 'drops before' | 'drops after' | 'answers late';

/** A studio that takes events as the real one does, one id once, and does not always say so. */
export interface FaultyServer {
  url: string;
  /** What it has, in the order of arrival. */
  events: Event[];
  /** Requests so far. */
  asked: number;
  close(): Promise<void>;
}

/** @param faults what befalls each request in turn; none once they are used up */
export async function faultyServer(faults: readonly Fault[]): Promise<FaultyServer> {
  const server = http.createServer((request, response) => {
    let body = '';
    request.setEncoding('utf8').on('data', (chunk: string) => (body += chunk));
    request.on('end', () => {
      const fault = faults[studio.asked] ?? 'none';
      studio.asked += 1;
      if (fault === 'drops before') return void request.socket.destroy();
      if (fault === 'hangs') return;
      if (fault === 'says 500') return void response.writeHead(500).end('{}');
      const event = JSON.parse(body) as Event;
      if (event.kind === 'noted' && event.text === 'nonsense')
        return void response
          .writeHead(400)
          .end(JSON.stringify({ message: 'x', problems: [{ field: 'text', message: 'This is nonsense.' }] }));
      if (!studio.events.some(({ id }) => id === event.id)) studio.events.push(event);
      if (fault === 'drops after') return void request.socket.destroy();
      const seq = studio.events.findIndex(({ id }) => id === event.id) + 1;
      const answer = (): void => void response.writeHead(201).end(JSON.stringify({ seq, event }));
      if (fault === 'answers late') setTimeout(answer, 400);
      else answer();
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const studio: FaultyServer = {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    events: [],
    asked: 0,
    async close() {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
  return studio;
}
