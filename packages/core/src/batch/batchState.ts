import { drawnBathColor } from '../color/drawnColor';
import type { Plan } from '../recipe/planTypes';
import type { CautionName } from '../recipe/cautionNames';
import type { Step, StepMaterial } from '../recipe/steps';
import { additionGrams } from '../amounts/tally';
import type { Dye } from '../shelf/dye';
import type { Entry, EntryOf } from './entry';

export interface StepState {
  step: Step;
  status: 'waiting' | 'running' | 'done';
  begunAt: string | null;
  doneAt: string | null;
  /** The entry that finished it, to be struck if it was a slip. */
  entryId: string | null;
  poured: { amount: number; unit: 'mL' | 'g'; asWritten: string } | null;
}

/** Where a batch stands, told from its entries alone. */
export interface BatchState {
  steps: StepState[];
  /** The first step not yet done; null when all are. */
  current: StepState | null;
  /** When the running wait is over, ISO 8601; null when nothing is being waited for. */
  dueAt: string | null;
  /** When the latest entry was made, ISO 8601. */
  since: string;
  added: EntryOf<'added'>[];
  checks: EntryOf<'checked'>[];
  notes: EntryOf<'noted'>[];
  /** Cautions that were acknowledged in this batch. */
  acknowledged: CautionName[];
  closed: EntryOf<'closed'> | null;
  /** Entries that were taken back, by id. */
  struck: ReadonlySet<string>;
  bath: { volumeMl: number; hex: string };
}

/** Entries that still count: everything not struck, and no strikes themselves. */
export function standingEntries(entries: readonly Entry[]): { standing: Entry[]; struck: Set<string> } {
  const struck = new Set(entries.flatMap((entry) => (entry.kind === 'struck' ? [entry.entryId] : [])));
  return { standing: entries.filter((entry) => entry.kind !== 'struck' && !struck.has(entry.id)), struck };
}

/**
 * Folds a batch's entries over its plan.
 * @param startedAt when the batch was begun, ISO 8601
 */
export function batchState(
  plan: Plan,
  dyes: readonly Dye[],
  entries: readonly Entry[],
  startedAt: string,
): BatchState {
  const { standing, struck } = standingEntries(entries);
  const steps = plan.steps.map((step) => stepState(step, standing));
  const current = steps.find((state) => state.status !== 'done') ?? null;
  const added = standing.filter((entry) => entry.kind === 'added');
  return {
    steps,
    current,
    dueAt:
      current?.status === 'running' && current.begunAt && current.step.wait
        ? later(current.begunAt, current.step.wait.value)
        : null,
    since: entries.at(-1)?.at ?? startedAt,
    added,
    checks: standing.filter((entry) => entry.kind === 'checked'),
    notes: standing.filter((entry) => entry.kind === 'noted'),
    acknowledged: standing.flatMap((entry) => (entry.kind === 'acknowledged' ? [entry.caution] : [])),
    closed: standing.filter((entry) => entry.kind === 'closed').at(-1) ?? null,
    struck,
    bath: bathNow(steps, added, dyes),
  };
}

function stepState(step: Step, standing: readonly Entry[]): StepState {
  const state: StepState = {
    step,
    status: 'waiting',
    begunAt: null,
    doneAt: null,
    entryId: null,
    poured: null,
  };
  for (const entry of standing) {
    if (!('stepId' in entry) || entry.stepId !== step.id) continue;
    if (entry.kind === 'begun') {
      state.status = 'running';
      state.begunAt = entry.at;
    } else {
      state.status = 'done';
      state.doneAt = entry.at;
      if (entry.kind === 'poured')
        state.poured = { amount: entry.amount, unit: entry.unit, asWritten: entry.asWritten };
    }
    state.entryId = entry.id;
  }
  return state;
}

const later = (iso: string, minutes: number): string =>
  new Date(Date.parse(iso) + minutes * 60_000).toISOString();

/** Level and color of the bath from what has been poured. Color is for drawing only. */
function bathNow(
  steps: readonly StepState[],
  added: readonly EntryOf<'added'>[],
  dyes: readonly Dye[],
): BatchState['bath'] {
  const inPot: { material: StepMaterial | EntryOf<'added'>['material']; amount: number; unit: 'mL' | 'g' }[] =
    [
      ...steps.flatMap(({ step, poured }) =>
        step.measure && poured && step.measure.material.kind !== 'dilution'
          ? [{ material: step.measure.material, ...poured }]
          : [],
      ),
      ...added,
    ];
  const volumeMl = inPot.reduce(
    (sum, { material, amount, unit }) => sum + (unit === 'mL' || material.kind === 'ice' ? amount : 0),
    0,
  );
  if (volumeMl === 0) return { volumeMl, hex: drawnBathColor([]) };
  const colors = inPot.flatMap(({ material, amount, unit }) => {
    if (material.kind !== 'dye') return [];
    const dye = dyes.find((candidate) => candidate.id === material.dyeId);
    if (!dye) return [];
    const grams = additionGrams({ amount, unit, strengthPercent: material.strengthPercent ?? 0 });
    return [
      {
        swatchHex: dye.swatchHex,
        swatchDosPercent: dye.swatchDosPercent,
        gramsPerLiter: (1000 * grams) / volumeMl,
      },
    ];
  });
  return { volumeMl, hex: drawnBathColor(colors) };
}
