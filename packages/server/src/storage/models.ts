import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import type {
  Base,
  BatchSummary,
  Colorway,
  Dye,
  Entry,
  Formulation,
  Pattern,
  Pot,
  Recipe,
  ShelfResource,
  Stock,
  Tool,
} from '@ythrion/core';

/** A plain row of a table. */
export type Row<T> = Model<T & object, T & object>;

export interface StudioRow {
  id: number;
  name: string;
  spoons: 'US' | 'metric' | 'AU';
  currency: string;
  alkalinityMgPerL: number;
  countFiberUptake: boolean;
  altitudeM: number;
  tapC: number;
  roomC: number;
}
export interface RevisionRow extends Model<
  InferAttributes<RevisionRow>,
  InferCreationAttributes<RevisionRow>
> {
  seq: CreationOptional<number>;
  resource: ShelfResource;
  itemId: string;
  at: string;
  body: unknown;
}
export interface ColorwayRow {
  id: string;
  version: number;
  code: string;
  name: string;
  note: string;
  recipe: Recipe;
  asWritten: Colorway['asWritten'];
  retired: boolean;
  savedAt: string;
}
export interface BatchRow extends BatchSummary {
  colorwayVersion: number | null;
  againOf: string | null;
  formulation: Formulation;
  search: string;
}
export interface EntryRow extends Model<InferAttributes<EntryRow>, InferCreationAttributes<EntryRow>> {
  seq: CreationOptional<number>;
  id: string;
  batchId: string;
  at: string;
  receivedAt: string;
  kind: Entry['kind'];
  body: Entry;
}
export interface DrawRow extends Model<InferAttributes<DrawRow>, InferCreationAttributes<DrawRow>> {
  seq: CreationOptional<number>;
  stockId: string;
  entryId: string;
  ml: number;
}

export interface Models {
  studio: ModelStatic<Row<StudioRow>>;
  bases: ModelStatic<Row<Base>>;
  dyes: ModelStatic<Row<Dye>>;
  stocks: ModelStatic<Row<Stock>>;
  pots: ModelStatic<Row<Pot>>;
  tools: ModelStatic<Row<Tool>>;
  patterns: ModelStatic<Row<Pattern>>;
  revisions: ModelStatic<RevisionRow>;
  colorways: ModelStatic<Row<ColorwayRow>>;
  batches: ModelStatic<Row<BatchRow>>;
  entries: ModelStatic<EntryRow>;
  draws: ModelStatic<DrawRow>;
}

/** Fresh column descriptions each time: sequelize writes into the ones it is given. */
const id = () => ({ type: DataTypes.STRING, primaryKey: true }) as const;
const text = () => ({ type: DataTypes.STRING, allowNull: false }) as const;
const optionalText = () => ({ type: DataTypes.STRING, allowNull: true }) as const;
const real = () => ({ type: DataTypes.REAL, allowNull: false }) as const;
const optionalReal = () => ({ type: DataTypes.REAL, allowNull: true }) as const;
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const;
const yesNo = () => ({ type: DataTypes.BOOLEAN, allowNull: false }) as const;
const json = () => ({ type: DataTypes.JSON, allowNull: false }) as const;
const sequence = () => ({ type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true }) as const;

/** Columns are snake_case in the file, camelCase in the code; the tables themselves are made by the migrations. */
export function defineModels(sequelize: Sequelize): Models {
  const table = (tableName: string) => ({ tableName, underscored: true, timestamps: false });
  return {
    studio: sequelize.define(
      'studio',
      {
        id: { ...whole(), primaryKey: true },
        name: text(),
        spoons: text(),
        currency: text(),
        alkalinityMgPerL: { ...real(), field: 'alkalinity_mg_per_l' },
        countFiberUptake: yesNo(),
        altitudeM: { ...real(), field: 'altitude_m' },
        tapC: { ...real(), field: 'tap_c' },
        roomC: { ...real(), field: 'room_c' },
      },
      table('studio'),
    ),
    bases: sequelize.define(
      'base',
      {
        id: id(),
        code: text(),
        name: text(),
        fibers: json(),
        superwash: yesNo(),
        form: text(),
        putUpGrams: real(),
        hex: text(),
        note: text(),
        retired: yesNo(),
      },
      table('bases'),
    ),
    dyes: sequelize.define(
      'dye',
      {
        id: id(),
        code: text(),
        name: text(),
        dyeClass: text(),
        gramsPerTeaspoon: optionalReal(),
        swatchHex: text(),
        swatchDosPercent: real(),
        lotStrength: real(),
        jarPriceCents: { type: DataTypes.INTEGER, allowNull: true },
        jarGrams: optionalReal(),
        madeOf: json(),
        note: text(),
        retired: yesNo(),
      },
      table('dyes'),
    ),
    stocks: sequelize.define(
      'stock',
      {
        id: id(),
        code: text(),
        dyeId: text(),
        strengthPercent: real(),
        volumeMl: real(),
        madeOn: optionalText(),
        lot: text(),
        weighedGrams: optionalReal(),
        note: text(),
        retired: yesNo(),
      },
      table('stocks'),
    ),
    pots: sequelize.define(
      'pot',
      {
        id: id(),
        name: text(),
        kind: text(),
        capacityMl: real(),
        powerWatts: optionalReal(),
        efficiencyPercent: real(),
        vesselJPerK: { ...real(), field: 'vessel_j_per_k' },
        lossWPerK: { ...real(), field: 'loss_w_per_k' },
        note: text(),
        retired: yesNo(),
      },
      table('pots'),
    ),
    tools: sequelize.define(
      'tool',
      {
        id: id(),
        name: text(),
        kind: text(),
        capacity: real(),
        graduation: real(),
        note: text(),
        retired: yesNo(),
      },
      table('tools'),
    ),
    patterns: sequelize.define(
      'pattern',
      { id: id(), name: text(), pass: json(), note: text(), retired: yesNo() },
      table('patterns'),
    ),
    revisions: sequelize.define<RevisionRow>(
      'revision',
      { seq: sequence(), resource: text(), itemId: text(), at: text(), body: json() },
      table('shelf_revisions'),
    ),
    colorways: sequelize.define(
      'colorway',
      {
        id: id(),
        version: { ...whole(), primaryKey: true },
        code: text(),
        name: text(),
        note: text(),
        recipe: json(),
        asWritten: json(),
        retired: yesNo(),
        savedAt: text(),
      },
      table('colorway_versions'),
    ),
    batches: sequelize.define(
      'batch',
      {
        id: id(),
        code: text(),
        name: text(),
        colorwayId: optionalText(),
        colorwayVersion: { type: DataTypes.INTEGER, allowNull: true },
        againOf: optionalText(),
        startedAt: text(),
        formulation: json(),
        closedAt: optionalText(),
        wogGrams: real(),
        dosPercent: real(),
        bases: text(),
        dyes: text(),
        undyedHex: text(),
        hex: text(),
        outcome: optionalText(),
        standing: optionalText(),
        search: text(),
      },
      table('batches'),
    ),
    entries: sequelize.define<EntryRow>(
      'entry',
      {
        seq: sequence(),
        id: text(),
        batchId: text(),
        at: text(),
        receivedAt: text(),
        kind: text(),
        body: json(),
      },
      table('batch_entries'),
    ),
    draws: sequelize.define<DrawRow>(
      'draw',
      { seq: sequence(), stockId: text(), entryId: text(), ml: real() },
      table('stock_draws'),
    ),
  };
}
