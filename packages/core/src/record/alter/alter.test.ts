import {
  depth,
  formulation,
  goodsLine,
  heatSet,
  POT,
  recipe,
  SHELF,
  SILK,
  SYRINGE_AND_CYLINDER,
} from '../../../test/examples';
import { begin, begunBatch, lineOn, strike, tick } from '../../../test/records';
import { depths } from '../../process/depths';
import { methodFacts } from '../../method';
import { formulate } from '../../recipe/materials';
import { potSchema } from '../../shelf/pot';
import type { Pass } from '../../recipe/recipe';
import { doneAgain } from '../again/doneAgain';
import type { Batch } from '../batch';
import { foldRecord } from '../foldRecord';
import { recordState } from '../recordState';
import { addPass, nextPass } from './addPass';
import { asItStands } from './asItStands';
import { goodsIn } from './goodsIn';
import { leaveOut, leaveOutPass } from './leaveOut';
import { longer, onceMore } from './longer';
import { doNext, passEarlier } from './order';
import { intoOtherVessel } from './otherVessel';
import { setOtherwise } from './setOtherwise';
import { toCome } from './toCome';
import { UNTIL_HELD, after, ids, pass, said, then, threePasses, ticked, title } from '../../../test/atThePot';
import { refusal } from '../../../test/refusal';

describe('a wait', () => {
  test('is made longer while its clock runs, and is due later; dyed again it is as long', () => {
    const begun = then(threePasses(), { ...begin(threePasses(), 'p1.hold') });
    expect(recordState(begun, begun.events, []).dueAt).toBeNull();
    const waiting = then(ticked(threePasses(), ...UNTIL_HELD), { ...begin(threePasses(), 'p1.hold') });
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

test('what goes on in an oven is set there', () => {
  const batch = ticked(threePasses(), 'p3.hold');
  const oven = potSchema.parse({ id: 'o', name: 'Old oven', kind: 'oven', capacityMl: 30_000 });
  const now = then(batch, intoOtherVessel(batch, 'p3', oven, 'o'));
  expect(said(now)).toBe('Set by low oven');
  // An oven heats what stands in it to the studio's usual 93 °C for 45 min, common practice, no source.
  expect(lineOn(now, 'o.hold.set').act).toMatchObject({ kind: 'hold', atC: 93 });
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
