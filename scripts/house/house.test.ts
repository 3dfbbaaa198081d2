import { execFileSync } from 'node:child_process';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';

const ROOT = path.resolve(__dirname, '../..');

interface Planted {
  file: string;
  text: string;
}

/** The rules that files of some text, if they stood in those places, would break. */
function broken(planted: readonly Planted[]): string[][] {
  const said = execFileSync(process.execPath, ['scripts/house/lint.mjs'], {
    cwd: ROOT,
    input: JSON.stringify(planted),
    encoding: 'utf8',
  });
  return JSON.parse(said.slice(said.lastIndexOf('\n[[') + 1)) as string[][];
}

const USES = (what: string, from: string): string =>
  `import { ${what} } from '${from}';\nexport const used = ${what};\n`;

/** Where it is planted, what it is, and the rule that has to find it. */
const BREACHES: [string, string, string, string][] = [
  [
    'a science that knows a recipe',
    'packages/core/src/acid/planted.ts',
    USES('goodsGrams', '../recipe/scale'),
    'boundaries/dependencies',
  ],
  [
    'a way that knows a plan',
    'packages/core/src/method/planted.ts',
    USES('planFormulation', '../plan/plan'),
    'boundaries/dependencies',
  ],
  [
    'the process that knows a way',
    'packages/core/src/process/planted.ts',
    USES('METHODS', '../method'),
    'boundaries/dependencies',
  ],
  [
    'two sciences that know each other',
    'packages/core/src/heat/planted.ts',
    USES('bathPh', '../acid/bathPh'),
    'boundaries/dependencies',
  ],
  [
    'a record that knows words',
    'packages/core/src/record/planted.ts',
    USES('titleOf', '../words/lineWords'),
    'boundaries/dependencies',
  ],
  [
    'storage that knows a resource',
    'packages/server/src/storage/planted.ts',
    USES('readBatch', '../batches/read'),
    'boundaries/dependencies',
  ],
  [
    'a screen that knows another',
    'packages/web/src/book/planted.ts',
    USES('StepLine', '../pots/StepLine'),
    'boundaries/dependencies',
  ],
  [
    'a part that knows a screen',
    'packages/web/src/parts/planted.ts',
    USES('StepLine', '../pots/StepLine'),
    'boundaries/dependencies',
  ],
  [
    'core with a screen',
    'packages/core/src/units/planted.ts',
    USES('useState', 'react'),
    'no-restricted-imports',
  ],
  [
    'core with files',
    'packages/core/src/units/planted.ts',
    USES('readFile', 'node:fs/promises'),
    'no-restricted-imports',
  ],
  [
    'core with the network',
    'packages/core/src/units/planted.ts',
    "export const got = fetch('http://localhost');\n",
    'no-restricted-globals',
  ],
  [
    'core with a clock',
    'packages/core/src/units/planted.ts',
    'export const now = (): number => Date.now();\n',
    'no-restricted-properties',
  ],
  [
    'core with a clock, otherwise',
    'packages/core/src/units/planted.ts',
    'export const now = (): Date => new Date();\n',
    'no-restricted-syntax',
  ],
  [
    'core with chance',
    'packages/core/src/units/planted.ts',
    'export const drawn = (): number => Math.random();\n',
    'no-restricted-properties',
  ],
  [
    'web with the server',
    'packages/web/src/api/planted.ts',
    USES('x', '@ythrion/server'),
    'no-restricted-imports',
  ],
  [
    'server with a screen',
    'packages/server/src/shelf/planted.ts',
    USES('useState', 'react'),
    'no-restricted-imports',
  ],
  [
    'a package that nobody declared',
    'packages/web/src/parts/planted.ts',
    USES('Sequelize', 'sequelize'),
    'n/no-extraneous-import',
  ],
];

/** What the floors allow. */
const ALLOWED: Planted[] = [
  { file: 'packages/core/src/plan/planted.ts', text: USES('goodsGrams', '../recipe/scale') },
  { file: 'packages/core/src/record/again/planted.ts', text: USES('foldRecord', '../foldRecord') },
  { file: 'packages/web/src/book/planted.ts', text: USES('useRecord', '../batch/useRecord') },
  { file: 'packages/core/src/units/planted.ts', text: 'export const at = new Date(0).getTime();\n' },
];

test('each rule of the house finds the breach that is planted, and leaves alone what is allowed', () => {
  const found = broken([...BREACHES.map(([, file, text]) => ({ file, text })), ...ALLOWED]);
  expect(BREACHES.map(([name, , , rule], i) => [name, found[i]?.includes(rule) ?? false])).toEqual(
    BREACHES.map(([name]) => [name, true]),
  );
  expect(found.slice(BREACHES.length)).toEqual(ALLOWED.map(() => []));
});

/** Text of every source file under a folder. */
async function sourceOf(folder: string): Promise<string> {
  const found = await readdir(path.join(ROOT, folder), { recursive: true, withFileTypes: true });
  const texts = found
    .filter((entry) => entry.isFile() && /\.(?:[cm]?[jt]sx?|css|html)$/.test(entry.name))
    .filter(({ parentPath }) => !/node_modules|dist|frozen/.test(parentPath))
    .map(({ parentPath, name }) => readFile(path.join(parentPath, name), 'utf8'));
  return (await Promise.all(texts)).join('\n');
}

test.each(['core', 'server', 'web'])('%s declares no dependency that it does not use', async (name) => {
  const folder = `packages/${name}`;
  const { dependencies } = JSON.parse(await readFile(path.join(ROOT, folder, 'package.json'), 'utf8')) as {
    dependencies: Record<string, string>;
  };
  const source = await sourceOf(folder);
  // Packages that another one asks to have beside it.
  const peers = ['@emotion/react', '@emotion/styled', 'sqlite3'];
  expect(
    Object.keys(dependencies).filter(
      (one) => !peers.includes(one) && !new RegExp(`['"]${one}(?:/[^'"]*)?['"]`).test(source),
    ),
  ).toEqual([]);
});
