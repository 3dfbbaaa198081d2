import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { pino } from 'pino';
import { createApp } from '../http/app';
import { copyApart } from '../backup/copyApart';
import { copyDaily } from '../backup/dailyCopy';
import { writableFolder } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import { openStudio } from '../storage/openStudio';
import { host, port, SettingError } from './places';

/**
 * Serves the studio in a data folder until it is told to stop.
 * @param program file of this program, to start it once more for a copy
 * @param site folder of the built screens
 */
export async function serve(folder: string, program: string, site: string): Promise<void> {
  const log = pino({ level: process.env.YTHRION_LOG ?? 'warn' }, pino.destination(2));
  const asked = port();
  await writableFolder(folder);
  const giveBack = await lockFolder(folder);
  const storage = await openStudio(folder, { locked: true }).catch(async (error: unknown) => {
    await giveBack();
    throw error;
  });
  const app = createApp(storage, log, { site, copy: copyApart(program) });
  const stopCopying = copyDaily(folder, log, copyApart(program));
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(asked, host(), (error?: Error) =>
      error ? reject(listenError(error, asked)) : resolve(listening),
    );
  }).catch(async (error: unknown) => {
    stopCopying();
    await storage.close();
    await giveBack();
    throw error;
  });
  const { port: bound } = server.address() as AddressInfo;
  process.stdout.write(`Ythrion is at http://${host()}:${bound}  (data in ${folder})\n`);
  const stop = (): void => {
    stopCopying();
    server.close(
      () =>
        void storage
          .close()
          .then(giveBack)
          .then(() => process.exit(0)),
    );
    server.closeAllConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
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
