import { formulate } from '../../recipe/materials';
import { BENCH_TOOLS, POT, recipe, SHELF } from '../../../test/examples';
import { begunBatch, event, lineOn, strike, tick } from '../../../test/records';
import { depths } from '../../process/depths';
import { lessonWords } from '../../words/alterationWords';
import type { Batch } from '../batch';
import { cardLines } from '../cardLines';
import { dropped } from '../dropped';
import type { Event } from '../event';
import { foldRecord } from '../foldRecord';
import { ledgerOf } from '../jarLedger';
import { METRIC, USUAL_HABITS } from '../../shelf/habits';
import { moreWords } from '../../words/moreWords';
import { moreOfThis } from '../moreOfThis';
import type { NewEvent } from '../newEvent';
import { openLook } from '../openLook';
import { recordState } from '../recordState';
import { lookAct } from '../unplanned';
import { asItStands } from './asItStands';
import { leaveOut, leaveOutPass } from './leaveOut';
import { learn, lessonsOf } from './lessons';
import { longer } from './longer';

const TWO = recipe({
  passes: ['p1', 'p2'].map((id) => ({
    id,
    method: { kind: 'immersion' },
    dyes: [
      {
        id: `${id}d`,
        dyeId: id === 'p1' ? 'blue' : 'red',
        entry: { school: 'depth', percent: 1 },
        stockId: id === 'p1' ? 'blue-1' : 'red-1',
      },
    ],
    water: { basis: 'ratio', value: 30 },
    acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' }],
    heat: { rampCPerMin: 1.5, temperatureC: 85, minutes: 20 },
  })) as never,
});
/** A pot of some skeins of 100 g. */
const potOf = (id: string, count: number): Batch => ({
  ...begunBatch(
    formulate(
      'Curfew',
      { ...TWO, goods: TWO.goods.map((line) => ({ ...line, count })) },
      { ...SHELF, tools: BENCH_TOOLS },
      POT,
    ),
  ),
  id,
});
let counted = 0;
function then(batch: Batch, ...more: (Event | NewEvent)[]): Batch {
  const events = [
    ...batch.events,
    ...more.map((one) => {
      counted += 1;
      return event({
        ...one,
        id: `n${counted}`,
        at: new Date(Date.UTC(2026, 2, 1, 11) + counted * 60_000).toISOString(),
        count: counted,
      });
    }),
  ];
  return asItStands({ ...batch, events }, events);
}

describe('a pot that ran ahead', () => {
  const ahead = (): Batch => {
    let batch = potOf('test', 1);
    // 80 mL of blue where 100 mL were due; the hold 10 min longer; the second pass left out.
    batch = then(batch, tick(batch, 'p1.dye.p1d', { amount: 80 }));
    batch = then(batch, longer(lineOn(batch, 'p1.hold'), 10));
    return then(batch, leaveOutPass(batch, 'p2'));
  };
  const words = (batch: Batch): string[] =>
    lessonsOf(batch).map((lesson) => lessonWords(lesson, { batch, dyes: SHELF.dyes }));

  test('teaches what it did otherwise, in words', () =>
    expect(words(ahead())).toEqual([
      'Hold at 85 °C until the bath clears: 10 min longer',
      'Left out: pass 2',
      'Pour Vault Blue 1 %: 80 mL instead of 100 mL',
    ]));

  test('and the others do the same by the weight of their goods, as far as it is still to come', () => {
    const test1 = ahead();
    let other = potOf('other', 3);
    for (const lesson of lessonsOf(test1)) {
      const event1 = learn(other, test1, lesson, 'As in 26-001');
      if (event1) other = then(other, event1);
    }
    // Eight tenths of 300 mL.
    expect(lineOn(other, 'p1.dye.p1d').act).toMatchObject({ amount: 240 });
    expect(lineOn(other, 'p1.hold').act).toMatchObject({ minutes: 30 });
    expect(other.card.acts.some(({ act }) => act.pass === 'p2')).toBe(false);
    for (const { id } of cardLines(other.card)) other = then(other, tick(other, id));
    // 0.8 % of blue on it, and no red.
    expect(depths(foldRecord(other).now).get('blue')).toBeCloseTo(0.8, 6);
    expect(depths(foldRecord(other).now).get('red')).toBeUndefined();
  });

  test('what was poured here already is no longer to come', () => {
    const test1 = ahead();
    const other = then(potOf('other', 3), tick(potOf('other', 3), 'p1.dye.p1d'));
    const [, , amount] = lessonsOf(test1);
    expect(amount && learn(other, test1, amount, 'x')).toBeNull();
  });

  test('a change that was taken back is no lesson', () => {
    const test1 = ahead();
    const left = test1.events.at(-1);
    expect(words(then(test1, left ? strike(left) : { kind: 'noted', text: 'x' }))).toHaveLength(2);
  });

  test('a step left out of what is done here is no lesson either', () => {
    const one = potOf('test', 1);
    const test1 = then(one, leaveOut(one, 'p1.acid.bath'));
    const other = then(potOf('other', 1), tick(one, 'p1.acid.bath'));
    const [lesson] = lessonsOf(test1);
    expect(lesson && learn(other, test1, lesson, 'x')).toBeNull();
  });
});

