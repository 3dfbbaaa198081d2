import { formulation, SHELF } from '../../test/examples';
import { AT, begunBatch, event, lineOn, strike, tick, withEvents } from '../../test/records';
import { doubtWords } from '../words/doubtWords';
import { actualRecipe } from './actualRecipe';
import type { Batch } from './batch';
import { countAll, countOnly, doubtsOf } from './doubts';
import type { Event, EventOf } from './event';
import { foldRecord } from './foldRecord';
import { recordState } from './recordState';

const batch = begunBatch(formulation());
const DYE = 'p1.dye.d1';
const asked = lineOn(batch, DYE).act as { amount: number };
const at = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString();
const on = (device: string, minutes: number, amount = asked.amount): EventOf<'act'> =>
  tick(batch, DYE, { amount }, { device, at: at(minutes) }) as EventOf<'act'>;
const closed = (minutes: number): Event =>
  event({ kind: 'closed', outcome: 'as wanted', standing: 'regular', note: '', at: at(minutes) });
const answer = (doubt: ReturnType<typeof doubtsOf>[number], only?: EventOf<'act'> | null): Event[] =>
  (only === undefined ? countAll(doubt) : countOnly(doubt, only)).map((one) => event(one));
const reading = { batch, dyes: SHELF.dyes };
const gramsOf = (of: Batch): number => actualRecipe(of, SHELF.dyes).dyes[0]?.grams.value ?? 0;
const once = gramsOf(withEvents(batch, [on('a', 1)]));

describe('one line entered by two devices', () => {
  const [mine, theirs] = [on('a', 1), on('b', 2)];
  const both = withEvents(batch, [mine, theirs]);
  const [doubt] = doubtsOf(both);

  test('both are kept and counted, in true recipe and fold, until somebody says', () => {
    expect(once).toBeGreaterThan(0);
    expect(gramsOf(both)).toBeCloseTo(2 * once, 9);
    const puts = foldRecord(both).acts.filter(({ planned }) => planned === DYE);
    expect(new Set(puts.map(({ id }) => id)).size).toBe(2);
    expect(recordState(both, both.events, []).lines.find(({ line }) => line.id === DYE)?.poured).toEqual({
      amount: 2 * asked.amount,
      unit: 'mL',
    });
  });
  test('the question names the line and the two entries, and has two answers', () => {
    const words = doubtWords(doubt!, reading);
    expect(words.title).toMatch(/^Pour .*: entered twice$/);
    expect(words.detail.match(/ at /g)).toHaveLength(2);
    expect(words.answers.map(({ word }) => word)).toEqual(['Count both', 'Count one']);
  });
  test('“count both” closes the question and leaves both in', () => {
    const after = withEvents(batch, [...both.events, ...answer(doubt!)]);
    expect(doubtsOf(after)).toEqual([]);
    expect(gramsOf(after)).toBeCloseTo(2 * once, 9);
  });
  test('“count one” takes the other back', () => {
    const after = withEvents(batch, [...both.events, ...answer(doubt!, mine)]);
    expect(doubtsOf(after)).toEqual([]);
    expect(gramsOf(after)).toBeCloseTo(once, 9);
    expect(after.events).toHaveLength(3);
  });
  test('where the amounts differ, each can be the one', () => {
    const other = on('b', 2, 2 * asked.amount);
    const [differ] = doubtsOf(withEvents(batch, [mine, other]));
    const words = doubtWords(differ!, reading).answers.map(({ word }) => word);
    expect(words).toHaveLength(3);
    expect(words.slice(1).every((word) => word.startsWith('Only '))).toBe(true);
    const after = withEvents(batch, [mine, other, ...answer(differ!, other)]);
    expect(gramsOf(after)).toBeCloseTo(2 * once, 9);
  });
  test('a third that comes later, though it was made first, is asked about again', () => {
    const answered = withEvents(batch, [...both.events, ...answer(doubt!), on('c', 0)]);
    expect(doubtsOf(answered)).toMatchObject([{ why: 'twice', events: [{}, {}, {}] }]);
    expect(doubtWords(doubtsOf(answered)[0]!, reading).title).toMatch(/three times/);
  });
  test('the answer of two devices at once is one answer', () => {
    const after = withEvents(batch, [...both.events, ...answer(doubt!, mine), ...answer(doubt!, mine)]);
    expect(doubtsOf(after)).toEqual([]);
    expect(gramsOf(after)).toBeCloseTo(once, 9);
  });
});

