import { begin, event, lineOn } from '../../../test/records';
import { doneAgain } from '../again/doneAgain';
import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { recordState } from '../recordState';
import { lookAct } from '../unplanned';
import { bledCure, curesOf } from './bled';
import { notClear, paleInside } from './notClear';
import { UNTIL_HELD, ids, said, then, threePasses, ticked, title } from '../../../test/atThePot';

describe('what a look asks for', () => {
  const waited = (): Batch => ticked(threePasses(), ...UNTIL_HELD, 'p1.hold');

  test('a bath that does not clear gets time, then heat, then acid, then a spare, then peace', () => {
    let batch = waited();
    const tried: string[] = [];
    for (let i = 0; i < 3; i += 1) {
      const { cures, next } = notClear(batch, lineOn(batch, 'p1.hold'));
      expect(cures.map(({ what }) => what)).toEqual(
        ['time', 'heat', 'acid', 'spare', 'accept'].filter((what) =>
          cures.some((cure) => cure.what === what),
        ),
      );
      tried.push(next);
      const cure = cures.find(({ what }) => what === next);
      if (cure && 'events' in cure) batch = then(batch, ...cure.events(null, `x${i}`));
    }
    expect(tried).toEqual(['time', 'heat', 'acid']);
    expect(notClear(batch, lineOn(batch, 'p1.hold')).next).toBe('spare');
    expect(lineOn(batch, 'x1.heat').act).toMatchObject({ toC: 90 });
    expect(ids(batch)).toEqual(expect.arrayContaining(['x0.again', 'x1.again', 'x2.acid', 'x2.again']));
  });

  test('goods that are pale inside are turned, then get time; neither heat nor time of the bath was tried by that', () => {
    const batch = waited();
    const turned = then(batch, ...paleInside(batch, lineOn(batch, 'p1.hold'), null, 'x'));
    const after = ids(turned).indexOf('p1.hold');
    expect(ids(turned).slice(after + 1, after + 3)).toEqual(['x.turn', 'x.again']);
    expect(said(turned)).toBe(
      'The middle was pale. Put in: Turn the goods; Hold at 85 °C until the bath clears',
    );
    expect(notClear(turned, lineOn(turned, 'p1.hold')).next).toBe('time');
  });

  test('heat while a wait runs ends it as long as it was, and another follows', () => {
    const before = ticked(threePasses(), 'p1.run.bath', 'p1.dye.p1d', 'p1.place.goods', 'p1.heat');
    const batch = then(before, begin(before, 'p1.hold'));
    const heat = notClear(batch, lineOn(batch, 'p1.hold')).cures.find(({ what }) => what === 'heat');
    const now = then(batch, ...(heat && 'events' in heat ? heat.events(12, 'h') : []));
    expect(
      recordState(now, now.events, []).lines.find(({ line }) => line.id === 'p1.hold')?.done[0]?.act,
    ).toMatchObject({ minutes: 12 });
    expect(ids(now).slice(ids(now).indexOf('p1.hold'), ids(now).indexOf('p1.hold') + 3)).toEqual([
      'p1.hold',
      'h.heat',
      'h.again',
    ]);
    expect(lineOn(now, 'h.again').act).toMatchObject({ atC: 90, minutes: 10 });
  });

  test('the acid is what the charge balance asks for, solved in another way', () => {
    const batch = waited();
    // Acetic acid: pKa 4.756 (CRC Handbook). 1 g/L in 6 L; half a pH sourer than the 4.6 that was measured. Bisection over the
    // total acid of the sum of charges, with the base fixed by the pH before.
    const measured = then(
      batch,
      event({
        kind: 'act',
        planned: null,
        act: {
          kind: 'look',
          pass: 'p1',
          line: null,
          purpose: null,
          of: 'bath',
          vessel: null,
          answer: 'pH 4.6',
          reading: { ph: 4.6, celsius: null, levelMl: null },
        },
        written: '',
        note: '',
      }),
    );
    const due = notClear(measured, lineOn(measured, 'p1.hold')).cures.find(({ what }) => what === 'acid');
    if (due?.what !== 'acid') throw new Error('no acid due');
    const KA = 10 ** -4.756;
    const LITERS = 6.0;
    const ionized = (pH: number): number => KA / (KA + 10 ** -pH);
    const free = (pH: number): number => 10 ** -pH - 10 ** (pH - 14);
    const before = 1 / 60.052;
    const base = before * ionized(4.6) - free(4.6);
    let [low, high] = [0, 10];
    for (let i = 0; i < 200; i += 1) {
      const middle = (low + high) / 2;
      if (middle * ionized(4.1) - free(4.1) < base) low = middle;
      else high = middle;
    }
    const grams = (low - before) * LITERS * 60.052;
    expect(due.measured).toBe(true);
    // Never more than went in already: 6 g of acetic acid, 120 mL of 5 % vinegar.
    expect(grams / 0.05).toBeGreaterThan(120);
    expect(due.add.value).toBeCloseTo(120, 6);
    // From pH 4.3 half a step is 3.8; at 4.9 it is 4.4, which asks for less than went in.
    const milder = then(
      batch,
      ...measured.events
        .slice(-1)
        .map((one) => ({ ...one, act: lookAct('p1', 'bath', 'pH 4.9', 4.9) }) as never),
    );
    const less = notClear(milder, lineOn(milder, 'p1.hold')).cures.find(({ what }) => what === 'acid');
    if (less?.what !== 'acid') throw new Error('no acid due');
    const from = before * ionized(4.9) - free(4.9);
    [low, high] = [0, 10];
    for (let i = 0; i < 200; i += 1) {
      const middle = (low + high) / 2;
      if (middle * ionized(4.4) - free(4.4) < from) low = middle;
      else high = middle;
    }
    const milliliters = ((low - before) * LITERS * 60.052) / 0.05;
    expect(Math.min(120, milliliters)).toBeLessThanOrEqual(120);
    expect(less.add.value / Math.min(120, milliliters)).toBeGreaterThan(0.9);
    expect(less.add.value / Math.min(120, milliliters)).toBeLessThan(1.1);
  });

  test('goods that bleed get an acid soak, the set and a rinse once more, and dyed again they do not', () => {
    const batch = ticked(waited(), 'hold.set', 'cool', 'rinse');
    const now = then(batch, bledCure(batch, 'c'));
    expect(ids(now).slice(ids(now).indexOf('rinse'))).toEqual([
      'rinse',
      'c.water',
      'c.acid',
      'c.place',
      'c.stand',
      'c.heat',
      'c.hold.set',
      'c.cool',
      'c.rinse',
      'dry',
    ]);
    // 10 mL per gram of 200 g are 2 L; 0.77 g/L of acetic acid in it are 1.54 g, 30.8 mL of 5 % vinegar.
    expect(lineOn(now, 'c.water').act).toMatchObject({ ml: 2000 });
    expect(lineOn(now, 'c.acid').act).toMatchObject({ amount: expect.closeTo(30.8, 6), unit: 'mL' });
    // 15 to 20 min: common practice, no source.
    expect(lineOn(now, 'c.stand').act).toMatchObject({ minutes: 20 });
    expect(title(now, 'c.water')).toBe('Run water for an acid soak');
    expect(title(now, 'c.stand')).toBe('Leave the goods in the acid soak');
    const done = ticked(now, ...ids(now).slice(ids(now).indexOf('c.water')));
    expect(foldRecord(done).leftOut).toEqual([]);
    const { repeated, left } = doneAgain(foldRecord(done).toTheEnd, done.card, curesOf(done.events));
    expect(repeated.some(({ id }) => id.startsWith('c.'))).toBe(false);
    expect(left.filter(({ why }) => why === 'cure').map(({ id }) => id)).toContain('c.acid');
  });
});

/** A batch of a recipe; null where it cannot be planned at all. */
