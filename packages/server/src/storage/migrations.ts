import type { Sequelize, Transaction } from 'sequelize';
import { looksOfBatches } from '../upgrade/looksOfBatches';
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

/** Words to look up by how they begin, whatever their case and accents; the text itself stands elsewhere. */
const words = (table: string, column: string): string[] => [
  `CREATE VIRTUAL TABLE ${table} USING fts5 (${column}, content='', contentless_delete=1, prefix='1 2 3',
    tokenize='unicode61 remove_diacritics 2')`,
];

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
  {
    name: '007-years',
    steps: [
      // Rows of a table without a number of its own may be numbered anew when the file is copied; words are kept by this one.
      `ALTER TABLE batches ADD COLUMN line INTEGER`,
      `UPDATE batches SET line = rowid`,
      `CREATE UNIQUE INDEX batches_line ON batches (line)`,
      `ALTER TABLE batches ADD COLUMN look TEXT NOT NULL DEFAULT ''`,
      looksOfBatches,
      `CREATE TABLE batch_bases (base_id TEXT NOT NULL, line INTEGER NOT NULL REFERENCES batches(line), PRIMARY KEY (base_id, line)) WITHOUT ROWID`,
      `INSERT OR IGNORE INTO batch_bases SELECT json_extract(goods.value, '$.baseId'), b.line
        FROM batch_plans p JOIN batches b ON b.id = p.batch_id, json_each(p.formulation, '$.recipe.goods') goods
        WHERE json_valid(p.formulation)`,
      `CREATE INDEX batch_dyes_dye ON batch_dyes (dye_id, batch_id)`,
      `CREATE TABLE dyed_lines (dye_id TEXT NOT NULL, line INTEGER NOT NULL REFERENCES batches(line), PRIMARY KEY (dye_id, line)) WITHOUT ROWID`,
      `INSERT OR IGNORE INTO dyed_lines SELECT d.dye_id, b.line FROM batch_dyes d JOIN batches b ON b.id = d.batch_id`,
      `CREATE TRIGGER batch_dyes_in AFTER INSERT ON batch_dyes BEGIN
        INSERT OR IGNORE INTO dyed_lines SELECT new.dye_id, line FROM batches WHERE id = new.batch_id; END`,
      `CREATE TRIGGER batch_dyes_out AFTER DELETE ON batch_dyes
        WHEN NOT EXISTS (SELECT 1 FROM batch_dyes WHERE dye_id = old.dye_id AND batch_id = old.batch_id) BEGIN
        DELETE FROM dyed_lines WHERE dye_id = old.dye_id AND line = (SELECT line FROM batches WHERE id = old.batch_id); END`,
      `DROP INDEX batches_by_date`,
      `CREATE INDEX batches_by_date ON batches (started_at, id)`,
      ...['name', 'wog_grams', 'dos_percent', 'outcome', 'standing'].map(
        (column) => `CREATE INDEX batches_by_${column} ON batches (${column}, started_at, id)`,
      ),
      `DROP INDEX batches_colorway`,
      `CREATE INDEX batches_colorway ON batches (colorway_id, started_at, id)`,
      ...words('batch_words', 'search'),
      `INSERT INTO batch_words (rowid, search) SELECT line, search FROM batches`,
      `CREATE TRIGGER batches_lined AFTER INSERT ON batches BEGIN
        UPDATE batches SET line = (SELECT coalesce(max(line), 0) + 1 FROM batches) WHERE id = new.id;
        INSERT INTO batch_words (rowid, search) SELECT line, search FROM batches WHERE id = new.id; END`,
      `CREATE TRIGGER batches_said_anew AFTER UPDATE OF search ON batches WHEN old.search <> new.search BEGIN
        UPDATE batch_words SET search = new.search WHERE rowid = new.line; END`,
      `CREATE TABLE newest_colorways (line INTEGER PRIMARY KEY, id TEXT NOT NULL UNIQUE, version INTEGER NOT NULL, code TEXT NOT NULL,
        name TEXT NOT NULL, FOREIGN KEY (id, version) REFERENCES colorway_versions (id, version))`,
      ...words('colorway_words', 'search'),
      `CREATE TRIGGER colorways_newest AFTER INSERT ON colorway_versions BEGIN
        INSERT INTO newest_colorways (id, version, code, name) VALUES (new.id, new.version, new.code, new.name)
          ON CONFLICT (id) DO UPDATE SET version = excluded.version, code = excluded.code, name = excluded.name
          WHERE excluded.version > version;
        DELETE FROM colorway_words WHERE rowid = (SELECT line FROM newest_colorways WHERE id = new.id);
        INSERT INTO colorway_words (rowid, search) SELECT line, name || ' ' || code FROM newest_colorways WHERE id = new.id; END`,
      `INSERT INTO newest_colorways (id, version, code, name) SELECT id, version, code, name FROM colorway_versions v
        WHERE version = (SELECT max(version) FROM colorway_versions o WHERE o.id = v.id)`,
      `INSERT INTO colorway_words (rowid, search) SELECT line, name || ' ' || code FROM newest_colorways`,
    ],
  },
  {
    name: '008-lines-in-order',
    steps: [
      // An index that holds the line as well tells by itself which of a list it has, without the rows.
      `DROP INDEX batches_by_date`,
      `CREATE INDEX batches_by_date ON batches (started_at, id, line)`,
      `DROP INDEX batches_colorway`,
      `CREATE INDEX batches_colorway ON batches (colorway_id, started_at, id, line)`,
      ...['name', 'wog_grams', 'dos_percent', 'outcome', 'standing'].flatMap((column) => [
        `DROP INDEX batches_by_${column}`,
        `CREATE INDEX batches_by_${column} ON batches (${column}, started_at, id, line)`,
      ]),
    ],
  },
  {
    name: '009-a-spoon-of-citric',
    steps: [`ALTER TABLE studio ADD COLUMN citric_grams_per_teaspoon REAL`],
  },
  {
    name: '010-habits-of-a-studio',
    steps: [`ALTER TABLE studio ADD COLUMN habits JSON`],
  },
  {
    name: '011-how-a-dye-behaves',
    steps: [
      `ALTER TABLE dyes ADD COLUMN behavior JSON NOT NULL DEFAULT '{"strikes":"unknown","clears":"unknown","clearsMinutes":null,"clearsAtC":null,"bleeds":false,"breaks":false,"littleGoesFar":false,"deepestPercent":null}'`,
    ],
  },
  {
    name: '012-sought-colors',
    steps: [
      `CREATE TABLE soughts (id TEXT PRIMARY KEY, name TEXT NOT NULL, words TEXT NOT NULL, hex TEXT, found_as TEXT, retired INTEGER NOT NULL)`,
      // Which records are attempts at a color is asked by this.
      `CREATE INDEX events_sought ON events (kind, seq) WHERE kind = 'sought'`,
    ],
  },
  {
    name: '013-where-color-lies',
    // Colors were drawn in bands; now where each pass put them, on goods of their own form.
    steps: [looksOfBatches],
  },
  {
    name: '014-measures-of-a-vessel',
    steps: [
      `ALTER TABLE pots ADD COLUMN floor JSON`,
      `ALTER TABLE pots ADD COLUMN wall_cm REAL`,
      `ALTER TABLE pots ADD COLUMN places INTEGER`,
    ],
  },
  {
    name: '015-loads-of-an-order',
    steps: [
      `ALTER TABLE batches ADD COLUMN order_id TEXT`,
      `ALTER TABLE batches ADD COLUMN load_of TEXT`,
      `CREATE INDEX batches_order ON batches (order_id) WHERE order_id IS NOT NULL`,
    ],
  },
  {
    name: '016-measured-colors',
    steps: [
      `CREATE TABLE samples (id TEXT PRIMARY KEY, base_id TEXT NOT NULL, dyes JSON NOT NULL, color JSON NOT NULL, invented INTEGER NOT NULL,
        note TEXT NOT NULL, retired INTEGER NOT NULL)`,
      // Dyes are drawn by what was measured of them, so a look names them.
      looksOfBatches,
    ],
  },
];
