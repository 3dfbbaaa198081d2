import {
  batchSchema,
  cardLines,
  doneAct,
  EVENT_VERSION,
  lookAct,
  unplannedAct,
  type Batch,
  type CardAct,
  type Dye,
  type Event,
  type MeasuredOut,
} from '@ythrion/core';
import {
  cardOf,
  formulationSchema,
  planFormulation,
  potAdditions,
  standingEntries,
  upgradeRecipe,
  type OldBatch,
  type OldDye,
  type OldEntry,
  type OldPlan,
} from './frozen/planner';

/** Device of events that were made before devices counted theirs. */
export const BEFORE_DEVICES = 'ythrion-0-1';

/** A batch as version 0.1.0 kept it, read and planned as that version did. */
export interface ReadOldBatch {
  batch: OldBatch;
  plan: OldPlan;
}

/** Reads a batch of version 0.1.0, whichever recipe version it holds. @throws when its formulation cannot be read */
export function readOldBatch(batch: OldBatch): ReadOldBatch {
  const raw = batch.formulation as { recipe?: unknown };
  const formulation = formulationSchema.parse({ ...raw, recipe: upgradeRecipe(raw.recipe) });
  return { batch: { ...batch, formulation }, plan: planFormulation(formulation) };
}

/**
 * A batch of version 0.1.0 as today's: its steps become the card, its entries events that say what they mean.
 * @param dyes dyes on the shelf, for the lot strength of what was added unplanned
 */
export function upgradeBatch({ batch, plan }: ReadOldBatch, dyes: readonly (OldDye | Dye)[]): Batch {
  const card = cardOf(batch.formulation, plan);
  const lines = cardLines(card);
  if (lines.length !== plan.steps.length)
    throw new RangeError(
      `The card of batch ${batch.id} has ${lines.length} lines for ${plan.steps.length} steps.`,
    );
  const lineOf = new Map(
    plan.steps.flatMap((step, i): [string, CardAct][] => (lines[i] ? [[step.id, lines[i]]] : [])),
  );
  const { entries: _, ...kept } = batch;
  const begun = batchSchema.parse({ ...kept, card, events: [] });
  const reader: EntryReader = {
    begun,
    lineOf,
    passes: passesOf(batch, plan),
    lotStrength: (dyeId) =>
      [...batch.formulation.dyes, ...dyes].find((dye) => dye.id === dyeId)?.lotStrength ?? 1,
    begunAt: new Map(),
  };
  return { ...begun, events: batch.entries.map((entry, i) => toEvent(entry, i + 1, reader)) };
}

interface EntryReader {
  begun: Batch;
  lineOf: ReadonlyMap<string, CardAct>;
  /** The pass of every entry, by its id. */
  passes: ReadonlyMap<string, string | null>;
  lotStrength(dyeId: string): number;
  /** When the clock of a line was last started, by the line's id. */
  begunAt: Map<string, string>;
}

/** The pass that was being dyed at each entry: as that version told it, by the step done last. */
function passesOf({ entries }: OldBatch, plan: OldPlan): Map<string, string | null> {
  const { struck } = standingEntries(entries);
  const steps = new Map(plan.steps.map((step) => [step.id, step]));
  const first = plan.steps.find((step) => step.passId !== null)?.passId ?? null;
  let pass = first;
  return new Map(
    entries.map((entry) => {
      if ('stepId' in entry && !struck.has(entry.id)) pass = steps.get(entry.stepId)?.passId ?? pass;
      return [entry.id, pass];
    }),
  );
}

