import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { copyApart } from './copyApart';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-apart-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

/** A program in the place of Ythrion’s own. */
async function program(lines: string): Promise<string> {
  const file = path.join(folder, 'program.mjs');
  await writeFile(file, `import fs from 'node:fs'; import os from 'node:os';\n${lines}`);
  return file;
}

test('the program is asked for the copy, with less of a claim on the processor', async () => {
  const to = path.join(folder, 'to');
  const file = await program(`
    const [, , command, from, to] = process.argv;
    const look = () => os.getPriority() === os.constants.priority.PRIORITY_BELOW_NORMAL
      ? (fs.writeFileSync(to, command + ' ' + from), process.exit(0))
      : setTimeout(look, 5);
    look();`);
  await copyApart(file)('the studio', to);
  expect(await readFile(to, 'utf8')).toBe('copy-apart the studio');
});

test('what it says went wrong is the reason', async () => {
  const file = await program(`process.stderr.write('database or disk is full'); process.exit(1);`);
  await expect(copyApart(file)('a', 'b')).rejects.toThrow(/^database or disk is full$/);
});

test('one that is ended halfway made no copy', async () => {
  const file = await program(`process.kill(process.pid, 'SIGKILL');`);
  await expect(copyApart(file)('a', 'b')).rejects.toThrow('the copying was cut short');
});
