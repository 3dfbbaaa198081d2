import http from 'node:http';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import type { Express } from 'express';
import { SettingError } from './places';

/** What listens, and can be closed again. */
export interface Listener {
  port: number;
  close(): Promise<void>;
}

/** Listens with an application. @throws SettingError when the port cannot be had */
export async function listenAt(
  app: Express,
  host: string,
  port: number,
  secret?: { key: string; cert: string },
): Promise<Listener> {
  const server = secret ? https.createServer(secret, app) : http.createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error) => reject(listenError(error, port)));
    server.listen(port, host, resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}

function listenError(error: NodeJS.ErrnoException, asked: number): Error {
  if (error.code === 'EADDRINUSE')
    return new SettingError(`Port ${asked} is in use. Stop what runs there, or choose another with PORT.`);
  if (error.code === 'EACCES')
    return new SettingError(
      `Port ${asked} may not be used by this account. Choose one above 1023 with PORT.`,
    );
  return error;
}
