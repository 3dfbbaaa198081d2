import type { Sequelize, Transaction } from 'sequelize';
import { recordsToEvents } from '../upgrade/recordsToEvents';

/** What a migration does where statements alone do not reach. */
export type Conversion = (sequelize: Sequelize, transaction: Transaction) => Promise<void>;

/** One step of the data file's history. Once landed, a migration is never edited. */
export interface Migration {
  name: string;
  steps: (string | Conversion)[];
}

const appendOnly = (table: string): string[] =>
  ['UPDATE', 'DELETE'].map(
    (verb) => `CREATE TRIGGER ${table}_no_${verb.toLowerCase()} BEFORE ${verb} ON ${table}
      BEGIN SELECT RAISE(ABORT, '${table} is append-only'); END`,
  );

/** Masses in g, volumes in mL, money in cents, strengths and depths in %: always numbers, the unit in the name. */
export const MIGRATIONS: Migration[] = [
  {
    name: '001-first-loop',
    steps: [
      `CREATE TABLE studio (id INTEGER PRIMARY KEY CHECK (id = 1), name TEXT NOT NULL, spoons TEXT NOT NULL, currency TEXT NOT NULL)`,
      `CREATE TABLE bases (id TEXT PRIMARY KEY, code TEXT NOT NULL, name TEXT NOT NULL, fibers JSON NOT NULL, superwash INTEGER NOT NULL,
        form TEXT NOT NULL, put_up_grams REAL NOT NULL CHECK (put_up_grams > 0), hex TEXT NOT NULL, note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      `CREATE TABLE dyes (id TEXT PRIMARY KEY, code TEXT NOT NULL, name TEXT NOT NULL, dye_class TEXT NOT NULL, grams_per_teaspoon REAL,
        swatch_hex TEXT NOT NULL, swatch_dos_percent REAL NOT NULL, lot_strength REAL NOT NULL CHECK (lot_strength > 0),
        jar_price_cents INTEGER, jar_grams REAL, note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      `CREATE TABLE stocks (id TEXT PRIMARY KEY, code TEXT NOT NULL, dye_id TEXT NOT NULL REFERENCES dyes(id),
        strength_percent REAL NOT NULL CHECK (strength_percent > 0), volume_ml REAL NOT NULL CHECK (volume_ml > 0), made_on TEXT,
        note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      `CREATE TABLE pots (id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, capacity_ml REAL NOT NULL CHECK (capacity_ml > 0),
        note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      `CREATE TABLE shelf_revisions (seq INTEGER PRIMARY KEY AUTOINCREMENT, resource TEXT NOT NULL, item_id TEXT NOT NULL, at TEXT NOT NULL, body JSON NOT NULL)`,
      `CREATE INDEX shelf_revisions_item ON shelf_revisions (resource, item_id)`,
      `CREATE TABLE colorway_versions (id TEXT NOT NULL, version INTEGER NOT NULL CHECK (version >= 1), code TEXT NOT NULL, name TEXT NOT NULL,
        note TEXT NOT NULL, recipe JSON NOT NULL, as_written JSON NOT NULL, retired INTEGER NOT NULL, saved_at TEXT NOT NULL, PRIMARY KEY (id, version))`,
      `CREATE TABLE batches (id TEXT PRIMARY KEY, code TEXT NOT NULL UNIQUE, name TEXT NOT NULL, colorway_id TEXT, colorway_version INTEGER,
        again_of TEXT REFERENCES batches(id), started_at TEXT NOT NULL, formulation JSON NOT NULL, closed_at TEXT, wog_grams REAL NOT NULL,
        dos_percent REAL NOT NULL, bases TEXT NOT NULL, dyes TEXT NOT NULL, undyed_hex TEXT NOT NULL, hex TEXT NOT NULL, outcome TEXT,
        standing TEXT, search TEXT NOT NULL,
        FOREIGN KEY (colorway_id, colorway_version) REFERENCES colorway_versions (id, version))`,
      `CREATE INDEX batches_by_date ON batches (started_at DESC, id)`,
      `CREATE INDEX batches_open ON batches (closed_at) WHERE closed_at IS NULL`,
      `CREATE TABLE batch_entries (seq INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT NOT NULL UNIQUE, batch_id TEXT NOT NULL REFERENCES batches(id),
        at TEXT NOT NULL, received_at TEXT NOT NULL, kind TEXT NOT NULL, body JSON NOT NULL)`,
      `CREATE INDEX batch_entries_batch ON batch_entries (batch_id, seq)`,
      `CREATE TABLE stock_draws (seq INTEGER PRIMARY KEY AUTOINCREMENT, stock_id TEXT NOT NULL REFERENCES stocks(id),
        entry_id TEXT NOT NULL REFERENCES batch_entries(id), ml REAL NOT NULL)`,
      `CREATE INDEX stock_draws_stock ON stock_draws (stock_id, ml)`,
      ...appendOnly('shelf_revisions'),
      ...appendOnly('colorway_versions'),
      ...appendOnly('batch_entries'),
      ...appendOnly('stock_draws'),
    ],
  },
  {
    name: '002-studio-water',
    steps: [
      `ALTER TABLE studio ADD COLUMN alkalinity_mg_per_l REAL NOT NULL DEFAULT 100`,
      `ALTER TABLE studio ADD COLUMN count_fiber_uptake INTEGER NOT NULL DEFAULT 1`,
    ],
  },
  {
    name: '003-formulation-in-full',
    steps: [
      `ALTER TABLE studio ADD COLUMN altitude_m REAL NOT NULL DEFAULT 0`,
      `ALTER TABLE studio ADD COLUMN tap_c REAL NOT NULL DEFAULT 20`,
      `ALTER TABLE studio ADD COLUMN room_c REAL NOT NULL DEFAULT 20`,
      `ALTER TABLE dyes ADD COLUMN made_of JSON NOT NULL DEFAULT '[]'`,
      `ALTER TABLE stocks ADD COLUMN lot TEXT NOT NULL DEFAULT ''`,
      `ALTER TABLE stocks ADD COLUMN weighed_grams REAL`,
      `ALTER TABLE pots ADD COLUMN power_watts REAL`,
      `ALTER TABLE pots ADD COLUMN efficiency_percent REAL NOT NULL DEFAULT 60`,
      `ALTER TABLE pots ADD COLUMN vessel_j_per_k REAL NOT NULL DEFAULT 900`,
      `ALTER TABLE pots ADD COLUMN loss_w_per_k REAL NOT NULL DEFAULT 5`,
      `CREATE TABLE tools (id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, capacity REAL NOT NULL CHECK (capacity > 0),
        graduation REAL NOT NULL CHECK (graduation > 0), note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      `CREATE TABLE patterns (id TEXT PRIMARY KEY, name TEXT NOT NULL, pass JSON NOT NULL, note TEXT NOT NULL, retired INTEGER NOT NULL)`,
    ],
  },
  {
    name: '004-events',
    steps: [
      `CREATE TABLE batch_plans (batch_id TEXT PRIMARY KEY REFERENCES batches(id), formulation TEXT NOT NULL, card TEXT NOT NULL)`,
      `CREATE TABLE events (seq INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT NOT NULL UNIQUE, batch_id TEXT REFERENCES batches(id),
        vessel_id TEXT, at TEXT NOT NULL, received_at TEXT NOT NULL, device TEXT NOT NULL, count INTEGER NOT NULL, kind TEXT NOT NULL,
        planned TEXT, strikes TEXT, body TEXT NOT NULL, CHECK ((batch_id IS NULL) <> (vessel_id IS NULL)))`,
      `CREATE INDEX events_batch ON events (batch_id, seq)`,
      `CREATE INDEX events_vessel ON events (vessel_id, seq) WHERE vessel_id IS NOT NULL`,
      `CREATE INDEX events_planned ON events (batch_id, planned) WHERE planned IS NOT NULL`,
      `CREATE INDEX events_kind ON events (batch_id, kind)`,
      `CREATE INDEX events_strikes ON events (strikes) WHERE strikes IS NOT NULL`,
      `CREATE INDEX events_device ON events (device, count)`,
      `CREATE TABLE batch_dyes (batch_id TEXT NOT NULL REFERENCES batches(id), pass TEXT NOT NULL, line TEXT NOT NULL, dye_id TEXT NOT NULL,
        grams REAL NOT NULL, standard_grams REAL NOT NULL, additions INTEGER NOT NULL, first_seq INTEGER NOT NULL,
        PRIMARY KEY (batch_id, pass, line, dye_id))`,
      `CREATE TABLE jar_draws (seq INTEGER PRIMARY KEY AUTOINCREMENT, stock_id TEXT NOT NULL REFERENCES stocks(id),
        event_id TEXT NOT NULL REFERENCES events(id), ml REAL NOT NULL)`,
      `CREATE INDEX jar_draws_stock ON jar_draws (stock_id, ml)`,
      `CREATE INDEX jar_draws_event ON jar_draws (event_id)`,
      recordsToEvents,
      `DROP TABLE stock_draws`,
      `DROP TABLE batch_entries`,
      `ALTER TABLE batches DROP COLUMN formulation`,
      `CREATE INDEX batches_again ON batches (again_of)`,
      `CREATE INDEX batches_colorway ON batches (colorway_id, colorway_version)`,
      ...appendOnly('batch_plans'),
      ...appendOnly('events'),
      ...appendOnly('jar_draws'),
    ],
  },
  {
    name: '005-sent-by-devices',
    steps: [`ALTER TABLE events ADD COLUMN sent INTEGER NOT NULL DEFAULT 0`],
  },
  {
    name: '006-search-verdicts',
    steps: [
      `UPDATE batches SET search = search || ' ' || lower(coalesce((SELECT json_extract(e.body, '$.note') FROM events e
        WHERE e.batch_id = batches.id AND e.kind = 'closed' AND NOT EXISTS (SELECT 1 FROM events s WHERE s.strikes = e.id)
        ORDER BY e.at DESC, e.device DESC, e.count DESC LIMIT 1), '')) WHERE closed_at IS NOT NULL`,
    ],
  },
];