describe('what is one however many say it', () => {
  test('goods lifted, a clock and a wait: no question, and the first counts', () => {
    const wait = batch.card.acts.find(({ act, quiet }) => act.kind === 'hold' && !quiet)!.id;
    const begun = (device: string, minutes: number): Event =>
      event({ kind: 'begun', planned: wait, act: lineOn(batch, wait).act, device, at: at(minutes) });
    const held = (device: string, minutes: number): Event =>
      tick(batch, wait, { minutes: 20 }, { device, at: at(minutes) });
    const single = withEvents(batch, [begun('a', 0), held('a', 20)]);
    const double = withEvents(batch, [begun('a', 0), begun('b', 3), held('a', 20), held('b', 22)]);
    expect(doubtsOf(double)).toEqual([]);
    expect(foldRecord(double).acts).toEqual(foldRecord(single).acts);
    const line = recordState(double, double.events, []).lines.find((one) => one.line.id === wait);
    expect(line).toMatchObject({ begunAt: at(0), doneAt: at(20), status: 'done' });
    expect(line?.done).toHaveLength(2);
  });
  test('taken back by one, it stands as the other said', () => {
    const line = batch.card.acts.find(({ act, quiet }) => act.kind === 'rinse' && !quiet)!.id;
    const [mine, theirs] = [tick(batch, line), tick(batch, line, {}, { device: 'b' })];
    const after = withEvents(batch, [mine, theirs, strike(mine)]);
    expect(recordState(after, after.events, []).lines.find((one) => one.line.id === line)?.status).toBe(
      'done',
    );
  });
});

describe('after the batch was closed', () => {
  test.each([
    ['made later', on('b', 40)],
    ['made before, but arrived later', on('b', 1)],
  ])('an entry %s is counted, and asked about', (_, late) => {
    const after = withEvents(batch, [closed(30), late]);
    const [doubt] = doubtsOf(after);
    expect(doubt).toMatchObject({ why: 'late', events: [{ id: late.id }] });
    expect(gramsOf(after)).toBeCloseTo(once, 9);
    const words = doubtWords(doubt!, reading);
    expect(words.title).toMatch(/came in after the batch was closed/);
    expect(words.answers.map(({ word }) => word)).toEqual(['Count it', 'Leave it out']);
    expect(doubtsOf(withEvents(batch, [...after.events, ...answer(doubt!)]))).toEqual([]);
    const left = withEvents(batch, [...after.events, ...answer(doubt!, null)]);
    expect(doubtsOf(left)).toEqual([]);
    expect(gramsOf(left)).toBe(0);
  });
  test('what was entered before it is no doubt, nor is a verdict that was taken back', () => {
    const verdict = closed(30);
    expect(doubtsOf(withEvents(batch, [on('a', 1), verdict]))).toEqual([]);
    expect(doubtsOf(withEvents(batch, [verdict, strike(verdict), on('a', 40)]))).toEqual([]);
  });
});

test('20 mL of the first pass that come 25 minutes late stay in the first pass, at their own time', () => {
  const water = tick(batch, 'p1.run.bath', {}, { device: 'a', at: at(0) });
  const acid = batch.card.acts.find(({ act }) => act.kind === 'put' && act.material.kind === 'acid')!.id;
  const sour = tick(batch, acid, {}, { device: 'b', at: at(30) });
  const late = on('a', 5);
  const inTime = withEvents(batch, [water, late, sour]);
  const tooLate = withEvents(batch, [water, sour, late]);
  expect(foldRecord(tooLate).acts).toEqual(foldRecord(inTime).acts);
  expect(recordState(tooLate, tooLate.events, []).since).toBe(at(30));
});
