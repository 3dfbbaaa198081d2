import fc from 'fast-check';
import { comesIn, totals } from '../../../test/conserved';
import {
  BENCH_TOOLS,
  depth,
  formulation,
  goodsLine,
  heatSet,
  POT,
  recipe,
  SHELF,
  SILK,
  SYRINGE_AND_CYLINDER,
  WOOL,
} from '../../../test/examples';
import { AT, begin, begunBatch, event, lineOn, strike, tick } from '../../../test/records';
import { anyRecipe } from '../../../test/wholeRange';
import { FieldError } from '../../figure/fieldError';
import { actSchema } from '../../process/act';
import { apply } from '../../process/apply';
import { depths } from '../../process/depths';
import { emptyState } from '../../process/state';
import { methodFacts } from '../../method';
import { formulate } from '../../recipe/materials';
import { potSchema } from '../../shelf/pot';
import type { Pass, Recipe } from '../../recipe/recipe';
import { lineWords } from '../../words/lineWords';
import { eventWords } from '../../words/eventWords';
import { doneAgain } from '../again/doneAgain';
import type { Batch } from '../batch';
import { cardLines } from '../cardLines';
import type { Event } from '../event';
import { foldRecord } from '../foldRecord';
import type { NewEvent } from '../newEvent';
import { recordState } from '../recordState';
import { lookAct } from '../unplanned';
import { addPass, nextPass } from './addPass';
import { asItStands } from './asItStands';
import { bledCure, curesOf } from './bled';
import { goodsIn } from './goodsIn';
import { leaveOut, leaveOutPass } from './leaveOut';
import { longer, onceMore } from './longer';
import { notClear } from './notClear';
import { doNext, passEarlier } from './order';
import { intoOtherVessel } from './otherVessel';
import { setOtherwise } from './setOtherwise';
import { stepNext } from './step';
import { toCome } from './toCome';

const after = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString();

/** A batch with more events, each a minute after the one before, and its card as it then stands. */
function then(batch: Batch, ...more: (Event | NewEvent)[]): Batch {
  const from = batch.events.length;
  const events = [
    ...batch.events,
    ...more.map((one, i) => event({ ...one, id: `n${from + i}`, at: after(from + i), count: from + i + 1 })),
  ];
  return asItStands({ ...batch, events }, events);
}
/** Lines of the card done one after the other, as planned. */
const ticked = (batch: Batch, ...ids: string[]): Batch =>
  ids.reduce((now, id) => then(now, { ...tick(now, id) }), batch);

const ids = ({ card }: Batch): string[] => cardLines(card).map(({ id }) => id);
const title = (batch: Batch, id: string): string =>
  lineWords(lineOn(batch, id), { batch, dyes: SHELF.dyes }).title;
const said = (batch: Batch): string => {
  const last = batch.events.at(-1);
  return last ? eventWords(last, { batch, dyes: SHELF.dyes }, batch.events) : '';
};
const refusal = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof FieldError) return error.message;
    throw error;
  }
  return 'nothing refused';
};

const PASS = {
  method: { kind: 'immersion' },
  dyes: [{ id: 'd1', dyeId: 'blue', entry: { school: 'depth', percent: 1 }, stockId: 'blue-1' }],
  water: { basis: 'ratio', value: 30 },
  acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' }],
  heat: { rampCPerMin: 1.5, temperatureC: 85, minutes: 20 },
} as const;
const pass = (id: string, changes: object = {}) => ({
  ...PASS,
  id,
  dyes: [{ ...PASS.dyes[0], id: `${id}d` }],
  ...changes,
});
const threePasses = (changes: object = {}): Batch =>
  begunBatch({
    ...formulate(
      'Three',
      recipe({ passes: [pass('p1'), pass('p2'), pass('p3')] as never, ...changes }),
      { ...SHELF, tools: BENCH_TOOLS },
      POT,
    ),
  });

