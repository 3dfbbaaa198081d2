import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from '@playwright/test';
import Ajv2020 from 'ajv/dist/2020.js';
import { command } from './application';

const SCHEMA = path.resolve(import.meta.dirname, '../docs/schema/color-request.schema.json');
let folder: string;
test.beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'ythrion-color-'));
});
test.afterEach(() => rm(folder, { recursive: true, force: true }));

/** Asks the command as somebody would who has only its schema. */
async function ask(request: unknown): Promise<{ code: number | null; out: string; err: string }> {
  const file = path.join(folder, 'request.json');
  await writeFile(file, JSON.stringify(request));
  return command(['color', file]);
}

/** A blue and a yellow on white wool, by their Lab. */
const SHELF = {
  bases: [{ id: 'wool', lab: [90, 0, 8] }],
  dyes: [
    {
      id: 'blue',
      samples: [
        { baseId: 'wool', dosPercent: 0.1, lab: [68, -8, -20] },
        { baseId: 'wool', dosPercent: 0.5, lab: [45, -4, -38] },
        { baseId: 'wool', dosPercent: 2, lab: [27, 6, -42] },
      ],
    },
    {
      id: 'yellow',
      samples: [
        { baseId: 'wool', dosPercent: 0.1, lab: [88, -4, 45] },
        { baseId: 'wool', dosPercent: 0.5, lab: [85, 0, 78] },
        { baseId: 'wool', dosPercent: 2, lab: [80, 8, 92] },
      ],
    },
  ],
};

test('the schema that is published is the one the command checks with, and tells a good request from a bad one', async () => {
  const published = await readFile(SCHEMA, 'utf8');
  expect((await command(['schema', '--color'])).out).toBe(published);
  const check = new Ajv2020({ strict: false }).compile(JSON.parse(published) as object);
  const good = {
    shelf: SHELF,
    requests: [{ kind: 'predict', baseId: 'wool', dyes: [{ id: 'blue', dosPercent: 0.3 }] }],
  };
  expect(check(good)).toBe(true);
  expect(check({ ...good, requests: [{ kind: 'predict', baseId: 'wool' }] })).toBe(false);
  expect(check({ requests: [] })).toBe(false);
});

test('blue and yellow make a green, which is matched, corrected and read off a ladder', async () => {
  const green = { lab: [50, -30, 20] };
  const { code, out, err } = await ask({
    shelf: SHELF,
    requests: [
      {
        kind: 'predict',
        baseId: 'wool',
        dyes: [
          { id: 'blue', dosPercent: 0.3 },
          { id: 'yellow', dosPercent: 0.5 },
        ],
      },
      { kind: 'match', baseId: 'wool', target: green, maxDyes: 2, top: 2 },
      {
        kind: 'correct',
        baseId: 'wool',
        target: green,
        tried: [
          {
            dyes: [
              { id: 'blue', dosPercent: 0.3 },
              { id: 'yellow', dosPercent: 0.5 },
            ],
            lab: [58, -32, 28],
          },
        ],
        addOnly: true,
      },
      { kind: 'depth', baseId: 'wool', dyeId: 'blue', target: { lab: [55, -7, -31] } },
    ],
  });
  expect([code, err]).toEqual([0, '']);
  const { answers } = JSON.parse(out) as { answers: unknown };
  const [predicted, matched, corrected, depth] = answers as [
    { lab: number[]; reflectance: number[]; srgb: number[]; spreadDE00: number; samples: number },
    { candidates: { dyes: { id: string; dosPercent: number }[]; deltaE00: number }[]; combinations: number },
    { dyes: { id: string; dosPercent: number }[]; words: string },
    { dosPercent: number; low: number; high: number },
  ];
  expect(predicted.lab[1]).toBeLessThan(-10);
  expect([predicted.reflectance.length, predicted.srgb.length, predicted.samples]).toEqual([31, 3, 6]);
  expect(matched.combinations).toBe(3);
  expect(matched.candidates[0]?.dyes.map(({ id }) => id).toSorted()).toEqual(['blue', 'yellow']);
  expect(corrected.dyes.every(({ dosPercent }) => dosPercent >= 0)).toBe(true);
  expect(corrected.words).toMatch(/^Beside the target it came out: .*paler/);
  expect(depth.dosPercent).toBeGreaterThan(0.15);
  expect(depth.dosPercent).toBeLessThan(0.5);
  expect(depth.low).toBeLessThan(depth.high);
});

test('what cannot be is a sentence on standard error, and nothing on standard output', async () => {
  for (const [request, said] of [
    [{ shelf: { bases: [], dyes: [] }, requests: [] }, /^shelf\.bases: The shelf has no base/],
    [
      {
        shelf: SHELF,
        requests: [{ kind: 'predict', baseId: 'silk', dyes: [{ id: 'blue', dosPercent: 1 }] }],
      },
      /There is no base “silk”/,
    ],
    [{ shelf: SHELF, requests: [{ kind: 'guess' }] }, /one of predict, match, correct, depth/],
  ] as const) {
    const { code, out, err } = await ask(request);
    expect([code, out]).toEqual([1, '']);
    expect(err).toMatch(said);
    expect(err.trim().split('\n')).toHaveLength(1);
  }
  const torn = path.join(folder, 'torn.json');
  await writeFile(torn, '{"shelf":');
  expect(await command(['color', torn])).toMatchObject({
    code: 1,
    err: expect.stringMatching(/is no JSON/),
  });
  expect(await command(['color', path.join(folder, 'none.json')])).toMatchObject({
    code: 1,
    err: expect.stringMatching(/cannot be read/),
  });
});

test('a large search is shared among the cores, and every choice of dyes is tried once', async () => {
  // Thirty dyes around the circle of hues, each at two depths.
  const dyes = Array.from({ length: 30 }, (_, d) => {
    const [cos, sin] = [Math.cos((2 * Math.PI * d) / 30), Math.sin((2 * Math.PI * d) / 30)];
    return {
      id: `dye${d}`,
      samples: [
        { baseId: 'wool', dosPercent: 0.2, lab: [70, 25 * cos, 8 + 25 * sin] },
        { baseId: 'wool', dosPercent: 1, lab: [50, 38 * cos, 4 + 38 * sin] },
      ],
    };
  });
  const { code, out, err } = await ask({
    shelf: { bases: SHELF.bases, dyes },
    requests: [{ kind: 'match', baseId: 'wool', target: { lab: [45, 12, -9] }, maxDyes: 4, top: 3 }],
  });
  expect([code, err]).toEqual([0, '']);
  const [{ combinations, reachable, candidates }] = (
    JSON.parse(out) as {
      answers: [{ combinations: number; reachable: boolean; candidates: { deltaE00: number }[] }];
    }
  ).answers;
  expect(combinations).toBe(30 + 435 + 4060 + 27_405);
  expect(reachable).toBe(true);
  expect(candidates).toHaveLength(3);
  for (const { deltaE00 } of candidates) expect(deltaE00).toBeLessThan(0.5);
});
