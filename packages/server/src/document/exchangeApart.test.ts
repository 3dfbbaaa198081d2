import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { PassThrough } from 'node:stream';
import { text } from 'node:stream/consumers';
import { DocumentError } from '@ythrion/core';
import { testStudio, type TestStudio } from '../../test/studio';
import type { Exchange } from './exchange';
import { exchangeApart } from './exchangeApart';

let folder: string;
let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio(false);
});
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-exchange-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));
afterAll(() => studio.remove());

/** Taking out and in by a program in the place of Ythrion’s own. */
async function by(lines: string): Promise<Exchange> {
  const file = path.join(folder, 'program.mjs');
  await writeFile(
    file,
    `import fs from 'node:fs'; import os from 'node:os';
     const [, , ...words] = process.argv;
     const say = (said) => process.stdout.write(JSON.stringify(said) + '\\n');
     ${lines}`,
  );
  return exchangeApart(file, studio.storage);
}
const took = { added: 3, unchanged: 1 };

test('the program is asked to take in, with less of a claim on the processor, and what it tells is passed on', async () => {
  const note = path.join(folder, 'note');
  const exchange = await by(`
    const look = () => os.getPriority() === os.constants.priority.PRIORITY_BELOW_NORMAL
      ? (fs.writeFileSync(${JSON.stringify(note)}, words.join(' ')), say({ batches: 50 }), say({ batches: 100 }),
         say({ report: ${JSON.stringify(took)} }), process.exit(0))
      : setTimeout(look, 5);
    look();`);
  const told: number[] = [];
  expect(await exchange.in('archive', 'studio.zip', { told: (batches) => told.push(batches) })).toEqual(took);
  expect(told).toEqual([50, 100]);
  expect(await readFile(note, 'utf8')).toBe(`in-apart ${studio.folder} archive studio.zip`);
});

test('what stands in the way is refused with its field', async () => {
  const exchange = await by(`say({ problems: [{ field: 'batches.3.id', message: 'no' }] });`);
  const refused = exchange.in('document', 'f', {});
  await expect(refused).rejects.toThrow(DocumentError);
  await expect(refused).rejects.toThrow('batches.3.id: no');
});

test.each([
  ['a full disk is one', `say({ full: true });`, { code: 'SQLITE_FULL' }],
  [
    'one that is ended halfway took nothing in',
    `say({ batches: 50 }); process.kill(process.pid, 'SIGKILL');`,
    { message: /cut short/ },
  ],
  ['one that ends without a word took nothing in', '', { message: /cut short/ }],
  [
    'what it says went wrong is the reason',
    `process.stderr.write('no such file'); process.exit(1);`,
    { message: /^no such file$/ },
  ],
])('%s', async (_, lines, error) => {
  const exchange = await by(lines);
  await expect(exchange.in('archive', 'f', {})).rejects.toMatchObject(
    'message' in error ? { message: expect.stringMatching(error.message) as string } : error,
  );
});

test('writes of the studio wait until it has ended, and go on when it was stopped', async () => {
  const exchange = await by(`say({ batches: 0 }); setInterval(() => {}, 1000);`);
  const stop = new AbortController();
  const ended: string[] = [];
  const taking = new Promise<void>((begun) => {
    exchange
      .in('archive', 'f', { told: () => begun(), stop: stop.signal })
      .catch((error: Error) => ended.push(error.message));
  });
  await taking;
  const written = studio.storage.write(async () => void ended.push('written'));
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(ended).toEqual([]);
  stop.abort(new Error('stopped'));
  await written;
  expect(ended).toEqual(['stopped', 'written']);
  await expect(exchange.in('archive', 'f', { stop: stop.signal })).rejects.toThrow('stopped');
});

test('what goes out is what the program writes; what is cut short does not end as if it were whole', async () => {
  const whole = new PassThrough();
  const got = text(whole);
  await (await by(`process.stdout.write(words.join(' '));`)).out('document', whole);
  expect(await got).toBe(`out-apart ${studio.folder} document`);

  const torn = new PassThrough();
  const ends: string[] = [];
  torn.on('end', () => ends.push('end')).resume();
  const exchange = await by(`process.stdout.write('half', () => process.exit(3));`);
  await expect(exchange.out('archive', torn)).rejects.toThrow();
  expect(ends).toEqual([]);
});

test('many who ask are answered one after the other, those who have gone not at all', async () => {
  const note = path.join(folder, 'log');
  const exchange = await by(`
    const log = (word) => fs.appendFileSync(${JSON.stringify(note)}, word + ' ');
    log('begun'); process.stdout.write('x'); setTimeout(() => log('ended'), 30);`);
  const gone = new PassThrough();
  const asked = [new PassThrough(), gone, new PassThrough()].map((to) => {
    to.resume();
    return exchange.out('archive', to);
  });
  gone.destroy();
  await Promise.all(asked);
  expect(await readFile(note, 'utf8')).toBe('begun ended begun ended ');
});

test('whoever goes away ends the program', async () => {
  const note = path.join(folder, 'pid');
  const exchange = await by(`
    fs.writeFileSync(${JSON.stringify(note)}, String(process.pid));
    setInterval(() => process.stdout.write('more'), 5);`);
  const to = new PassThrough();
  to.once('data', () => to.destroy());
  await expect(exchange.out('archive', to)).rejects.toThrow();
  const pid = Number(await readFile(note, 'utf8'));
  expect(() => process.kill(pid, 0)).toThrow();
});
