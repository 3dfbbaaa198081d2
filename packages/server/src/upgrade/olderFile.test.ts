import { rm } from 'node:fs/promises';
import path from 'node:path';
import request from 'supertest';
import { pino } from 'pino';
import {
  actsDone,
  actualRecipe,
  additionsOf,
  bathPhNow,
  departures,
  dyeTotals,
  eventWords,
  passMethodSchema,
  phAdvice,
  recordState,
  summarizeBatch,
  weightOfGoods,
  ACIDS,
  type Batch,
  type Recipe,
  type Dye,
} from '@ythrion/core';
import { FIRST_RECIPE, inFile, olderStudio } from '../../test/olderStudio';
import { eventOf } from '../../test/records';
import { BASE, DYE, JAR } from '../../test/studio';
import { everyBatch } from '../batches/read';
import { listCopies } from '../storage/copies';
import { fromOwnPage, testApp } from '../../test/studio';
import { list } from '../shelf/store';
import { copiesFolder } from '../storage/dataFolder';
import { openStudio } from '../storage/openStudio';
import { openRaw } from '../storage/rawFile';
import type { Storage } from '../storage/storage';
import * as then from './frozen/planner';
import { sameDyes } from './recordsToEvents';
import { readOldBatch, type ReadOldBatch } from './upgradeBatch';

let folder: string;
beforeEach(async () => {
  folder = await olderStudio();
});
afterEach(() => rm(folder, { recursive: true, force: true }));

/** Every batch of the old file, read as the old version read it. */
const oldBatches = (): Promise<Map<string, ReadOldBatch>> =>
  inFile(folder, async (file) => {
    const entries = await file.all<{ batch_id: string; body: string }>(
      'SELECT batch_id, body FROM batch_entries ORDER BY seq',
    );
    const rows = await file.all<Record<string, string>>('SELECT * FROM batches');
    return new Map(
      rows.map((row) => [
        row.id!,
        readOldBatch({
          id: row.id!,
          code: row.code!,
          name: row.name!,
          colorwayId: row.colorway_id ?? null,
          colorwayVersion: row.colorway_version === null ? null : Number(row.colorway_version),
          againOf: row.again_of ?? null,
          startedAt: row.started_at!,
          formulation: JSON.parse(row.formulation!) as never,
          entries: entries
            .filter((entry) => entry.batch_id === row.id)
            .map((entry) => JSON.parse(entry.body) as then.OldEntry),
        }),
      ]),
    );
  });

async function allOf(storage: Storage): Promise<Batch[]> {
  const batches: Batch[] = [];
  for await (const { batch, damaged } of everyBatch(storage)) {
    if (damaged) throw damaged;
    if (batch) batches.push(batch);
  }
  return batches;
}

const near = (a: number, b: number): boolean =>
  Math.abs(a - b) <= 1e-12 * Math.max(1, Math.abs(a), Math.abs(b));

const toSeven = (pH: number): number => Number(pH.toFixed(7));

/**
 * Depth that dye of a working dilution comes to beyond what its line says, %: the record counts what was really in it,
 * 10.7 mL of stock in 40 mL of water where 10 mL were planned. See docs/changes-of-meaning.md.
 */
function dilutedDepth({ card, events }: Batch, dyeId: string): number {
  let standardGrams = 0;
  const water = (vessel: string): number =>
    card.acts.reduce(
      (sum, { act }) => sum + (act.kind === 'run' && act.vessel === vessel ? (act.ml ?? 0) : 0),
      0,
    );
  for (const { act: pour } of actsDone(events)) {
    if (pour.kind !== 'move' || pour.holds?.kind !== 'dye' || pour.holds.dyeId !== dyeId) continue;
    if (!('vessel' in pour.from)) continue;
    const { vessel } = pour.from;
    for (const { act: made } of actsDone(events)) {
      if (made.kind !== 'put' || made.material.kind !== 'dye' || !('vessel' in made.into)) continue;
      if (made.into.vessel !== vessel) continue;
      const stock = made.amount ?? 0;
      const strength = ((made.material.strengthPercent ?? 0) * stock) / (stock + water(vessel));
      standardGrams +=
        ((pour.ml ?? 0) * (strength - (pour.holds.strengthPercent ?? 0)) * made.material.lotStrength) / 100;
    }
  }
  return (100 * standardGrams) / weightOfGoods(card).value;
}