describe('a wait', () => {
  test('is made longer while its clock runs, and is due later; dyed again it is as long', () => {
    const begun = then(threePasses(), { ...begin(threePasses(), 'p1.hold') });
    expect(recordState(begun, begun.events, []).dueAt).toBeNull();
    const waiting = then(
      ticked(
        threePasses(),
        'p1.stand.soak',
        'p1.run.bath',
        'p1.dye.p1d',
        'p1.acid.bath',
        'p1.place.goods',
        'p1.heat',
      ),
      { ...begin(threePasses(), 'p1.hold') },
    );
    // Begun in minute 6, 20 min: due in minute 26, and after 10 more in minute 36.
    expect(recordState(waiting, waiting.events, []).dueAt).toBe(after(26));
    const more = then(waiting, longer(lineOn(waiting, 'p1.hold'), 10));
    expect(recordState(more, more.events, []).dueAt).toBe(after(36));
    expect(said(more)).toBe('Hold at 85 °C until the bath clears: 10 min longer');
    const done = then(more, tick(more, 'p1.hold', { minutes: 41 }));
    const again = doneAgain(foldRecord(done).acts, done.card).repeated.find(({ id }) => id === 'p1.hold');
    expect(again?.line.act).toMatchObject({ minutes: 30 });
  });

  test('comes once more before what is next, and refuses less than nothing', () => {
    const batch = ticked(threePasses(), 'p1.hold');
    const again = then(batch, onceMore(batch, lineOn(batch, 'p1.hold'), 15, 'x1'));
    expect(ids(again).indexOf('x1')).toBe(ids(again).indexOf('p1.hold') + 1);
    expect(lineOn(again, 'x1').act).toMatchObject({ kind: 'hold', atC: 85, minutes: 15 });
    expect(refusal(() => longer(lineOn(batch, 'p1.hold'), -5))).toBe(
      'A wait is made longer by some minutes: 5 min, 10 min. To end it sooner, tap Done.',
    );
    expect(refusal(() => longer(lineOn(batch, 'p1.run.bath'), 5))).toBe('That step has nothing to wait for.');
  });
});

