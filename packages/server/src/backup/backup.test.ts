import { existsSync } from 'node:fs';
import { copyFile, mkdir, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import request from 'supertest';
import type { Transaction } from 'sequelize';
import type { StudioCopy } from '@ythrion/core';
import { added, eventOf, poured, stock } from '../../test/records';
import { begin, testStudio, type TestStudio } from '../../test/studio';
import { inFile } from '../../test/olderStudio';
import { clearUnfinished, copyName, faultsIn, listCopies, makeCopy, newestGood } from '../storage/copies';
import { copiesFolder, studioFile } from '../storage/dataFolder';
import { lockFolder } from '../storage/folderLock';
import { openStudio } from '../storage/openStudio';
import { checkStudio } from './check';
import { copyWhenDue, isOverdue } from './dailyCopy';
import { goBackTo } from './goBackTo';
import { KEPT, outlived } from './keep';
import { restoreCopy } from './restore';

let studio: TestStudio;
beforeEach(async () => {
  studio = await testStudio();
  await request(studio.app).post('/api/batches').send(begin('b1')).expect(201);
});
afterEach(() => studio.remove());

const pour = (id: string, amount = 200): request.Test =>
  request(studio.app)
    .post('/api/batches/b1/events')
    .send(eventOf('b1', poured(id, amount)));
const ids = async (): Promise<string[]> =>
  (await request(studio.app).get('/api/batches/b1')).body.events.map((event: { id: string }) => event.id);
const copyPath = (name: string): string => path.join(copiesFolder(studio.folder), name);

describe('a copy', () => {
  test('is made while the studio is in use, is sound, and holds what was acknowledged', async () => {
    await pour('e1').expect(201);
    const { body } = await request(studio.app).post('/api/copies').send({}).expect(201);
    expect(body.copies).toHaveLength(1);
    expect(body.copies[0]).toMatchObject({ why: 'asked' });
    expect(body.copies[0].bytes).toBe((await stat(copyPath(body.copies[0].name))).size);
    expect(await faultsIn(copyPath(body.copies[0].name))).toEqual([]);
    expect(await readdir(copiesFolder(studio.folder))).toHaveLength(1);
  });
  test('that cannot be written is no copy, and says so', async () => {
    await writeFile(copiesFolder(studio.folder), 'a file where the folder should be');
    const { body } = await request(studio.app).post('/api/copies').send({}).expect(409);
    expect(body.message).toMatch(/No copy of the studio was made: .* The studio itself is as it was/);
    await rm(copiesFolder(studio.folder));
  });
  test('of a studio with impossible rows is no copy: it must not push a good one out', async () => {
    await studio.storage.close();
    // A row without what its table says every row has: as a torn page may leave it.
    const says = (from: string, to: string) =>
      inFile(studio.folder, (file) =>
        file.exec(
          `PRAGMA writable_schema = ON; UPDATE sqlite_master SET sql = replace(sql, '${from}', '${to}') WHERE name = 'bases'`,
        ),
      );
    await says('note TEXT NOT NULL', 'note TEXT');
    await inFile(studio.folder, (file) => file.exec('UPDATE bases SET note = NULL'));
    await says('note TEXT', 'note TEXT NOT NULL');
    await expect(makeCopy(studio.folder, 'daily')).rejects.toThrow(
      /No copy of the studio was made: NULL value in bases.note/,
    );
    expect(await readdir(copiesFolder(studio.folder))).toEqual([]);
    await inFile(studio.folder, (file) => file.exec(`UPDATE bases SET note = ''`));
    await studio.reopen();
  });
  test('that was cut short is taken away at the next start', async () => {
    await mkdir(copiesFolder(studio.folder), { recursive: true });
    await writeFile(copyPath('unfinished-studio-x.sqlite'), 'half');
    await writeFile(copyPath('somebody-elses.txt'), 'kept');
    await clearUnfinished(studio.folder);
    expect(await readdir(copiesFolder(studio.folder))).toEqual(['somebody-elses.txt']);
  });
  test('is due once a day', async () => {
    const noon = Date.parse('2026-05-04T12:00:00Z');
    expect(await copyWhenDue(studio.folder, undefined, noon)).toBe(true);
    expect(await copyWhenDue(studio.folder, undefined, noon + 23.9 * 3_600_000)).toBe(false);
    expect(await copyWhenDue(studio.folder, undefined, noon + 24 * 3_600_000)).toBe(true);
    const copies = await listCopies(studio.folder);
    const later = (days: number): number => noon + (1 + days) * 24 * 3_600_000;
    expect([isOverdue([], noon), isOverdue(copies, later(1.9)), isOverdue(copies, later(2.1))]).toEqual([
      false,
      false,
      true,
    ]);
    expect(copies.map(({ at }) => at)).toEqual(['2026-05-05T12:00:00.000Z', '2026-05-04T12:00:00.000Z']);
  });
});

describe('which copies are kept', () => {
  const at = (iso: string, why: StudioCopy['why'] = 'daily'): StudioCopy => ({
    name: copyName(Date.parse(iso), why),
    at: iso,
    why,
    bytes: 1,
  });
  const daily = (days: number): StudioCopy[] =>
    Array.from({ length: days }, (_, i) =>
      at(new Date(Date.parse('2026-12-31T12:00:00Z') - i * 86_400_000).toISOString()),
    );
  test('of 400 days one a day for a week, one a week for five, one a month for a year', () => {
    const all = daily(400);
    const gone = new Set(outlived(all).map(({ name }) => name));
    const kept = all.filter(({ name }) => !gone.has(name)).map((copy) => copy.at.slice(0, 10));
    // By hand: seven days back from 31 December; the Sundays that end the weeks before; the last day of each month.
    expect(kept).toEqual([
      '2026-12-31',
      '2026-12-30',
      '2026-12-29',
      '2026-12-28',
      '2026-12-27',
      '2026-12-26',
      '2026-12-25',
      '2026-12-20',
      '2026-12-13',
      '2026-12-06',
      '2026-11-30',
      '2026-10-31',
      '2026-09-30',
      '2026-08-31',
      '2026-07-31',
      '2026-06-30',
      '2026-05-31',
      '2026-04-30',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
    ]);
  });
  test('nothing goes while there are few, and what was asked for today stays', () => {
    expect(outlived(daily(7))).toEqual([]);
    const today = Array.from({ length: KEPT.newest }, (_, i) => at(`2026-12-31T1${i}:00:00.000Z`, 'asked'));
    expect(outlived(today.toReversed())).toEqual([]);
  });
  test('a copy from before a change of format never goes; those before going back are five at most', () => {
    const old = [at('2020-01-01T12:00:00.000Z', 'before-upgrade')];
    const back = Array.from({ length: 7 }, (_, i) => at(`2021-01-0${7 - i}T12:00:00.000Z`, 'before-restore'));
    expect(outlived([...daily(60), ...back, ...old]).filter(({ why }) => why.startsWith('before'))).toEqual(
      back.slice(5),
    );
  });
});

describe('going back to a copy', () => {
  test('puts its records back, keeps what stood there, and that is the way forward again', async () => {
    await pour('e1').expect(201);
    const { body: made } = await request(studio.app).post('/api/copies').send({});
    await request(studio.app)
      .post('/api/batches/b1/events')
      .send(eventOf('b1', added('e2', stock(5))))
      .expect(201);
    const { body: after } = await request(studio.app)
      .post(`/api/copies/${made.copies[0].name}/restore`)
      .send({})
      .expect(201);
    expect(await ids()).toEqual(['e1']);
    expect(after.copies[0]).toMatchObject({ why: 'before-restore' });
    await request(studio.app).post(`/api/copies/${after.copies[0].name}/restore`).send({}).expect(201);
    expect(await ids()).toEqual(['e1', 'e2']);
    await pour('e3').expect(201);
    expect(await ids()).toEqual(['e1', 'e2', 'e3']);
    expect((await checkStudio(studio.storage)).faults).toEqual([]);
  });
  test('while others read and write: each answer is from before or after, and the end is the copy', async () => {
    const { body: made } = await request(studio.app).post('/api/copies').send({});
    const others = Array.from({ length: 20 }, (_, i) =>
      request(studio.app)
        .post('/api/batches/b1/events')
        .send(eventOf('b1', { id: `n${i}`, kind: 'noted', text: 'x' }))
        .then(({ status }) => status),
    );
    const back = request(studio.app).post(`/api/copies/${made.copies[0].name}/restore`).send({});
    const again = request(studio.app).post(`/api/copies/${made.copies[0].name}/restore`).send({});
    const statuses = await Promise.all([...others, back.then((r) => r.status), again.then((r) => r.status)]);
    expect(new Set(statuses)).toEqual(new Set([201]));
    expect((await checkStudio(studio.storage)).faults).toEqual([]);
  });
  test('a copy can be taken out to another disk, whole', async () => {
    const { body: made } = await request(studio.app).post('/api/copies').send({});
    const { name, bytes } = made.copies[0];
    const { body, headers } = await request(studio.app).get(`/api/copies/${name}`).expect(200);
    expect(headers['content-disposition']).toContain(name);
    expect((body as Buffer).subarray(0, 15).toString()).toBe('SQLite format 3');
    expect((body as Buffer).length).toBe(bytes);
    await request(studio.app).get('/api/copies/..%2Fstudio.sqlite').expect(404);
  });
  test('a copy nobody has, or one that is damaged, changes nothing', async () => {
    await request(studio.app).post('/api/copies/ghost/restore').send({}).expect(404);
    await request(studio.app).post('/api/copies/..%2Fstudio.sqlite/restore').send({}).expect(404);
    await pour('e1').expect(201);
    const { body: made } = await request(studio.app).post('/api/copies').send({});
    const { name } = made.copies[0];
    await writeFile(copyPath(name), 'torn');
    const { body } = await request(studio.app).post(`/api/copies/${name}/restore`).send({}).expect(409);
    expect(body.message).toMatch(/is not a sound copy of a studio.*Nothing was changed/s);
    expect(await ids()).toEqual(['e1']);
  });
  test('one from a later version does not open, and the studio stands as it did', async () => {
    await pour('e1').expect(201);
    const { name } = await makeCopy(studio.folder, 'asked');
    await studio.storage.close();
    await copyFile(copyPath(name), path.join(studio.folder, 'later.sqlite'));
    const later = await import('../storage/rawFile').then(({ openRaw }) =>
      openRaw(path.join(studio.folder, 'later.sqlite'), 'write'),
    );
    await later.all(`INSERT INTO migrations (name) VALUES ('999-later')`);
    await later.close();
    await expect(goBackTo(studio.folder, path.join(studio.folder, 'later.sqlite'))).rejects.toThrow(
      /written by a newer Ythrion/,
    );
    await studio.reopen();
    expect(await ids()).toEqual(['e1']);
  });
  test('over a damaged studio, the damaged file is kept byte for byte', async () => {
    await pour('e1').expect(201);
    const { name } = await makeCopy(studio.folder, 'asked');
    await studio.storage.close();
    await writeFile(studioFile(studio.folder), 'this was a studio once');
    const { keptAs } = await restoreCopy(studio.folder, name);
    expect(await readFile(copyPath(keptAs!), 'utf8')).toBe('this was a studio once');
    await studio.reopen();
    expect(await ids()).toEqual(['e1']);
  });
  test('is refused while another Ythrion has the folder', async () => {
    const giveBack = await lockFolder(studio.folder);
    await expect(lockFolder(studio.folder)).rejects.toThrow(/Another Ythrion has the data folder .* open/);
    await giveBack();
    await (
      await lockFolder(studio.folder)
    )();
  });
});

describe('a studio that cannot be opened', () => {
  const withCopy = async (): Promise<string> => {
    const { name } = await makeCopy(studio.folder, 'daily');
    await studio.storage.close();
    return name;
  };
  test('an empty file is named, with the newest good copy', async () => {
    const good = await withCopy();
    await writeFile(copyPath(copyName(Date.now() + 60_000, 'asked')), 'newer, but torn');
    await writeFile(studioFile(studio.folder), '');
    expect((await newestGood(studio.folder))?.name).toBe(good);
    await expect(openStudio(studio.folder)).rejects.toThrow(
      new RegExp(
        `is empty, 0 bytes long. It was left as it is. The newest good copy is ${good}; “ythrion restore ${good}”`,
      ),
    );
    expect((await stat(studioFile(studio.folder))).size).toBe(0);
    await rm(studioFile(studio.folder));
    await expect(openStudio(studio.folder)).rejects.toThrow(/studio.sqlite is missing from .* copies of it/);
    await restoreCopy(studio.folder, good);
    await studio.reopen();
  });
  test('a file that is no database is named, and left as it is', async () => {
    await studio.storage.close();
    await writeFile(studioFile(studio.folder), 'words, and more words than a header has room for'.repeat(9));
    await expect(openStudio(studio.folder)).rejects.toThrow(
      /damaged or not a studio .*There is no good copy of it in the folder backups/s,
    );
    await rm(studioFile(studio.folder));
    await studio.reopen();
  });
  test('torn pages in the middle of a file are found, and the rest is not served as if nothing were', async () => {
    const good = await withCopy();
    const bytes = await readFile(studioFile(studio.folder));
    bytes.fill(0xa5, 4096 * 3, 4096 * 9);
    await writeFile(studioFile(studio.folder), bytes);
    await expect(openStudio(studio.folder)).rejects.toThrow(good);
    await restoreCopy(studio.folder, good);
    await studio.reopen();
  });
});

describe('a disk that is full', () => {
  test('refuses with what to do, keeps nothing half, and takes it once there is room', async () => {
    const { sequelize } = studio.storage;
    const [pages] = (await sequelize.query('PRAGMA page_count'))[0] as { page_count: number }[];
    const long = (id: string) => eventOf('b1', { id, kind: 'noted', text: 'x'.repeat(4000) });
    const send = (id: string): request.Test =>
      request(studio.app).post('/api/batches/b1/events').send(long(id));
    // Transactions open connections of their own; each is told that the disk ends here.
    const full = `PRAGMA max_page_count = ${pages!.page_count}`;
    const begun = sequelize.transaction.bind(sequelize);
    sequelize.transaction = (async (options: never, work: (transaction: Transaction) => Promise<unknown>) =>
      begun(options, async (transaction: Transaction) => {
        await sequelize.query(full, { transaction });
        return work(transaction);
      })) as never;
    const statuses = [];
    for (let i = 0; i < 12; i += 1) statuses.push((await send(`long-${i}`)).status);
    expect(statuses).toContain(507);
    const { body } = await send('one-more').expect(507);
    expect(body.message).toMatch(/The disk is full: this was not kept. Make room/);
    const kept = statuses.filter((status) => status === 201).length;
    expect(await ids()).toHaveLength(kept);
    sequelize.transaction = begun as never;
    await send('one-more').expect(201);
    expect((await checkStudio(studio.storage)).faults).toEqual([]);
  });
});

describe('looking the studio over', () => {
  const faults = async (): Promise<string[]> =>
    (await request(studio.app).get('/api/check').expect(200)).body.faults;
  test('a sound one', async () => {
    await pour('e1').expect(201);
    await request(studio.app)
      .post('/api/batches/b1/events')
      .send(eventOf('b1', { id: 's1', kind: 'struck', event: 'e1', why: '' }))
      .expect(201);
    expect((await request(studio.app).get('/api/check')).body).toEqual({
      faults: [],
      missing: expect.any(Array) as string[],
      batches: 1,
      events: 2,
    });
  });
  /** Spoils the file behind the server's back, around its triggers. */
  const spoil = async (...statements: string[]): Promise<void> => {
    await studio.storage.close();
    await inFile(studio.folder, async (file) => {
      await file.exec(
        'DROP TRIGGER events_no_update; DROP TRIGGER jar_draws_no_update; DROP TRIGGER batch_plans_no_update; DROP TRIGGER events_no_delete;',
      );
      for (const statement of statements) await file.exec(statement);
    });
    await studio.reopen();
  };
  test.each<[string, string, RegExp]>([
    [
      'a jar’s ledger',
      'UPDATE jar_draws SET ml = 20',
      /Jar blue-1: its ledger says 20 mL .* records say 200 mL/,
    ],
    [
      'the depth in the Book',
      'UPDATE batches SET dos_percent = 7',
      /the Book shows 7 %, its record comes to 1 %/,
    ],
    ['the dye kept ready', 'UPDATE batch_dyes SET grams = 9', /not that of its record/],
    ['a verdict', `UPDATE batches SET outcome = 'usable'`, /another verdict than its record/],
    ['a torn event', `UPDATE events SET body = '{"kind":"ac'`, /cannot be read \(it is torn\)/],
    ['a card that is none', `UPDATE batch_plans SET card = '{"version":1}'`, /cannot be read \(card\./],
    ['a draw of no event', 'DELETE FROM events', /Rows of jar_draws refer to something that is not there/],
  ])('%s that is wrong is named', async (_, statement, said) => {
    await pour('e1').expect(201);
    await spoil(statement);
    expect((await faults()).join('\n')).toMatch(said);
  });
  test('one torn record stops neither the export nor the pots nor the Book', async () => {
    await request(studio.app)
      .post('/api/batches')
      .send(begin('b2', { name: 'Whole' }))
      .expect(201);
    await pour('e1').expect(201);
    await spoil(`UPDATE events SET body = '{' WHERE id = 'e1'`);
    const { body: document } = await request(studio.app).get('/api/document').expect(200);
    expect(document.batches.map((batch: { id: string }) => batch.id)).toEqual(['b2']);
    expect(document.leftOut).toEqual([{ id: 'b1', code: '26-001', name: 'Vesper', why: 'it is torn' }]);
    expect((await request(studio.app).get('/api/running').expect(200)).body).toHaveLength(1);
    expect((await request(studio.app).get('/api/batches').expect(200)).body.total).toBe(2);
    const other = await testStudio(false);
    await request(other.app).post('/api/document').send(document).expect(201);
    await other.remove();
  });
});

test('before a folder is opened that holds copies but no studio, nothing is made in its place', async () => {
  await makeCopy(studio.folder, 'daily');
  await studio.storage.close();
  await rm(studioFile(studio.folder));
  await expect(openStudio(studio.folder)).rejects.toThrow(/To begin anew, move the folder away/);
  expect(existsSync(studioFile(studio.folder))).toBe(false);
  await rm(copiesFolder(studio.folder), { recursive: true });
  await studio.reopen();
});
