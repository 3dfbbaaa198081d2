import {
  cardLines,
  cardOf,
  doneAct,
  eventSchema,
  lookAct,
  planFormulation,
  unplannedAct,
  type Batch,
  type CardAct,
  type Event,
  type Formulation,
  type MeasuredOut,
  type Really,
} from '../src';

export const AT = '2026-03-01T10:00:00Z';

/** A batch that has just begun. */
export function begunBatch(formulation: Formulation, events: Event[] = []): Batch {
  return {
    id: 'b1',
    code: '26-001',
    name: formulation.name,
    colorwayId: null,
    colorwayVersion: null,
    againOf: null,
    loadOf: null,
    startedAt: AT,
    formulation,
    card: cardOf(formulation, planFormulation(formulation)),
    events,
  };
}

let counted = 0;
/** An event of batch b1 in full, from just what a test is about. */
export function event(of: Record<string, unknown>): Event {
  counted += 1;
  return eventSchema.parse({
    version: 1,
    id: `e${counted}`,
    of: { kind: 'batch', id: 'b1' },
    at: AT,
    clockAt: AT,
    device: 'test',
    count: counted,
    person: null,
    ...of,
  });
}

/** The line of the card with this id. */
export function lineOn(batch: Batch, id: string): CardAct {
  const line = batch.card.acts.find((candidate) => candidate.id === id);
  if (!line)
    throw new Error(`No “${id}” on the card: ${batch.card.acts.map((candidate) => candidate.id).join(', ')}`);
  return line;
}

/** A line of the card done, with what was really measured. */
export const tick = (
  batch: Batch,
  id: string,
  really: Really = {},
  more: Record<string, unknown> = {},
): Event =>
  event({
    kind: 'act',
    planned: id,
    act: doneAct(lineOn(batch, id).act, really),
    written: '',
    note: '',
    ...more,
  });

/** The clock of a line started. */
export const begin = (batch: Batch, id: string): Event =>
  event({ kind: 'begun', planned: id, act: lineOn(batch, id).act });

/** Something that went in unplanned, into the first pass unless another is named. */
export const also = (batch: Batch, added: MeasuredOut, pass = batch.card.passes[0]?.id ?? null): Event =>
  event({ kind: 'act', planned: null, act: unplannedAct(batch, pass, added), written: '', note: '' });

export const measuredPh = (ph: number): Event =>
  event({ kind: 'act', planned: null, act: lookAct('p1', 'bath', `pH ${ph}`, ph), written: '', note: '' });

export const strike = (target: Event): Event => event({ kind: 'struck', event: target.id, why: '' });

/** Every line of the card ticked as planned. */
export const asPlanned = (batch: Batch): Event[] => cardLines(batch.card).map(({ id }) => tick(batch, id));

/** The batch with these events, as devices that entered them in this order would have counted them. */
export const withEvents = (batch: Batch, events: Event[]): Batch => ({
  ...batch,
  events: events.map((one, i) => ({ ...one, count: i + 1 })),
});