describe('left out', () => {
  test('a step goes, and comes back when that is taken back', () => {
    const batch = threePasses();
    const without = then(batch, leaveOut(batch, 'p2.acid.bath'));
    expect(ids(without)).not.toContain('p2.acid.bath');
    expect(said(without)).toBe('Left out: Add white vinegar to the bath');
    const [change] = without.events;
    const back = then(without, change ? strike(change) : { kind: 'noted', text: 'x' });
    expect(ids(asItStands({ ...batch, events: back.events }, back.events))).toEqual(ids(batch));
  });

  test('a dilution goes with the pour that it was for', () => {
    const pale = begunBatch(
      formulate(
        'Pale',
        recipe({ passes: [pass('p1', { dyes: [depth('d1', 'blue', 0.004, 'blue-1')] })] as never }),
        { ...SHELF, tools: SYRINGE_AND_CYLINDER },
        POT,
      ),
    );
    const dilution = pale.card.acts.filter(({ act }) => act.purpose === 'dilution').map(({ id }) => id);
    expect(dilution.length).toBeGreaterThan(0);
    const pour = pale.card.acts.find(({ act }) => act.kind === 'move' && act.purpose === 'dose');
    const without = then(pale, leaveOut(pale, pour?.id ?? ''));
    for (const id of [...dilution, pour?.id]) expect(ids(without)).not.toContain(id);
  });

  test('acid of the paint goes by itself, the dye of a color with all that is painted with it', () => {
    const painted = threePasses({
      passes: [pass('p1', { method: methodFacts('painting').usual })],
    });
    const left = (id: string): string[] => {
      const change = leaveOut(painted, id);
      return change.kind === 'altered' ? change.change.out.map((line) => line.id) : [];
    };
    expect(left('p1.acid.bath')).toEqual(['p1.acid.bath']);
    expect(left('p1.dye.p1d')).toEqual(expect.arrayContaining(['p1.dye.p1d', 'p1.paint.a']));
  });

  test('what the rest needs is not left out, with the way out said', () => {
    const batch = threePasses();
    expect(refusal(() => leaveOut(batch, 'p1.place.goods'))).toMatch(
      /take no dye\. Leave the whole pass out/,
    );
    expect(refusal(() => leaveOut(batch, 'p1.run.bath'))).toMatch(
      /there is no bath\. Leave the whole pass out/,
    );
    expect(refusal(() => leaveOut(ticked(batch, 'p1.acid.bath'), 'p1.acid.bath'))).toMatch(/Take it back/);
  });

  test('a pass goes whole, but not the bath of a later one, and not the only dye', () => {
    const batch = threePasses();
    const without = then(batch, leaveOutPass(batch, 'p2'));
    expect(without.card.acts.filter(({ act }) => act.pass === 'p2')).toEqual([]);
    expect(said(without)).toBe('Left out: pass 2');
    const kept = threePasses({ passes: [pass('p1'), pass('p2', { water: { basis: 'kept' } })] });
    expect(refusal(() => leaveOutPass(kept, 'p1'))).toBe(
      'Pass 2 goes on in the bath of pass 1. Leave pass 2 out first, or only the dyes of pass 1.',
    );
    // Once the bath is run it can go on without the rest of the pass.
    expect(refusal(() => leaveOutPass(ticked(kept, 'p1.run.bath'), 'p1'))).toBe('nothing refused');
    const one = begunBatch(formulation());
    expect(refusal(() => leaveOutPass(one, 'p1'))).toBe(
      'Nothing would be dyed then. Drop the batch instead.',
    );
  });

  test('what another device did meanwhile stays done', () => {
    const batch = threePasses();
    const out = leaveOutPass(batch, 'p2');
    const both = then(ticked(batch, 'p2.dye.p2d'), out);
    expect(ids(both).filter((id) => id.startsWith('p2.'))).toEqual(['p2.dye.p2d']);
  });

  test('the last pass left out lets the set go on where the goods lie', () => {
    const batch = threePasses({
      passes: [
        pass('p1'),
        pass('p2', {
          method: {
            kind: 'low immersion',
            pan: { shape: 'round', diameterCm: 30 },
            wallCm: 10,
            depthCm: 4,
            turns: 1,
          },
        }),
      ],
    });
    const vessel = lineOn(batch, 'p2.place.goods').act;
    expect(lineOn(batch, 'hold.set').act).toMatchObject({
      vessel: vessel.kind === 'place' ? vessel.vessel : '',
    });
    const without = then(batch, leaveOutPass(batch, 'p2'));
    expect(lineOn(without, 'hold.set').act).toMatchObject({ vessel: 'pot' });
  });
});

describe('order', () => {
  test('a step of the same pass comes next, a later one does not', () => {
    const batch = ticked(threePasses(), 'p1.stand.soak', 'p1.run.bath');
    const next = then(batch, doNext(batch, 'p1.acid.bath'));
    expect(recordState(next, next.events, []).current?.line.id).toBe('p1.acid.bath');
    expect(ids(next)).toHaveLength(ids(batch).length);
    expect(refusal(() => doNext(batch, 'p2.acid.bath'))).toMatch(/pass that is being dyed/);
    expect(refusal(() => doNext(batch, 'rinse'))).toMatch(/pass that is being dyed/);
  });

  test('a pass goes before one that nobody has begun, unless one keeps the bath of another', () => {
    const batch = threePasses();
    const earlier = then(batch, passEarlier(batch, 'p3'));
    const order = [...new Set(earlier.card.acts.flatMap(({ act }) => act.pass ?? []))];
    expect(order).toEqual(['p1', 'p3', 'p2']);
    const begun = ticked(batch, 'p2.dye.p2d');
    expect(refusal(() => passEarlier(begun, 'p3'))).toMatch(/Pass 2 is begun/);
    const kept = threePasses({ passes: [pass('p1'), pass('p2'), pass('p3', { water: { basis: 'kept' } })] });
    expect(refusal(() => passEarlier(kept, 'p3'))).toMatch(/bath of another/);
  });
});

