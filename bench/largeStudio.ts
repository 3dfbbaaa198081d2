import { readFile } from 'node:fs/promises';
import { readDocument } from '@ythrion/core';
import { importDocument } from '../packages/server/src/document/importDocument';
import { studioFile } from '../packages/server/src/storage/dataFolder';
import { openStudio } from '../packages/server/src/storage/openStudio';
import { openRaw } from '../packages/server/src/storage/rawFile';
import { upgradeDocument } from '../packages/server/src/upgrade/upgradeDocument';

/**
 * Makes a data folder with the demo in it and so many closed batches more, copies of the demo's with all of their record.
 * @param plans how many of the copies keep their card and recipe too; those are what makes a file large
 */
export async function largeStudio(
  folder: string,
  demo: string,
  batches: number,
  plans: number,
): Promise<void> {
  const storage = await openStudio(folder);
  await importDocument(storage, readDocument(upgradeDocument(JSON.parse(await readFile(demo, 'utf8')))));
  await storage.close();
  const file = await openRaw(studioFile(folder), 'write');
  const models = await file.all<{ id: string }>(
    'SELECT id FROM batches WHERE closed_at IS NOT NULL ORDER BY id',
  );
  const each = Math.ceil(batches / models.length);
  await file.exec('BEGIN');
  for (const [i, { id }] of models.entries()) {
    const counted = `WITH RECURSIVE n(k) AS (SELECT 1 UNION ALL SELECT k + 1 FROM n WHERE k < ${each})`;
    const columns = (await file.all<{ name: string }>('SELECT name FROM pragma_table_info(?)', ['batches']))
      .map(({ name }) => name)
      .filter((name) => !['id', 'code', 'again_of', 'line'].includes(name));
    await file.all(
      `${counted} INSERT INTO batches (id, code, again_of, ${columns.join()})
         SELECT 'x' || k || '-' || b.id, '99-' || (k * 100 + ${i}), NULL, ${columns.map((name) => `b.${name}`).join()} FROM n, batches b WHERE b.id = ?`,
      [id],
    );
    await file.all(
      `${counted} INSERT INTO batch_plans SELECT 'x' || k || '-' || p.batch_id, p.formulation, p.card
         FROM n, batch_plans p WHERE p.batch_id = ? AND k <= ${Math.ceil(plans / models.length)}`,
      [id],
    );
    await file.all(
      `${counted} INSERT INTO batch_bases (base_id, line)
         SELECT base_id, b.line FROM n, batches m JOIN batch_bases USING (line) JOIN batches b ON b.id = 'x' || k || '-' || m.id
         WHERE m.id = ?`,
      [id],
    );
    await file.all(
      `${counted} INSERT INTO batch_dyes (batch_id, pass, line, dye_id, grams, standard_grams, additions, first_seq)
         SELECT 'x' || k || '-' || d.batch_id, d.pass, d.line, d.dye_id, d.grams, d.standard_grams, d.additions, d.first_seq
         FROM n, batch_dyes d WHERE d.batch_id = ?`,
      [id],
    );
    await file.all(
      `${counted} INSERT INTO events (id, batch_id, at, received_at, device, count, kind, planned, strikes, body)
         SELECT 'x' || k || '-' || e.id, 'x' || k || '-' || e.batch_id, e.at, e.received_at, e.device, e.count, e.kind, e.planned,
           'x' || k || '-' || e.strikes,
           json_set(e.body, '$.id', 'x' || k || '-' || e.id, '$.of.id', 'x' || k || '-' || e.batch_id)
         FROM n, events e WHERE e.batch_id = ? AND (e.kind = 'closed' OR e.planned LIKE '%.dye.%') ORDER BY k, e.seq`,
      [id],
    );
  }
  await file.exec('COMMIT');
  await file.close();
}
