import { pureAcidGrams } from '../acid/acidDose';
import { additionGrams } from '../amounts/tally';
import { amountOf, type MeasuredOut } from '../process/amountOf';
import type { Card } from './card';
import { cardLines } from './cardLines';
import type { Act } from '../process/act';
import { actsDone, plannedDone } from './standing';
import type { Event } from './event';

/** One thing that went onto the goods or into their bath, as its event tells it. */
export interface PotAddition extends MeasuredOut {
  eventId: string;
  /** The pass it went into; null when nobody said. */
  pass: string | null;
  line: string | null;
  purpose: Act['purpose'];
  /** The planned act it did; null for what nobody planned. */
  planned: string | null;
  /** What was typed for it; empty where a key said it. */
  written: string;
  act: Act;
}

/** What an event adds; null for events that add nothing, and for stock that only goes into a working dilution. */
export function additionIn(event: Event): PotAddition | null {
  if (event.kind !== 'act' || event.act.purpose === 'dilution') return null;
  const measured = amountOf(event.act);
  if (measured === null) return null;
  const { pass, line, purpose } = event.act;
  return {
    ...measured,
    eventId: event.id,
    pass,
    line,
    purpose,
    planned: event.planned,
    written: event.written,
    act: event.act,
  };
}

/** Everything that went in and still counts, in order. */
export const additionsOf = (events: readonly Event[]): PotAddition[] =>
  actsDone(events).flatMap((event) => additionIn(event) ?? []);

/** Grams of powder in one addition; zero for water, acid and ice. */
export function dyeGramsOf({ material, unit, amount }: MeasuredOut): number {
  return material.kind === 'dye'
    ? additionGrams({ unit, amount, strengthPercent: material.strengthPercent ?? 0 })
    : 0;
}

/** The same in grams of standard strength. */
export const standardGramsOf = (addition: MeasuredOut): number =>
  addition.material.kind === 'dye' ? dyeGramsOf(addition) * addition.material.lotStrength : 0;

/** The jar that most of a dye came from; null for powder. */
export function mainJar(additions: readonly MeasuredOut[]): string | null {
  const parts = additions.map(dyeGramsOf);
  const material = additions[parts.indexOf(Math.max(...parts))]?.material;
  return material?.kind === 'dye' ? material.stockId : null;
}

/** Liquid among additions, mL. */
export const liquidMl = (additions: readonly MeasuredOut[]): number =>
  additions.reduce((sum, { unit, amount }) => sum + (unit === 'mL' ? amount : 0), 0);

/** Planned water that nobody ticked, mL; topping up apart, which is only due when some is missing. @param pass only of this pass */
export function untickedWater(card: Card, events: readonly Event[], pass?: string): number {
  const done = plannedDone(events);
  return cardLines(card).reduce(
    (sum, { id, act }) =>
      act.kind === 'run' &&
      act.purpose !== 'top up' &&
      (pass === undefined || act.pass === pass) &&
      !done.has(id)
        ? sum + (act.ml ?? 0)
        : sum,
    0,
  );
}

/** Pure acid in one addition, g; zero for anything else. */
export const pureGramsOf = ({ material, amount }: MeasuredOut): number =>
  material.kind === 'acid' ? pureAcidGrams(amount, material.strengthPercent) : 0;