describe('a look', () => {
  const look = (of: 'bath' | 'rinse' | 'core' | 'goods' | 'dry', answer: string): Event =>
    event({ kind: 'act', planned: null, act: lookAct('p1', of, answer), written: '', note: '' });
  const held = (): Batch => then(potOf('b1', 2), tick(potOf('b1', 2), 'p1.hold'));

  test.each([
    ['bath', 'tinted', true],
    ['bath', 'colored', true],
    ['bath', 'clear', false],
    ['bath', 'tinted, Vault Blue stays', false],
    ['goods', 'colored', true],
    ['rinse', 'bleeds', true],
    ['rinse', 'bleeds with soap', true],
    ['rinse', 'clear', false],
    ['core', 'pale inside', true],
    ['core', 'colored through', false],
    ['dry', 'tinted', false],
  ] as const)('at the %s that shows “%s” asks for something: %p', (of, answer, asks) =>
    expect(openLook(then(held(), look(of, answer))) !== null).toBe(asks),
  );

  test('is answered by whatever is done or changed after it', () => {
    const seen = then(held(), look('bath', 'tinted'));
    expect(openLook(seen)).toMatchObject({
      of: 'bath',
      answer: 'tinted',
      running: false,
      wait: { id: 'p1.hold' },
    });
    expect(openLook(then(seen, longer(lineOn(seen, 'hold.set'), 5)))).toBeNull();
    expect(openLook(then(seen, { kind: 'noted', text: 'still brown' }))).not.toBeNull();
  });
});

test('more of this is the last dye or acid once more', () => {
  const batch = then(potOf('b1', 2), tick(potOf('b1', 2), 'p1.dye.p1d', { amount: 45 }));
  const more = moreOfThis(batch, 'p1');
  expect(more?.what).toMatchObject({
    amount: 45,
    unit: 'mL',
    material: { dyeId: 'blue', stockId: 'blue-1' },
  });
  const twice = then(batch, more ? more.event : { kind: 'noted', text: 'x' });
  expect(ledgerOf(twice.events)).toEqual([
    expect.objectContaining({ stockId: 'blue-1', ml: 45 }),
    expect.objectContaining({ stockId: 'blue-1', ml: 45 }),
  ]);
  expect(moreOfThis(potOf('b1', 2), 'p1')).toBeNull();
});

test('more of this is said as it went in: as it was typed, by the spoon, or in mL', () => {
  const pot = potOf('b1', 2);
  const words = (written: string, spoons: boolean): string => {
    const done = then(pot, { ...tick(pot, 'p1.dye.p1d', { amount: 44.36 }), written } as Event);
    const more = moreOfThis(done, 'p1');
    const habits = { ...USUAL_HABITS, shown: { ...METRIC, pours: 'spoons' as const } };
    const studio = spoons ? { spoons: 'US' as const, habits, citricGramsPerTeaspoon: 4 } : undefined;
    return more ? moreWords(more, { batch: done, dyes: SHELF.dyes, studio }) : '';
  };
  expect(words('3 tbsp', false)).toBe('3 tbsp of Vault Blue 1 %');
  expect(words('', false)).toBe('44.4 mL of Vault Blue 1 %');
  expect(words('', true)).toBe('3 tbsp of Vault Blue 1 %');
});

test('a batch that is dropped gives back what it took, and is closed', () => {
  let batch = then(potOf('b1', 2), tick(potOf('b1', 2), 'p1.dye.p1d'));
  const taken = ({ events }: Batch): number => ledgerOf(events).reduce((sum, { ml }) => sum + ml, 0);
  expect(taken(batch)).toBe(200);
  batch = then(batch, ...dropped(batch));
  expect(taken(batch)).toBe(0);
  expect(recordState(batch, batch.events, []).closed).toMatchObject({ standing: 'dropped' });
});