describe('goods that come in', () => {
  const inBath = (): Batch =>
    ticked(threePasses(), 'p1.stand.soak', 'p1.run.bath', 'p1.dye.p1d', 'p1.acid.bath', 'p1.place.goods');
  const more = goodsLine({ id: 'g9', baseId: 'silk', count: 2, gramsEach: 100 });

  test('share the dye from then on, by how much of them took dye for how long', () => {
    // 200 g of wool lie in 2 g of blue for 10 min by themselves, then 20 min with 200 g of silk: 200 × 30 against
    // 200 × 20 gram minutes, so 3/5 of 2 g on the wool is 0.6 %, 2/5 on the silk 0.4 %.
    const batch = then(inBath(), tick(inBath(), 'p1.heat', { minutes: 10 }));
    const joined = then(batch, ...goodsIn(batch, 'p1', { line: more, base: SILK, from: null }));
    const done = then(joined, {
      ...tick(joined, 'p1.hold', { minutes: 20 }),
      at: after(40),
    });
    const { now } = foldRecord(done);
    expect(depths(now, { line: 'g1' }).get('blue')).toBeCloseTo(0.6, 6);
    expect(depths(now, { line: 'g9' }).get('blue')).toBeCloseTo(0.4, 6);
    expect(title(joined, 'place.goods.g9')).toBe('Put 2 × Silk single in with them');
    // Later passes take them along.
    const end = depths(foldRecord(ticked(done, ...ids(done).filter((id) => /^p2/.test(id)))).now, {
      line: 'g9',
    });
    expect(end.get('blue')).toBeCloseTo(0.4 + 0.5, 6);
  });

  test('a spare catches what is left, and counts in no depth', () => {
    const batch = inBath();
    const spare = goodsIn(batch, 'p1', { line: { ...more, catchUp: true }, base: SILK, from: null });
    const { end } = foldRecord(then(batch, ...spare));
    expect(depths(end, { line: 'g9' }).get('blue') ?? 0).toBe(0);
  });

  test('need others to lie beside, a set to come, and are no goods twice', () => {
    const batch = threePasses();
    const coming = { line: more, base: SILK, from: null };
    expect(refusal(() => goodsIn(batch, 'p1', coming))).toMatch(/in no vessel yet.*put these into the plan/);
    const set = ticked(inBath(), 'hold.set');
    expect(refusal(() => goodsIn(set, null, coming))).toMatch(/The set is over.*in this bath instead/);
    const once = then(inBath(), ...goodsIn(inBath(), 'p1', coming));
    expect(refusal(() => goodsIn(once, 'p1', coming))).toMatch(/on the card already/);
  });
});

