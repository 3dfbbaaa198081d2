import { pino, type Logger } from 'pino';
import type { Router } from 'express';
import { lanAddresses, lanNames, LOOPBACK } from '../access/addresses';
import { authorityOf, fingerprintOf, machineCertificate } from '../access/authority';
import { Codes } from '../access/codes';
import { Devices } from '../access/devices';
import { hasPassphrase, madePassphrase, setPassphrase } from '../access/passphrase';
import type { Access } from '../access/routes';
import { trustPage } from '../access/trustPage';
import { Waits } from '../access/waits';
import { copyApart } from '../backup/copyApart';
import { copyDaily } from '../backup/dailyCopy';
import { exchangeApart } from '../document/exchangeApart';
import { createApp } from '../http/app';
import { studioRoutes } from '../http/studioRoutes';
import { colorsInThread } from '../samples/colorsInThread';
import { writableFolder } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import { openStudio } from '../storage/openStudio';
import { listenAt, type Listener } from './listeners';
import { loopbackOnly, port } from './places';

/** How a studio is served. */
export interface ServeOptions {
  /** Open to the studio's network as well, over HTTPS, for devices that sign in. */
  lan: boolean;
}

const say = (line: string): void => void process.stdout.write(`${line}\n`);

/**
 * Serves the studio in a data folder until it is told to stop.
 * @param program file of this program, to start it once more for what takes long
 * @param site folder of the built screens
 */
export async function serve(
  folder: string,
  program: string,
  site: string,
  { lan }: ServeOptions,
): Promise<void> {
  const log = pino({ level: process.env.YTHRION_LOG ?? 'warn' }, pino.destination(2));
  const asked = port();
  loopbackOnly();
  await writableFolder(folder);
  const giveBack = await lockFolder(folder);
  const ends: (() => Promise<unknown>)[] = [giveBack];
  const end = async (): Promise<void> => {
    for (const one of ends.splice(0).toReversed()) await one();
  };
  try {
    const storage = await openStudio(folder, { locked: true });
    ends.push(() => storage.close());
    const studio = studioRoutes(
      storage,
      copyApart(program),
      exchangeApart(program, storage),
      colorsInThread(program),
    );
    const access: Access = {
      dataFolder: folder,
      devices: await Devices.open(folder),
      codes: new Codes(),
      waits: new Waits(),
      lan: null,
    };
    const here = createApp(studio, access, { hosts: new Set(LOOPBACK), open: true }, log, site);
    const listening = await listenAt(here, '127.0.0.1', asked);
    ends.push(() => listening.close());
    const stopCopying = copyDaily(folder, log, copyApart(program));
    ends.push(async () => stopCopying());
    say(`Ythrion is at http://127.0.0.1:${listening.port}  (data in ${folder})`);
    if (lan)
      for (const one of await openToNetwork(studio, access, log, site, asked)) ends.push(() => one.close());
  } catch (error) {
    await end();
    throw error;
  }
  const stop = (): void => void end().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Opens the studio to the network it is on: itself over HTTPS, and the page that says how to trust it. */
async function openToNetwork(
  studio: Router,
  access: Access,
  log: Logger,
  site: string,
  asked: number,
): Promise<Listener[]> {
  const { dataFolder } = access;
  const addresses = lanAddresses();
  const names = [...lanNames(), 'localhost'];
  const authority = await authorityOf(dataFolder);
  const certificate = await machineCertificate(authority, ['127.0.0.1', ...addresses], names);
  const hosts = new Set([...LOOPBACK, ...addresses, ...names]);
  const app = createApp(studio, access, { hosts, open: false }, log, site);
  const next = (by: number): number => (asked === 0 ? 0 : asked + by);
  const secure = await listenAt(app, '0.0.0.0', next(1), certificate);
  const urlFor = (host: string): string => `https://${host}:${secure.port}`;
  const trust = await listenAt(trustPage(authority, hosts, urlFor), '0.0.0.0', next(2)).catch(
    async (error: unknown) => {
      await secure.close();
      throw error;
    },
  );
  const [address = '127.0.0.1'] = addresses;
  access.lan = { trustUrl: `http://${address}:${trust.port}`, url: urlFor(address) };
  if (!(await hasPassphrase(dataFolder))) {
    const made = madePassphrase();
    await setPassphrase(dataFolder, made);
    say(`The studio’s passphrase, shown this once: ${made}   (another one: ythrion passphrase)`);
  }
  say(
    addresses.length === 0
      ? 'This machine is on no network of a house: only it can open the studio over HTTPS.'
      : 'On a phone of this network, first open one of these; it says how to trust the studio:',
  );
  for (const one of addresses.length === 0 ? ['127.0.0.1'] : addresses)
    say(`  http://${one}:${trust.port}   then ${urlFor(one)}`);
  say(`The certificate must read ${fingerprintOf(authority)}`);
  return [secure, trust];
}
