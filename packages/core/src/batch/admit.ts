import { FieldError } from '../figure/fieldError';
import type { Plan } from '../recipe/planTypes';
import type { Dye } from '../shelf/dye';
import type { Entry } from './entry';
import { standingEntries } from './batchState';

/**
 * Decides whether an entry may join a batch's record.
 * @throws FieldError naming the field when it may not: an unknown step, dye or entry, a wrong unit, a step
 * already poured, or a pour after the batch was closed
 */
export function admitEntry(entry: Entry, plan: Plan, dyes: readonly Dye[], earlier: readonly Entry[]): void {
  const { standing, struck } = standingEntries(earlier);
  const closed = standing.some((other) => other.kind === 'closed');
  if (closed && !['noted', 'checked', 'closed', 'struck'].includes(entry.kind))
    throw new FieldError(
      'kind',
      'This batch is closed. Only notes, checks and a new verdict can still be added.',
    );
  if ('stepId' in entry) admitStep(entry, plan, standing);
  if (entry.kind === 'struck') {
    const target = earlier.find((other) => other.id === entry.entryId);
    if (!target)
      throw new FieldError('entryId', `There is no entry “${entry.entryId}” in this batch to take back.`);
    if (target.kind === 'struck')
      throw new FieldError('entryId', 'A taking-back cannot itself be taken back; make the entry again.');
    if (struck.has(entry.entryId)) throw new FieldError('entryId', 'That entry was already taken back.');
    if (closed && target.kind !== 'closed')
      throw new FieldError('entryId', 'This batch is closed. Take the verdict back first.');
  }
  if (entry.kind === 'added') admitAdded(entry, dyes);
  if (
    entry.kind === 'acknowledged' &&
    standing.some((other) => other.kind === 'acknowledged' && other.caution === entry.caution)
  )
    throw new FieldError('caution', 'This caution was acknowledged already in this batch.');
}

function admitStep(entry: Extract<Entry, { stepId: string }>, plan: Plan, standing: readonly Entry[]): void {
  const step = plan.steps.find((candidate) => candidate.id === entry.stepId);
  if (!step) throw new FieldError('stepId', `This batch has no step “${entry.stepId}”.`);
  if (standing.some((other) => 'stepId' in other && other.stepId === step.id && other.kind !== 'begun'))
    throw new FieldError('stepId', `“${step.title}” is already done. Take it back first to change it.`);
  if (entry.kind === 'poured') {
    if (!step.measure) throw new FieldError('stepId', `“${step.title}” has no amount to pour.`);
    if (step.measure.unit !== entry.unit)
      throw new FieldError('unit', `“${step.title}” is measured in ${step.measure.unit}, not ${entry.unit}.`);
  }
  if (entry.kind === 'done' && step.measure)
    throw new FieldError('amount', `“${step.title}” needs the amount that was poured.`);
  if (entry.kind === 'begun' && !step.wait)
    throw new FieldError('stepId', `“${step.title}” has nothing to wait for.`);
}

function admitAdded(entry: Extract<Entry, { kind: 'added' }>, dyes: readonly Dye[]): void {
  const { material, unit } = entry;
  if (material.kind === 'water' && unit !== 'mL') throw new FieldError('unit', 'Water is measured in mL.');
  if (material.kind === 'acid' && unit !== (material.material === 'citric' ? 'g' : 'mL'))
    throw new FieldError(
      'unit',
      material.material === 'citric'
        ? 'Citric crystals are measured in g.'
        : 'A liquid acid is measured in mL.',
    );
  if (material.kind !== 'dye') return;
  if (!dyes.some((dye) => dye.id === material.dyeId))
    throw new FieldError(
      'material.dyeId',
      `There is no dye with the id “${material.dyeId}”. Name one that is on the shelf.`,
    );
  if (unit === 'mL' && material.strengthPercent === null)
    throw new FieldError('material.strengthPercent', 'Stock poured in mL needs its strength in % w/v.');
}