describe('another vessel', () => {
  const pan = (capacityMl: number) =>
    potSchema.parse({ id: 'pan', name: 'Hotel pan', kind: 'pan', capacityMl });

  test('before water was run the batch only begins elsewhere', () => {
    const batch = threePasses();
    const other = then(batch, intoOtherVessel(batch, 'p1', pan(9000), 'v'));
    expect(lineOn(other, 'bring.vessel.pot').act).toMatchObject({
      thing: { name: 'Hotel pan', role: 'pan' },
    });
    expect(ids(other)).toEqual(ids(batch));
    expect(title(other, 'p1.run.bath')).toBe('Run water into the pan');
  });

  test('bath and goods go over, and what is to come goes on there', () => {
    const batch = ticked(threePasses(), 'p1.run.bath', 'p1.dye.p1d', 'p1.place.goods');
    // 6 L of bath and 200 g of wool at 1.31 g/mL are 6.15 L.
    expect(refusal(() => intoOtherVessel(batch, 'p1', pan(6100), 'v'))).toMatch(
      /Hotel pan holds 6\.1 L; bath and goods come to 6\.\d\d L\. Pour some off/,
    );
    expect(refusal(() => intoOtherVessel(batch, 'p1', pan(9000), 'v', '26-014'))).toMatch(/taken by 26-014/);
    const moved = then(batch, intoOtherVessel(batch, 'p1', pan(9000), 'v'));
    expect(title(moved, 'v.move')).toBe('Tip the bath over into the Hotel pan');
    for (const line of toCome(moved))
      expect(JSON.stringify({ ...line.act, from: null })).not.toContain('"vessel":"pot"');
    const done = ticked(moved, ...ids(moved).slice(4));
    expect(foldRecord(done).leftOut).toEqual([]);
    expect(depths(foldRecord(done).now).get('blue')).toBeCloseTo(3, 6);
  });
});

test('it is set in the oven instead, while that is to come', () => {
  const batch = ticked(threePasses(), 'p3.hold');
  const oven = heatSet({ method: 'oven', temperatureC: 93, minutes: 30, coolMinutes: 90 });
  const now = then(batch, setOtherwise(batch, oven, 'o'));
  expect(ids(now).slice(ids(now).indexOf('p3.hold') + 1)).toEqual([
    'o.heat',
    'o.hold.set',
    'o.cool',
    'rinse',
    'dry',
  ]);
  expect(lineOn(now, 'o.hold.set').act).toMatchObject({ vessel: 'oven', atC: 93, minutes: 30 });
  expect(title(now, 'o.hold.set')).toBe('Hold at 93 °C, low oven');
  expect(said(now)).toBe('Set by low oven');
  expect(foldRecord(ticked(now, 'o.heat', 'o.hold.set', 'o.cool', 'rinse', 'dry')).leftOut).toEqual([]);
  expect(refusal(() => setOtherwise(ticked(now, 'o.hold.set'), oven, 'q'))).toMatch(/set already/);
});

describe('a pass that nobody had planned', () => {
  const glaze: Pass = {
    ...(recipe({ passes: [pass('p9', { dyes: [depth('d9', 'red', 0.4, 'red-1')] })] as never })
      .passes[0] as Pass),
  };

  test('comes before the next one, with its water, acid and pours, and the set stays last', () => {
    const batch = ticked(threePasses(), 'p1.run.bath', 'p1.dye.p1d', 'p1.place.goods');
    expect(nextPass(batch)).toBe('p2');
    const now = then(batch, addPass(batch, { pass: glaze, before: 'p2' }, SHELF));
    expect(now.card.passes.map(({ id }) => id)).toEqual(['p1', 'p9', 'p2', 'p3']);
    expect(now.formulation.recipe.passes.map(({ id }) => id)).toEqual(['p1', 'p9', 'p2', 'p3']);
    // 0.4 % of 200 g is 0.8 g, 80 mL of 1 %.
    expect(lineOn(now, 'p9.dye.d9').act).toMatchObject({ amount: 80, unit: 'mL' });
    const done = ticked(
      now,
      ...toCome(now)
        .filter(({ quiet }) => !quiet)
        .map(({ id }) => id),
    );
    expect(foldRecord(done).leftOut).toEqual([]);
    expect(depths(foldRecord(done).now).get('red')).toBeCloseTo(0.4, 6);
    expect(ids(now).slice(-5)).toEqual(ids(batch).slice(-5));
  });

  test('does not come between a pass and the one in its bath, nor after the set', () => {
    const kept = threePasses({ passes: [pass('p1'), pass('p2', { water: { basis: 'kept' } })] });
    expect(refusal(() => addPass(kept, { pass: glaze, before: 'p2' }, SHELF))).toMatch(/goes on in the bath/);
    const set = ticked(threePasses(), 'hold.set');
    expect(refusal(() => addPass(set, { pass: glaze, before: null }, SHELF))).toMatch(/Dye over them/);
  });
});

