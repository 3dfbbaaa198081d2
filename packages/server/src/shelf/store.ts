import { QueryTypes, type CreationAttributes, type ModelStatic, type Transaction } from 'sequelize';
import type {
  Base,
  Dye,
  Pattern,
  Pot,
  Sample,
  Shelf,
  ShelfResource,
  ShelfResponse,
  Sought,
  Stock,
  Studio,
  Tool,
} from '@ythrion/core';
import { checkSample, DEFAULT_STUDIO, patternSchema, USUAL_HABITS, premixChecker } from '@ythrion/core';
import { Conflict } from '../refusals/refusals';
import type { Row } from '../storage/models';
import type { Storage } from '../storage/storage';

/** What each shelf resource holds. */
export interface ShelfItems {
  bases: Base;
  dyes: Dye;
  stocks: Stock;
  pots: Pot;
  tools: Tool;
  patterns: Pattern;
  soughts: Sought;
  samples: Sample;
}

/** Everything on the shelf, retired things included, and what is left in each jar; below zero where more was poured than it was made with. */
export async function readShelf(storage: Storage, transaction?: Transaction): Promise<ShelfResponse> {
  const [studio, bases, dyes, stocks, pots, tools, patterns, soughts, { drawn, countedTo }] =
    await Promise.all([
      readStudio(storage, transaction),
      list(storage, 'bases', transaction),
      list(storage, 'dyes', transaction),
      list(storage, 'stocks', transaction),
      list(storage, 'pots', transaction),
      list(storage, 'tools', transaction),
      list(storage, 'patterns', transaction),
      list(storage, 'soughts', transaction),
      drawnMl(storage, transaction),
    ]);
  const stockLeft = Object.fromEntries(
    stocks.map((stock) => [stock.id, stock.volumeMl - (drawn.get(stock.id) ?? 0)]),
  );
  return { studio, bases, dyes, stocks, stockLeft, countedTo, pots, tools, patterns, soughts };
}

/** The studio's own settings. */
export async function readStudio(storage: Storage, transaction?: Transaction): Promise<Studio> {
  const row = await storage.models.studio.findByPk(1, { transaction });
  if (!row) return DEFAULT_STUDIO;
  const {
    name,
    spoons,
    currency,
    alkalinityMgPerL,
    countFiberUptake,
    altitudeM,
    tapC,
    roomC,
    citricGramsPerTeaspoon,
    habits,
  } = row.get({
    plain: true,
  });
  return {
    name,
    spoons,
    currency,
    water: { alkalinityMgPerL, countFiberUptake },
    place: { altitudeM, tapC, roomC },
    citricGramsPerTeaspoon,
    habits: habits ?? USUAL_HABITS,
  };
}

export async function putStudio(storage: Storage, studio: Studio, transaction: Transaction): Promise<void> {
  await storage.models.studio.upsert(
    {
      id: 1,
      name: studio.name,
      spoons: studio.spoons,
      currency: studio.currency,
      ...studio.water,
      ...studio.place,
      citricGramsPerTeaspoon: studio.citricGramsPerTeaspoon,
      habits: studio.habits,
    },
    { transaction },
  );
}

/** The table of a resource, under the type of what it holds. */
const table = <R extends ShelfResource>(storage: Storage, resource: R): ModelStatic<Row<ShelfItems[R]>> =>
  storage.models[resource] as ModelStatic<Row<ShelfItems[R]>>;

/** What a resource is listed by, where that is not the name. */
const ORDER: Partial<Record<ShelfResource, string>> = { stocks: 'id', samples: 'id', tools: 'capacity' };

/** All items of one resource, in their order. */
export async function list<R extends ShelfResource>(
  storage: Storage,
  resource: R,
  transaction?: Transaction,
): Promise<ShelfItems[R][]> {
  const rows = await table(storage, resource).findAll({ order: [ORDER[resource] ?? 'name'], transaction });
  return rows.map((row) => asOfToday(resource, row.get({ plain: true })));
}

/** A pattern as it was kept, what later versions added to its way with their defaults; anything else as it stands. */
const asOfToday = <R extends ShelfResource>(resource: R, item: ShelfItems[R]): ShelfItems[R] =>
  resource === 'patterns' ? (patternSchema.parse(item) as ShelfItems[R]) : item;

/** Materials a recipe or a record may refer to. */
export async function materials(storage: Storage, transaction?: Transaction): Promise<Shelf> {
  const [bases, dyes, stocks, pots, tools, studio] = await Promise.all([
    list(storage, 'bases', transaction),
    list(storage, 'dyes', transaction),
    list(storage, 'stocks', transaction),
    list(storage, 'pots', transaction),
    list(storage, 'tools', transaction),
    readStudio(storage, transaction),
  ]);
  return { bases, dyes, stocks, pots, tools, studio };
}

/**
 * Adds an item, or revises it. Every revision is kept; nothing is ever removed, only retired.
 * @throws Conflict when a jar names a dye that is not there, or would change to another dye
 * @throws FieldError when a premix holds itself, or a sample names what is not on the shelf
 */
export async function putItem<R extends ShelfResource>(
  storage: Storage,
  resource: R,
  item: ShelfItems[R],
  transaction: Transaction,
): Promise<void> {
  if (resource === 'stocks') await checkJar(storage, item as Stock, transaction);
  if (resource === 'samples') checkSample(item as Sample, await materials(storage, transaction));
  if (resource === 'dyes') await checkPremix(storage, item as Dye, transaction);
  await table(storage, resource).upsert(item as unknown as CreationAttributes<Row<ShelfItems[R]>>, {
    transaction,
  });
  await storage.models.revisions.create(
    { resource, itemId: item.id, at: new Date().toISOString(), body: item },
    { transaction },
  );
}

async function checkJar(storage: Storage, jar: Stock, transaction: Transaction): Promise<void> {
  const dye = await storage.models.dyes.findByPk(jar.dyeId, { transaction });
  if (!dye)
    throw new Conflict('dyeId', `There is no dye with the id “${jar.dyeId}”. Name one that is on the shelf.`);
  const earlier = (await storage.models.stocks.findByPk(jar.id, { transaction }))?.get({ plain: true });
  if (earlier && earlier.dyeId !== jar.dyeId)
    throw new Conflict('dyeId', 'A jar cannot change its dye. Retire it and make another.');
}

/** A premix may hold premixes, but never itself. @throws FieldError */
async function checkPremix(storage: Storage, dye: Dye, transaction: Transaction): Promise<void> {
  if (dye.madeOf.length === 0) return;
  const others = (await list(storage, 'dyes', transaction)).filter((other) => other.id !== dye.id);
  premixChecker([...others, dye])(dye);
}

/** What was poured from each jar, and the last arrival that is counted in it: both at one moment. */
async function drawnMl(
  storage: Storage,
  transaction?: Transaction,
): Promise<{ drawn: Map<string, number>; countedTo: number }> {
  const rows = await storage.sequelize.query<{ id: string | null; ml: number }>(
    `SELECT stock_id AS id, SUM(ml) AS ml FROM jar_draws GROUP BY stock_id
     UNION ALL SELECT NULL, MAX(seq) FROM events`,
    { transaction, type: QueryTypes.SELECT },
  );
  const drawn = new Map(rows.flatMap(({ id, ml }) => (id === null ? [] : [[id, ml]])));
  return { drawn, countedTo: rows.find(({ id }) => id === null)?.ml ?? 0 };
}
