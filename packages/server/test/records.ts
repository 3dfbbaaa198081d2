import {
  cardOf,
  doneAct,
  planFormulation,
  unplannedAct,
  type Act,
  type BegunBatch,
  type CardAct,
  type MeasuredOut,
} from '@ythrion/core';
import { FORMULATION } from './studio';

/** The card that a batch of the test studio's recipe gets. */
export const CARD = cardOf(FORMULATION, planFormulation(FORMULATION));

let counted = 0;
/** An event as a device sends it, from just what a test is about. */
export function eventOf(batch: string, event: Record<string, unknown>): Record<string, unknown> {
  counted += 1;
  return {
    version: 1,
    of: { kind: 'batch', id: batch },
    at: '2026-03-01T10:05:00Z',
    clockAt: '2026-03-01T10:05:00Z',
    device: 'test',
    count: counted,
    person: null,
    ...event,
  };
}

const lineOn = (id: string): CardAct => {
  const line = CARD.acts.find((candidate) => candidate.id === id);
  if (!line) throw new Error(`No “${id}” on the card.`);
  return line;
};
const act = (planned: string | null, done: Act) => ({
  kind: 'act',
  planned,
  act: done,
  written: '',
  note: '',
});

/** A line of the card done. */
export const ticked = (id: string, planned: string, amount?: number) => ({
  id,
  ...act(planned, doneAct(lineOn(planned).act, amount === undefined ? {} : { amount })),
});

/** Blue of the 1 % jar, as the card asks for it. */
export const poured = (id: string, amount = 200) => ticked(id, 'p1.dye.d1', amount);

/** Something that went in unplanned. */
export const added = (id: string, what: MeasuredOut) => ({
  id,
  ...act(null, unplannedAct({ card: CARD } as BegunBatch, 'p1', what)),
});
export const stock = (amount: number, stockId = 'blue-1', strengthPercent = 1): MeasuredOut => ({
  material: { kind: 'dye', dyeId: 'blue', stockId, strengthPercent, lotStrength: 1 },
  amount,
  unit: 'mL',
});