function toEvent(entry: OldEntry, count: number, reader: EntryReader): Event {
  const { begun, passes } = reader;
  const stamp = {
    version: EVENT_VERSION,
    id: entry.id,
    of: { kind: 'batch', id: begun.id },
    at: entry.at,
    clockAt: entry.at,
    device: BEFORE_DEVICES,
    count,
    person: null,
  } as const;
  const pass = passes.get(entry.id) ?? null;
  switch (entry.kind) {
    case 'begun':
    case 'done':
    case 'poured':
      return stepEvent(entry, stamp, reader);
    case 'added':
      return {
        ...stamp,
        kind: 'act',
        planned: null,
        act: unplannedAct(begun, pass, addedAmount(entry, reader)),
        written: entry.asWritten,
        note: entry.note,
      };
    case 'struck':
      return { ...stamp, kind: 'struck', event: entry.entryId, why: entry.why };
    case 'checked': {
      const look = lookAct(pass, entry.of, entry.reading, entry.ph);
      const measured = entry.ph !== null || entry.temperatureC !== null;
      const reading = { ph: entry.ph, celsius: entry.temperatureC, levelMl: null };
      return {
        ...stamp,
        kind: 'act',
        planned: null,
        act: look.kind === 'look' ? { ...look, reading: measured ? reading : null } : look,
        written: '',
        note: '',
      };
    }
    case 'acknowledged':
      return { ...stamp, kind: 'acknowledged', caution: entry.caution as 'powder' };
    case 'noted':
      return { ...stamp, kind: 'noted', text: entry.text };
    case 'closed':
      return {
        ...stamp,
        kind: 'closed',
        outcome: entry.outcome as 'usable',
        standing: entry.standing as 'trial',
        note: entry.note,
      };
  }
}

type Stamp = Pick<Event, 'version' | 'id' | 'of' | 'at' | 'clockAt' | 'device' | 'count' | 'person'>;
type StepEntry = Extract<OldEntry, { stepId: string }>;

/** An entry that named a step. One whose step its plan never had counted nowhere; it is kept as a note. */
function stepEvent(entry: StepEntry, stamp: Stamp, { lineOf, begunAt }: EntryReader): Event {
  const line = lineOf.get(entry.stepId);
  if (!line) {
    const poured = entry.kind === 'poured' ? `, ${entry.amount} ${entry.unit}` : '';
    return {
      ...stamp,
      kind: 'noted',
      text: `“${entry.stepId}” ${entry.kind}${poured}: the card has no such step.`,
    };
  }
  if (entry.kind === 'begun') {
    begunAt.set(line.id, entry.at);
    return { ...stamp, kind: 'begun', planned: line.id, act: line.act };
  }
  const from = begunAt.get(line.id);
  const minutes = from === undefined ? null : Math.max(0, (Date.parse(entry.at) - Date.parse(from)) / 60_000);
  return {
    ...stamp,
    kind: 'act',
    planned: line.id,
    act: doneAct(line.act, entry.kind === 'poured' ? { amount: entry.amount } : { minutes }),
    written: entry.kind === 'poured' ? entry.asWritten : '',
    note: '',
  };
}

function addedAmount(entry: Extract<OldEntry, { kind: 'added' }>, reader: EntryReader): MeasuredOut {
  const { material, amount, unit } = entry;
  if (material.kind === 'water') return { material, amount, unit };
  if (material.kind === 'acid')
    return {
      material: { kind: 'acid', acid: material.material, strengthPercent: material.strengthPercent },
      amount,
      unit,
    };
  return {
    material: {
      kind: 'dye',
      dyeId: material.dyeId,
      stockId: material.stockId,
      strengthPercent: material.strengthPercent,
      lotStrength: reader.lotStrength(material.dyeId),
    },
    amount,
    unit,
  };
}

/** Grams of every dye as version 0.1.0 counted them, by dye. */
export function oldDyeGrams({ batch, plan }: ReadOldBatch): Map<string, number> {
  const sums = new Map<string, number>();
  for (const { material, unit, amount } of potAdditions(plan, standingEntries(batch.entries).standing)) {
    if (material.kind !== 'dye') continue;
    const grams = unit === 'g' ? amount : (amount * (material.strengthPercent ?? 0)) / 100;
    sums.set(material.dyeId, (sums.get(material.dyeId) ?? 0) + grams);
  }
  return sums;
}
