import { literal, type Transaction } from 'sequelize';
import {
  formulate,
  planFormulation,
  recipeSchema,
  upgradeRecipe,
  type Colorway,
  type ColorwayOnList,
} from '@ythrion/core';
import type { ColorwayRow } from '../storage/models';
import { Conflict, NotFound } from '../refusals/refusals';
import { materials } from '../shelf/store';
import type { Storage } from '../storage/storage';

/** A version as it was saved, in today's shape: what an earlier Ythrion wrote takes its place and its defaults. */
export const asToday = (row: ColorwayRow): ColorwayRow => ({
  ...row,
  recipe: recipeSchema.parse(upgradeRecipe(row.recipe)),
});

/** The newest version of every colorway, by name. */
export async function newestColorways(storage: Storage): Promise<ColorwayOnList[]> {
  const rows = await storage.models.colorways.findAll({
    where: literal('(id, version) IN (SELECT id, version FROM newest_colorways)'),
    order: ['name', 'id'],
  });
  return rows.map((row) => asToday(row.get({ plain: true })));
}

/** Every version of one colorway, newest first. @throws NotFound */
export async function versionsOf(storage: Storage, id: string): Promise<ColorwayOnList[]> {
  const rows = await storage.models.colorways.findAll({ where: { id }, order: [['version', 'DESC']] });
  if (rows.length === 0) throw new NotFound(`There is no colorway with the id “${id}”.`);
  return rows.map((row) => asToday(row.get({ plain: true })));
}

/** All versions of all colorways, for export. */
export async function allVersions(storage: Storage): Promise<Colorway[]> {
  const rows = await storage.models.colorways.findAll({ order: ['id', 'version'] });
  return rows.map((row) => {
    const { savedAt: _, ...colorway } = asToday(row.get({ plain: true }));
    return colorway;
  });
}

/**
 * Saves a version. A version once saved never changes: sending the same one again is answered with what is kept.
 * @throws Conflict when the version exists with other content, or leaves a gap
 * @throws FieldError when the recipe names something that is not on the shelf
 */
export async function saveVersion(
  storage: Storage,
  colorway: Colorway,
  transaction: Transaction,
): Promise<ColorwayOnList> {
  planFormulation(formulate(colorway.name, colorway.recipe, await materials(storage, transaction)));
  const newest = (
    await storage.models.colorways.findOne({
      where: { id: colorway.id },
      order: [['version', 'DESC']],
      transaction,
    })
  )?.get({ plain: true });
  const expected = (newest?.version ?? 0) + 1;
  if (colorway.version !== expected)
    throw new Conflict(
      'version',
      `The next version of this colorway is ${expected}, not ${colorway.version}. It was saved elsewhere meanwhile; open it again.`,
    );
  const row = { ...colorway, savedAt: new Date().toISOString() };
  await storage.models.colorways.create(row, { transaction });
  return row;
}
