import type { Card } from '@ythrion/core';

/** Types of the frozen planner: what it takes and gives, as that version had it. Only what is read today is written out. */

export type OldMaterial =
  | { kind: 'water' }
  | { kind: 'acid'; material: 'vinegar' | 'citric' | 'citric solution'; strengthPercent: number }
  | { kind: 'ice' }
  | {
      kind: 'dye';
      dyeId: string;
      /** On planned pours only. */
      lineId?: string;
      stockId: string | null;
      strengthPercent: number | null;
      /** On planned pours only. */
      lotStrength?: number;
      /** On planned pours only. */
      diluted?: boolean;
    }
  | { kind: 'dilution'; dyeId: string; stockId: string; strengthPercent: number };

interface Stamp {
  id: string;
  at: string;
}
export type OldEntry = Stamp &
  (
    | { kind: 'begun' | 'done'; stepId: string }
    | { kind: 'poured'; stepId: string; amount: number; unit: 'mL' | 'g'; asWritten: string }
    | {
        kind: 'added';
        material: Exclude<OldMaterial, { kind: 'ice' | 'dilution' }>;
        amount: number;
        unit: 'mL' | 'g';
        asWritten: string;
        note: string;
      }
    | { kind: 'struck'; entryId: string; why: string }
    | {
        kind: 'checked';
        of: 'bath' | 'goods' | 'rinse' | 'dry';
        reading: string;
        temperatureC: number | null;
        ph: number | null;
      }
    | { kind: 'acknowledged'; caution: string }
    | { kind: 'noted'; text: string }
    | { kind: 'closed'; outcome: string; standing: string; note: string }
  );

export interface OldFigure {
  value: number;
  unit: string;
  sureness: 'exact' | 'established' | 'estimate';
  because: string;
  source?: string;
}
export interface OldStep {
  id: string;
  kind: string;
  passId: string | null;
  title: string;
  measure?: { amount: OldFigure; unit: 'mL' | 'g'; material: OldMaterial; tool?: string };
  wait?: OldFigure;
}
/** A plan: opaque but for its steps; it goes back into the functions below as it came out. */
export interface OldPlan {
  steps: OldStep[];
  wog: OldFigure;
}
/** A formulation as that version kept it: opaque, read with `formulationSchema`. */
export interface OldFormulation {
  name: string;
  recipe: unknown;
  dyes: { id: string; name: string; lotStrength: number }[];
}
export interface OldDye {
  id: string;
  name: string;
  lotStrength: number;
}
export interface OldBatch {
  id: string;
  code: string;
  name: string;
  colorwayId: string | null;
  colorwayVersion: number | null;
  againOf: string | null;
  startedAt: string;
  formulation: OldFormulation;
  entries: OldEntry[];
}
export interface OldDocument {
  format: 'ythrion';
  version: 2;
  dyes: OldDye[];
  batches: OldBatch[];
  [field: string]: unknown;
}
export interface OldAddition {
  passId: string;
  stepId: string | null;
  material: OldMaterial;
  unit: 'mL' | 'g';
  amount: number;
}
interface OldSummary {
  wogGrams: number;
  dosPercent: number;
  bases: string;
  dyes: string;
  undyedHex: string;
  hex: string;
  outcome: string | null;
  standing: string | null;
  closedAt: string | null;
}
interface OldActual {
  dyes: {
    dyeId: string;
    dyeName: string;
    stockId: string | null;
    grams: OldFigure;
    dos: OldFigure;
    plannedDos: number | null;
    additions: number;
  }[];
  bath: OldFigure;
  acidPure: { material: string; strengthPercent: number; grams: OldFigure } | null;
  departures: string[];
  recipe: unknown;
}
interface OldState {
  steps: {
    step: OldStep;
    status: 'waiting' | 'running' | 'done';
    begunAt: string | null;
    doneAt: string | null;
    poured: { amount: number; unit: 'mL' | 'g'; asWritten: string } | null;
  }[];
  current: { step: OldStep } | null;
  dueAt: string | null;
  bath: { volumeMl: number; hex: string };
}

/** @throws z.ZodError */
interface Schema<T> {
  parse(value: unknown): T;
}
export const formulationSchema: Schema<OldFormulation>;
export const recipeSchema: Schema<unknown>;
export const entrySchema: Schema<OldEntry>;
export function upgradeRecipe(recipe: unknown): unknown;
/** The card of version 1 that this plan's steps make: its lines are the steps, one for one and in their order. */
export function cardOf(formulation: OldFormulation, plan: OldPlan): Card;
/** @throws an error that carries `field` when an id is unknown or an amount is impossible */
export function planFormulation(formulation: OldFormulation): OldPlan;
/** @throws DocumentError with every problem found */
export function readDocument(value: unknown, known?: unknown): OldDocument;
export class DocumentError extends Error {
  readonly problems: readonly { field: string; message: string }[];
}
export function standingEntries(entries: readonly OldEntry[]): { standing: OldEntry[]; struck: Set<string> };
export function potAdditions(plan: OldPlan, standing: readonly OldEntry[]): OldAddition[];
export function batchState(
  plan: OldPlan,
  dyes: readonly OldDye[],
  entries: readonly OldEntry[],
  startedAt: string,
): OldState;
export function actualRecipe(
  formulation: OldFormulation,
  plan: OldPlan,
  entries: readonly OldEntry[],
  dyes: readonly OldDye[],
): OldActual;
export function summarizeBatch(
  batch: Omit<OldBatch, 'entries'>,
  entries: readonly OldEntry[],
  dyes: readonly OldDye[],
): OldSummary;
export function entryWords(entry: OldEntry, plan: OldPlan, dyes: readonly OldDye[]): string;
export function bathPhNow(
  formulation: OldFormulation,
  plan: OldPlan,
  entries: readonly OldEntry[],
): number;
export function phAdvice(
  formulation: OldFormulation,
  plan: OldPlan,
  entries: readonly OldEntry[],
): unknown;
export function formulate(name: string, recipe: unknown, shelf: unknown): OldFormulation;
export const METHODS: Record<string, { usual: Record<string, unknown>; dry: boolean; liquid: string }>;
export const METHOD_KINDS: string[];