/** Of acid that nobody ticked 0.1.0 said nothing. */
const UNTICKED_ACID = /^(Add|Weigh) .*(acid|vinegar).*: not ticked, so it did not go in\.$/;

/**
 * What a true recipe says, pass by pass. 0.1.0 had one acid dose a pass, told from all of them per liter of the bath, and
 * counted what was topped up as bath: where there was acid in the soak or a top-up, water and acid are told otherwise now.
 */
function toldOf(recipe: Recipe | null, now: Recipe | null): string[] {
  if (!recipe) return [];
  return [
    // The set was always at once.
    JSON.stringify(rounded([recipe.goods, { ...recipe.set, waits: false }])),
    ...recipe.passes.map(({ id, method, acids, water, dyes }) => {
      const is = now?.passes.find((pass) => pass.id === id);
      const other = is === undefined || is.topUpMl > 0 || is.acids.some(({ basis }) => basis === 'amount');
      const perLiter = acids.reduce(
        (sum, { material, value }) => sum + (value * ACIDS[material].protons) / ACIDS[material].molarMass,
        0,
      );
      const lines = dyes.map((line) => [line.id, line.dyeId, line.stockId, line.sectionId, line.entry]);
      return JSON.stringify(
        rounded([id, lines, ...(other ? [method.kind] : [passMethodSchema.parse(method), water, perLiter])]),
      );
    }),
  ];
}

/** Every figure and word of a record, by name, as the old version had it and as it reads now. */
function figures(old: ReadOldBatch, now: Batch, dyes: Dye[]): [string, unknown, unknown][] {
  const { batch, plan } = old;
  const known = [...batch.formulation.dyes, ...dyes];
  const was = then.actualRecipe(batch.formulation, plan, batch.entries, dyes);
  const is = actualRecipe(now, dyes);
  const version = is.version?.recipe ?? null;
  const stood = then.batchState(plan, known, batch.entries, batch.startedAt);
  const stands = recordState(now, now.events, known as Dye[]);
  const told = then.summarizeBatch(batch, batch.entries, dyes);
  const tells = summarizeBatch(now, dyes);
  const advised = then.phAdvice(batch.formulation, plan, batch.entries) as never as ReturnType<
    typeof phAdvice
  >;
  const advises = phAdvice(now);
  return [
    ['bath', was.bath.value, is.bath.value],
    ['acid', was.acidPure?.grams.value, is.acidPure?.grams.value],
    ['acid kind', was.acidPure?.material, is.acidPure?.material],
    ['dyes', was.dyes.length, is.dyes.length],
    ...was.dyes.flatMap((dye, i): [string, unknown, unknown][] => [
      ['dye', dye.dyeName, is.dyes[i]?.dyeName],
      ['grams', dye.grams.value, is.dyes[i]?.grams.value],
      ['depth', dye.dos.value + dilutedDepth(now, dye.dyeId), is.dyes[i]?.dos.value],
      ['planned depth', dye.plannedDos, is.dyes[i]?.plannedDos],
      ['additions', dye.additions, is.dyes[i]?.additions],
      ['jar', dye.stockId, is.dyes[i]?.stockId],
    ]),
    ...toldOf(was.recipe as Recipe | null, version).map((said, i): [string, unknown, unknown] => [
      'true recipe',
      said,
      toldOf(version, version)[i],
    ]),
    [
      'departures',
      was.departures.join('\n'),
      departures(now, known as Dye[])
        .filter((line) => !UNTICKED_ACID.test(line))
        .join('\n'),
    ],
    // The baths of all passes were once drawn as one.
    ...(now.card.passes.every(({ keepsBath }, i) => i === 0 || keepsBath)
      ? ([
          ['bath level', stood.bath.volumeMl, stands.bath.volumeMl],
          ['bath color', stood.bath.hex, stands.bath.hex],
        ] as [string, unknown, unknown][])
      : []),
    ['due', stood.dueAt, stands.dueAt],
    [
      'lines done',
      stood.steps.map(({ status }) => status).join(),
      stands.lines.map(({ status }) => status).join(),
    ],
    [
      'lines done at',
      stood.steps.map(({ doneAt }) => doneAt).join(),
      stands.lines.map(({ doneAt }) => doneAt).join(),
    ],
    ...(
      [
        'wogGrams',
        'dosPercent',
        'bases',
        'dyes',
        'undyedHex',
        // Not the color of the dyed goods: it is drawn otherwise now, and stands for no figure.
        'outcome',
        'standing',
        'closedAt',
      ] as const
    ).map((name): [string, unknown, unknown] => [name, told[name], tells[name]]),
    // 0.1.0 solved a pH to its seventh digit.
    ['pH', toSeven(then.bathPhNow(batch.formulation, plan, batch.entries)), toSeven(bathPhNow(now))],
    ['advice', advised?.correction?.add.value, advises?.correction?.add.value],
    ...batch.entries.map((entry, i): [string, unknown, unknown] => [
      'words',
      spokenFirst(then.entryWords(entry, plan, known)),
      eventWords(now.events[i]!, { batch: now, dyes: known as Dye[] }),
    ]),
  ];
}

