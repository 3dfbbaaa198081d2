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
  DyeTotal,
  Pattern,
  Sample,
  Sought,
  Pot,
  Recipe,
  ShelfResource,
  Stock,
  Tool,
  Habits,
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
  citricGramsPerTeaspoon: number | null;
  /** Null in a studio that has said nothing of its habits. */
  habits: Habits | null;
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
export interface BatchRow extends Omit<BatchSummary, 'look'> {
  /** As JSON text, or empty where it is one color all over. */
  look: string;
  colorwayVersion: number | null;
  againOf: string | null;
  /** The order it is a load of, and which load, as JSON text. */
  orderId: string | null;
  loadOf: string | null;
  search: string;
}
/** What a batch was begun from: as JSON text, read and checked by whoever needs it. Never changes. */
export interface BatchPlanRow {
  batchId: string;
  formulation: string;
  card: string;
}
export interface EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  seq: CreationOptional<number>;
  id: string;
  batchId: string | null;
  vesselId: string | null;
  at: string;
  receivedAt: string;
  device: string;
  count: number;
  kind: string;
  /** The act of the card it does. */
  planned: string | null;
  /** The event it takes back. */
  strikes: string | null;
  /** 1 when a device sent it by itself, 0 when it came with a whole record. */
  sent: CreationOptional<number>;
  /** The whole event as JSON text. */
  body: string;
}
export interface BatchDyeRow extends DyeTotal {
  batchId: string;
  firstSeq: number;
}
export interface DrawRow extends Model<InferAttributes<DrawRow>, InferCreationAttributes<DrawRow>> {
  seq: CreationOptional<number>;
  stockId: string;
  eventId: string;
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
  soughts: ModelStatic<Row<Sought>>;
  samples: ModelStatic<Row<Sample>>;
  revisions: ModelStatic<RevisionRow>;
  colorways: ModelStatic<Row<ColorwayRow>>;
  batches: ModelStatic<Row<BatchRow>>;
  batchPlans: ModelStatic<Row<BatchPlanRow>>;
  events: ModelStatic<EventRow>;
  batchDyes: ModelStatic<Row<BatchDyeRow>>;
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
        citricGramsPerTeaspoon: optionalReal(),
        habits: { type: DataTypes.JSON, allowNull: true },
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
        behavior: json(),
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
        floor: { type: DataTypes.JSON, allowNull: true },
        wallCm: optionalReal(),
        places: { type: DataTypes.INTEGER, allowNull: true },
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
    soughts: sequelize.define(
      'sought',
      {
        id: id(),
        name: text(),
        words: text(),
        hex: optionalText(),
        foundAs: optionalText(),
        retired: yesNo(),
      },
      table('soughts'),
    ),
    samples: sequelize.define(
      'sample',
      {
        id: id(),
        baseId: text(),
        dyes: json(),
        color: json(),
        invented: yesNo(),
        note: text(),
        retired: yesNo(),
      },
      table('samples'),
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
        orderId: optionalText(),
        loadOf: optionalText(),
        startedAt: text(),
        closedAt: optionalText(),
        wogGrams: real(),
        dosPercent: real(),
        bases: text(),
        dyes: text(),
        undyedHex: text(),
        hex: text(),
        look: text(),
        outcome: optionalText(),
        standing: optionalText(),
        search: text(),
      },
      table('batches'),
    ),
    batchPlans: sequelize.define(
      'batchPlan',
      { batchId: id(), formulation: text(), card: text() },
      table('batch_plans'),
    ),
    events: sequelize.define<EventRow>(
      'event',
      {
        seq: sequence(),
        id: text(),
        batchId: optionalText(),
        vesselId: optionalText(),
        at: text(),
        receivedAt: text(),
        device: text(),
        count: whole(),
        kind: text(),
        planned: optionalText(),
        strikes: optionalText(),
        sent: { ...whole(), defaultValue: 0 },
        body: text(),
      },
      table('events'),
    ),
    batchDyes: sequelize.define(
      'batchDye',
      {
        batchId: id(),
        pass: { ...text(), primaryKey: true },
        line: { ...text(), primaryKey: true },
        dyeId: { ...text(), primaryKey: true },
        grams: real(),
        standardGrams: real(),
        additions: whole(),
        firstSeq: whole(),
      },
      table('batch_dyes'),
    ),
    draws: sequelize.define<DrawRow>(
      'draw',
      { seq: sequence(), stockId: text(), eventId: text(), ml: real() },
      table('jar_draws'),
    ),
  };
}
