import { BENCH_TOOLS, POT, recipe, SHELF } from './examples';
import { AT, begunBatch, event, lineOn, tick } from './records';
import { formulate } from '../src/recipe/materials';
import { lineWords } from '../src/words/lineWords';
import { eventWords } from '../src/words/eventWords';
import type { Batch } from '../src/record/batch';
import { cardLines } from '../src/record/cardLines';
import type { Event } from '../src/record/event';
import type { NewEvent } from '../src/record/newEvent';
import { asItStands } from '../src/record/alter/asItStands';

export const after = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString();

/** A batch with more events, each a minute after the one before, and its card as it then stands. */
export function then(batch: Batch, ...more: (Event | NewEvent)[]): Batch {
  const from = batch.events.length;
  const events = [
    ...batch.events,
    ...more.map((one, i) => event({ ...one, id: `n${from + i}`, at: after(from + i), count: from + i + 1 })),
  ];
  return asItStands({ ...batch, events }, events);
}
/** Lines of the card done one after the other, as planned. */
export const ticked = (batch: Batch, ...ids: string[]): Batch =>
  ids.reduce((now, id) => then(now, { ...tick(now, id) }), batch);

export const ids = ({ card }: Batch): string[] => cardLines(card).map(({ id }) => id);
export const title = (batch: Batch, id: string): string =>
  lineWords(lineOn(batch, id), { batch, dyes: SHELF.dyes }).title;
export const said = (batch: Batch): string => {
  const last = batch.events.at(-1);
  return last ? eventWords(last, { batch, dyes: SHELF.dyes }, batch.events) : '';
};
const PASS = {
  method: { kind: 'immersion' },
  dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'blue-1' }],
  water: { basis: 'ratio', value: 30 },
  acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' }],
  heat: { rampCPerMin: 1.5, temperatureC: 85, minutes: 20 },
} as const;
export const pass = (id: string, changes: object = {}) => ({
  ...PASS,
  id,
  dyes: [{ ...PASS.dyes[0], id: `${id}d` }],
  ...changes,
});
export const threePasses = (changes: object = {}): Batch =>
  begunBatch({
    ...formulate(
      'Three',
      recipe({ passes: [pass('p1'), pass('p2'), pass('p3')] as never, ...changes }),
      { ...SHELF, tools: BENCH_TOOLS },
      POT,
    ),
  });

/** Lines of the first pass up to its wait, in order. */
export const UNTIL_HELD = [
  'p1.stand.soak',
  'p1.run.bath',
  'p1.dye.p1d',
  'p1.acid.bath',
  'p1.place.goods',
  'p1.heat',
] as const;