/** What was said by the spoon is read first in it since. */
const spokenFirst = (said: string): string =>
  said.replace(/([\d.]+ mL) \(“([^”]*(?:tsp|tbsp|cup)[^”]*)”\)/, '$2 ($1)');

/** Words that were wrong then and are right now; nothing but these may read otherwise. See docs/changes-of-meaning.md. */
const TRUER: [string, string][] = [
  // An acid dose “in the soak” was planned, and the soak was still called plain water.
  ['Wet out the goods in plain water', 'Wet out the goods in the acid soak'],
  // Goods that were decided to go in dry.
  ['Hang the end of the goods in', 'Hang the end of the dry goods in'],
  // Acid of a stack goes in beside the wool.
  ['Add white vinegar to the hot, level bath', 'Pour white vinegar in at the sides, not on the wool'],
  // Crystals that are stirred into the powder go in with it, once.
  ['Add citric acid crystals with the powder', 'Weigh citric acid crystals to stir into the powder'],
  ['Took an entry back', 'Taken back: an entry'],
  ['Took an entry back', 'Taken back: an entry (a slip)'],
  ['Top the bath up with water', 'Pour water in at the side of the pile, to less than half the wall'],
];
const saysTheSame = (was: unknown, is: unknown): boolean =>
  typeof was === 'number' && typeof is === 'number'
    ? near(was, is)
    : typeof was === 'string' && typeof is === 'string'
      ? readsTheSame(was, is) ||
        TRUER.some(([wrong, right]) => was.includes(wrong) && readsTheSame(was.replace(wrong, right), is))
      : was === is;

/** Whether two texts differ at most in the figures that 0.1.0 left away: it had fewer than three, and no milligrams. */
function readsTheSame(was: string, is: string): boolean {
  const grams = is.replace(/([\d.]+) mg\b/g, (_, mg: string) => `${Number(mg) / 1000} g`);
  const [then, now] = [was, grams].map((text) => text.split(/(\d+(?:\.\d+)?)/)) as [string[], string[]];
  return (
    then.length === now.length &&
    then.every((part, i) => {
      if (i % 2 === 0) return part === now[i];
      const lastPlace = 10 ** -(part.split('.')[1]?.length ?? 0);
      return Math.abs(Number(part) - Number(now[i])) <= 0.5000001 * lastPlace;
    })
  );
}