describe('what a look asks for', () => {
  const waited = (): Batch =>
    ticked(
      threePasses(),
      'p1.stand.soak',
      'p1.run.bath',
      'p1.dye.p1d',
      'p1.acid.bath',
      'p1.place.goods',
      'p1.heat',
      'p1.hold',
    );

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
function batchOf(any: Recipe): Batch | null {
  try {
    return begunBatch(formulate('x', any, SHELF, POT));
  } catch {
    return null;
  }
}

test('whatever is changed at the pot, nothing is lost and nothing comes from nowhere', () => {
  const changes = fc.array(fc.tuple(fc.nat(8), fc.nat(40), fc.nat(6)), { minLength: 1, maxLength: 6 });
  let applied = 0;
  fc.assert(
    fc.property(anyRecipe, changes, (any, list) => {
      let batch = batchOf(any);
      if (!batch?.card.acts.every(({ act }) => actSchema.safeParse(act).success)) return;
      for (const [i, [what, which, done]] of list.entries()) {
        for (let n = 0; n < done; n += 1) {
          const { current } = recordState(batch, batch.events, []);
          if (current) batch = ticked(batch, current.line.id);
        }
        const lines = toCome(batch).filter(({ quiet }) => !quiet);
        const line = lines[which % Math.max(1, lines.length)];
        const now: Batch = batch;
        if (!line) continue;
        const id = `x${i}`;
        const works: (() => NewEvent[])[] = [
          () => [longer(line, 5)],
          () => [onceMore(now, line, 5, id)],
          () => [leaveOut(now, line.id)],
          () => [leaveOutPass(now, line.act.pass ?? '')],
          () => [doNext(now, line.id)],
          () =>
            goodsIn(now, line.act.pass, {
              line: goodsLine({ id, baseId: 'wool', count: 1, gramsEach: 80, catchUp: which % 2 === 0 }),
              base: WOOL,
              from: null,
            }),
          () => [
            intoOtherVessel(
              now,
              line.act.pass,
              potSchema.parse({ id, name: 'Other', capacityMl: 50_000 }),
              id,
            ),
          ],
          () => [bledCure(now, id)],
          () => [
            stepNext(
              now,
              { kind: 'handle', pass: null, line: null, purpose: null, goods: [], what: 'turn', lies: null },
              id,
            ),
          ],
        ];
        // An event refuses nothing at all, and amounts beyond all that a bench holds.
        if (!actSchema.safeParse(line.act).success) return;
        try {
          batch = then(now, ...(works[what] as () => NewEvent[])());
          applied += 1;
        } catch (error) {
          if (!(error instanceof FieldError)) throw error;
        }
      }
      const { acts } = foldRecord(batch);
      const { water, place } = batch.formulation;
      let state = emptyState(
        { tapC: place.tapC, roomC: place.roomC, alkalinityMgPerL: water.alkalinityMgPerL },
        batch.card.passes.map(({ id }) => id),
      );
      const came: Record<string, number> = { ...totals(state) };
      for (const act of acts) {
        for (const [name, much] of Object.entries(comesIn(act.act, state, water.alkalinityMgPerL)))
          came[name] = (came[name] ?? 0) + much;
        state = apply(state, act).state;
      }
      const there = totals(state);
      for (const name of Object.keys({ ...came, ...there })) {
        const [one, other] = [came[name] ?? 0, there[name] ?? 0];
        expect(Math.abs(one - other)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(one)));
      }
      // Ids stay one of a kind, and what was done is still on the card.
      expect(new Set(batch.card.acts.map(({ id }) => id)).size).toBe(batch.card.acts.length);
    }),
    { numRuns: 150 },
  );
  expect(applied).toBeGreaterThan(150);
});
