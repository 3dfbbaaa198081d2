import path from 'node:path';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import { Argument, Command } from 'commander';
import { DocumentError, FieldError } from '@ythrion/core';
import { DataFolderError } from './storage/dataFolder';
import { COPY_APART, copyForAnother } from './backup/copyApart';
import { IN_APART, inForAnother, OUT_APART, outForAnother } from './document/exchangeApart';
import { FORMS } from './document/exchange';
import { FIND_COLORS, findInThread } from './samples/colorsInThread';
import { setPassphrase } from './access/passphrase';
import { colorFile } from './command/color';
import { loadDemo } from './command/demo';
import { exportTo, importFrom, planFile, writeSchema } from './command/documents';
import { SEARCH_SHARE, searchShare } from './command/searchShared';
import { backup, check, copies, restore } from './command/safety';
import { dataFolder, SettingError } from './command/places';
import { serve } from './command/serve';

const self = fileURLToPath(import.meta.url);
const root = path.resolve(path.dirname(self), '../../..');
const site = path.join(root, 'packages/web/dist');
const demoFolder = (): string => path.resolve(process.env.YTHRION_DATA || path.join(root, '.cache/demo'));

/** Opens the studio to the network. */
const LAN = [
  '--lan',
  'open it to the studio’s network as well: over HTTPS, for devices that sign in',
] as const;

/** How a whole studio stands in a file. */
const FORM = new Argument('<form>').choices(FORMS);

const program = new Command('ythrion').description(
  'Formulate acid dye colorways, run the dye day, keep a record that can be dyed again.',
);
program
  .command('serve')
  .description('serve your own studio')
  .option(...LAN)
  .action((options: { lan?: boolean }) => serve(dataFolder(), self, site, { lan: options.lan === true }));
program
  .command('demo')
  .description('serve the demo studio from a fresh data folder')
  .option(...LAN)
  .action(async (options: { lan?: boolean }) => {
    await loadDemo(demoFolder(), path.join(root, 'demo'));
    await serve(demoFolder(), self, site, { lan: options.lan === true });
  });
program
  .command('passphrase')
  .description(
    'set the passphrase by which devices sign in over the network; it is read from the first line of input',
  )
  .action(async () => {
    await setPassphrase(dataFolder(), await firstLine());
    process.stdout.write('From now on devices sign in with it. Those that are in stay in.\n');
  });
program
  .command('plan')
  .description('print the full plan of a colorway document as JSON')
  .argument('<file>', 'a document with the colorway and everything it names')
  .option('--colorway <id>', 'which colorway, when the document holds several')
  .action((file: string, options: { colorway?: string }) => planFile(file, options.colorway));
program
  .command('color')
  .description('predict, match and correct colors of measured dyes, as JSON')
  .argument('<file>', 'a request as in docs/formats.md; - for standard input')
  .action((file: string) => colorFile(file, self));
program.command(SEARCH_SHARE, { hidden: true }).action(searchShare);
program
  .command('export')
  .description('write the whole studio as one document, or as an archive')
  .argument('[file]', 'where to, an archive where it ends in .zip; standard output when left out')
  .action((file?: string) => exportTo(dataFolder(), file));
program
  .command('import')
  .description('take a document or an archive in, all or nothing')
  .argument('<file>')
  .action((file: string) => importFrom(dataFolder(), file));

program
  .command('backup')
  .description('copy the studio as it stands now; it may be in use')
  .argument('[file]', 'where to, besides the folder backups')
  .action((file?: string) => backup(dataFolder(), file));
program.command(COPY_APART, { hidden: true }).argument('<from>').argument('<to>').action(copyForAnother);
program.command(OUT_APART, { hidden: true }).argument('<folder>').addArgument(FORM).action(outForAnother);
program
  .command(IN_APART, { hidden: true })
  .argument('<folder>')
  .addArgument(FORM)
  .argument('<file>')
  .action(inForAnother);
program.command(FIND_COLORS, { hidden: true }).action(findInThread);
program
  .command('copies')
  .description('list the copies there are, newest first')
  .action(() => copies(dataFolder()));
program
  .command('restore')
  .description('put a copy in the place of the studio; what stands there is copied aside first')
  .argument('<copy>', 'name of a copy, or a path to a data file')
  .action((copy: string) => restore(dataFolder(), copy));
program
  .command('check')
  .description('look the whole studio over: file, references, jars, every record')
  .action(() => check(dataFolder()));
program
  .command('schema')
  .description('write the JSON Schema of the document, or of what the color command is asked')
  .argument('[file]', 'where to; standard output when left out')
  .option('--color', 'of a request to the color command')
  .action((file: string | undefined, { color }: { color?: boolean }) => writeSchema(file, color === true));

/** What is typed or piped in, up to the end of the line. */
async function firstLine(): Promise<string> {
  for await (const line of createInterface({ input: process.stdin })) return line;
  return '';
}

program.parseAsync().catch((error: unknown) => {
  const known =
    error instanceof DocumentError ||
    error instanceof FieldError ||
    error instanceof DataFolderError ||
    error instanceof SettingError;
  process.stderr.write(`${known ? error.message : (error as Error).stack}\n`);
  process.exit(1);
});