/** Figures that are equal but for the last bits. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_, part: unknown) =>
    typeof part === 'number' ? Number(part.toPrecision(12)) : part,
  );

test('every record says what it said, figure by figure', async () => {
  const before = await oldBatches();
  const storage = await openStudio(folder);
  const dyes = await list(storage, 'dyes');
  const after = await allOf(storage);
  await storage.close();
  expect(after).toHaveLength(before.size);
  expect(before.size).toBe(37);
  let compared = 0;
  const different: string[] = [];
  for (const batch of after)
    for (const [name, was, is] of figures(before.get(batch.id)!, batch, dyes)) {
      compared += 1;
      if (!saysTheSame(was, is)) different.push(`${batch.id} ${name}: ${String(was)} -> ${String(is)}`);
    }
  expect(different).toEqual([]);
  expect(compared).toBe(2461);
});

test('what went in, from which jar, grams and mL of every event stays as it was', async () => {
  const before = await oldBatches();
  const storage = await openStudio(folder);
  for (const now of await allOf(storage)) {
    const { batch, plan } = before.get(now.id)!;
    const was = then.potAdditions(plan, then.standingEntries(batch.entries).standing);
    const is = additionsOf(now.events);
    expect(is).toHaveLength(was.length);
    was.forEach(({ material, unit, amount, passId }, i) => {
      const said = is[i]!;
      expect([said.unit, said.amount, said.pass]).toEqual([unit, amount, passId]);
      if (material.kind === 'dye')
        expect(said.material).toMatchObject({
          kind: 'dye',
          dyeId: material.dyeId,
          stockId: material.stockId,
          strengthPercent: material.strengthPercent,
        });
      else if (material.kind === 'acid')
        expect(said.material).toEqual({
          kind: 'acid',
          acid: material.material,
          strengthPercent: material.strengthPercent,
        });
      else expect(said.material.kind).toBe(material.kind);
    });
  }
  await storage.close();
});

test('jars hold what they held, and the old file is kept whole', async () => {
  const ledger = (file: Awaited<ReturnType<typeof openRaw>>, table: string) =>
    file.all(`SELECT stock_id, SUM(ml) AS ml FROM ${table} GROUP BY stock_id ORDER BY stock_id`);
  const before = await inFile(folder, (file) => ledger(file, 'stock_draws'));
  expect(before.length).toBeGreaterThan(5);
  await (await openStudio(folder)).close();
  expect(await inFile(folder, (file) => ledger(file, 'jar_draws'))).toEqual(before);
  const [kept] = await listCopies(folder);
  expect(kept).toMatchObject({ why: 'before-upgrade' });
  const copy = await openRaw(path.join(copiesFolder(folder), kept!.name), 'read');
  expect(await ledger(copy, 'stock_draws')).toEqual(before);
  expect(await copy.all('PRAGMA integrity_check')).toEqual([{ integrity_check: 'ok' }]);
  await copy.close();
});

test('a recipe of the first version in an old batch is read, and its pot goes on', async () => {
  const { madeOf: _, behavior: ____, ...dye } = DYE;
  const { lot: __, weighedGrams: ___, ...jar } = JAR;
  await inFile(folder, async (file) => {
    await file.all(
      `INSERT INTO colorway_versions (id, version, code, name, note, recipe, as_written, retired, saved_at)
       VALUES ('old', 1, '', 'Old vesper', '', ?, '{}', 0, '2026-01-01T10:00:00Z')`,
      [JSON.stringify(FIRST_RECIPE)],
    );
    await file.all(
      `INSERT INTO batches (id, code, name, colorway_id, colorway_version, again_of, started_at, formulation, closed_at, wog_grams,
         dos_percent, bases, dyes, undyed_hex, hex, outcome, standing, search)
       VALUES ('old-batch', '26-900', 'Old vesper', 'old', 1, NULL, '2026-01-02T10:00:00Z', ?, NULL, 200, 1, '', '', '#efe9dc',
         '#22449a', NULL, NULL, 'old vesper')`,
      [
        JSON.stringify({
          name: 'Old vesper',
          recipe: FIRST_RECIPE,
          bases: [BASE],
          dyes: [dye],
          stocks: [jar],
          pot: null,
        }),
      ],
    );
  });
  const storage = await openStudio(folder);
  const app = fromOwnPage(await testApp(storage, folder, pino({ level: 'silent' })));
  const { body: versions } = await request(app).get('/api/colorways/old').expect(200);
  expect(versions[0].recipe.passes[0]).toMatchObject({
    method: { kind: 'immersion' },
    dyes: [{ entry: { school: 'depth', percent: 1 } }],
  });
  const { body: batch } = await request(app).get('/api/batches/old-batch').expect(200);
  const line = (batch as Batch).card.acts.find(({ id }) => id === 'p1.dye.d1')!;
  expect(line.act).toMatchObject({
    kind: 'put',
    amount: 200,
    material: { dyeId: 'blue', stockId: 'blue-1' },
  });
  await request(app)
    .post('/api/batches/old-batch/events')
    .send(
      eventOf('old-batch', {
        id: 'tick',
        kind: 'act',
        planned: line.id,
        act: line.act,
        written: '',
        note: '',
      }),
    )
    .expect(201);
  await storage.close();
});

test('a batch that cannot be read is kept word for word; the others are whole, and its jars too', async () => {
  const broken = 'golden-immersion-1';
  const torn = '{"name":"Golden immersion","recipe":{"goo';
  const entries = await inFile(folder, async (file) => {
    await file.all('UPDATE batches SET formulation = ? WHERE id = ?', [torn, broken]);
    return file.all<{ id: string; body: string }>(
      'SELECT id, body FROM batch_entries WHERE batch_id = ? ORDER BY seq',
      [broken],
    );
  });
  const storage = await openStudio(folder);
  const app = fromOwnPage(await testApp(storage, folder, pino({ level: 'silent' })));
  const { body: refused } = await request(app).get(`/api/batches/${broken}`).expect(409);
  expect(refused.message).toMatch(/The record of batch 26-201 “Golden immersion” cannot be read/);
  const { body: document } = await request(app).get('/api/document').expect(200);
  expect(document.batches).toHaveLength(36);
  expect(document.leftOut).toEqual([expect.objectContaining({ id: broken, code: '26-201' })]);
  await request(app).get('/api/running').expect(200);
  await storage.close();
  await inFile(folder, async (file) => {
    expect(await file.all('SELECT id, body FROM events WHERE batch_id = ? ORDER BY seq', [broken])).toEqual(
      entries,
    );
    expect(await file.all('SELECT formulation FROM batch_plans WHERE batch_id = ?', [broken])).toEqual([
      { formulation: torn },
    ]);
    expect(await file.all('PRAGMA foreign_key_check')).toEqual([]);
  });
});

test('a record that would come out with other dye is not taken', async () => {
  const storage = await openStudio(folder);
  const [batch] = await allOf(storage);
  await storage.close();
  const right = new Map<string, number>();
  for (const { dyeId, grams } of dyeTotals(batch!.events)) right.set(dyeId, (right.get(dyeId) ?? 0) + grams);
  const [dyeId, grams] = [...right][0]!;
  expect(() => sameDyes('26-001', right, batch!)).not.toThrow();
  expect(() => sameDyes('26-001', new Map([...right, [dyeId, grams * 1.00001]]), batch!)).toThrow(
    new RegExp(`Batch 26-001 came out with .* g of ${dyeId} instead of`),
  );
  expect(() => sameDyes('26-001', new Map([...right, ['gone', 0.1]]), batch!)).toThrow(
    /0 g of gone instead of 0.1 g/,
  );
});

test('an upgrade that does not come out right leaves the file as it was', async () => {
  // Somebody else's table stands where the upgrade wants to put its own.
  await inFile(folder, (file) => file.exec('CREATE TABLE batch_plans (someone_elses TEXT)'));
  await expect(openStudio(folder)).rejects.toThrow(
    /could not be brought to today’s format.*It is as it was/s,
  );
  expect((await oldBatches()).size).toBe(37);
  expect(await inFile(folder, (file) => file.all('SELECT name FROM migrations'))).toHaveLength(3);
});
