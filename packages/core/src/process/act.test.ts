import { actSchema, type Act } from './act';
import { amountOf, minutesOf } from './amountOf';
import { doneAct } from './doneAct';

const common = { pass: 'p1', line: null, purpose: null };
const dye = { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 };
const put = { kind: 'put', ...common, material: dye, amount: 200, unit: 'mL', into: { vessel: 'pot' } };
const half = { piece: null, axis: 'around', from: 0, to: 0.5 };
const read = (act: object): Act => actSchema.parse(act);

test.each<[string, object]>([
  ['a jar poured into the pot', put],
  [
    'powder straight onto a place',
    { ...put, unit: 'g', material: { ...dye, stockId: null, strengthPercent: null }, into: { place: half } },
  ],
  ['an amount nobody measured', { ...put, amount: null }],
  [
    'half the liquid to a pan',
    {
      kind: 'move',
      ...common,
      from: { vessel: 'pot' },
      to: { vessel: 'pan' },
      ml: null,
      share: 0.5,
      holds: null,
    },
  ],
  [
    'a bath poured away',
    { kind: 'move', ...common, from: { vessel: 'pot' }, to: null, ml: null, share: 1, holds: null },
  ],
  [
    'layer draining to layer',
    {
      kind: 'move',
      ...common,
      from: { place: { ...half, axis: 'layer' } },
      to: { place: { piece: null, axis: 'layer', from: 0.5, to: 1 } },
      ml: null,
      share: 0.2,
      holds: null,
    },
  ],
  [
    'goods on a rack',
    { kind: 'place', ...common, goods: ['g1'], vessel: 'steamer', reach: 'none', lies: null, wet: true },
  ],
  [
    'the end of the goods in a bath',
    {
      kind: 'place',
      ...common,
      goods: [],
      vessel: 'pot',
      reach: { axis: 'along', from: 0, to: 0.2 },
      lies: { kind: 'twisted', count: 3 },
      wet: true,
    },
  ],
  [
    'a hold that left a quarter',
    {
      kind: 'hold',
      ...common,
      vessel: 'pot',
      atC: 82,
      minutes: 40,
      untilClear: true,
      leaves: 0.25,
      onHeat: true,
    },
  ],
  [
    'a look with a reading',
    {
      kind: 'look',
      ...common,
      of: 'bath',
      vessel: 'pot',
      answer: 'tinted',
      reading: { ph: 4.6, celsius: 81, levelMl: null },
    },
  ],
])('%s is an act, and comes back as it went in', (_, act) => {
  expect(JSON.parse(JSON.stringify(read(act)))).toEqual(act);
});

test.each<[string, object, RegExp]>([
  ['nothing', { ...put, amount: 0 }, /more than zero/],
  ['less than nothing', { ...put, amount: -1 }, /more than zero/],
  ['more than any record holds', { ...put, amount: 1.0001e10 }, /cannot be that large/],
  ['a strength over 100 %', { ...put, material: { ...dye, strengthPercent: 100.5 } }, /cannot be over 100 %/],
  [
    'a place that ends before it begins',
    { ...put, into: { place: { ...half, from: 0.6 } } },
    /must end after it begins|Invalid input/,
  ],
  [
    'a move of neither volume nor share',
    { kind: 'move', ...common, from: { vessel: 'pot' }, to: null, ml: null, share: null, holds: null },
    /one of them/,
  ],
  [
    'a move of both',
    { kind: 'move', ...common, from: { vessel: 'pot' }, to: null, ml: 5, share: 1, holds: null },
    /one of them/,
  ],
  [
    'a share over all there is',
    { kind: 'move', ...common, from: { vessel: 'pot' }, to: null, ml: null, share: 1.2, holds: null },
    /cannot be over 1/,
  ],
  ['an act nobody knows', { kind: 'bless', ...common }, /must name its kind/],
  ['a purpose nobody knows', { ...put, purpose: 'luck' }, /no purpose/],
  ['a field nobody knows', { ...put, mood: 'good' }, /Unrecognized key/],
])('%s is no act', (_, act, said) => {
  expect(() => read(act)).toThrow(said);
});

test('only what is measured has an amount: liquid of a working dilution by what it holds, a cup emptied by none', () => {
  expect(amountOf(read(put))).toEqual({ material: dye, amount: 200, unit: 'mL' });
  expect(amountOf(read({ kind: 'run', ...common, vessel: 'pot', ml: 3000, celsius: 20 }))).toEqual({
    material: { kind: 'water' },
    amount: 3000,
    unit: 'mL',
  });
  const move = {
    kind: 'move',
    ...common,
    from: { vessel: 'dilution.p1.d1' },
    to: { vessel: 'pot' },
    share: null,
  };
  expect(amountOf(read({ ...move, ml: 12, holds: { ...dye, strengthPercent: 0.1 } }))).toMatchObject({
    amount: 12,
  });
  expect(amountOf(read({ ...move, ml: 12, holds: null }))).toBeNull();
  expect(amountOf(read({ ...put, amount: null }))).toBeNull();
  expect(amountOf(read({ kind: 'dry', ...common, goods: [] }))).toBeNull();
});

describe('a planned act done', () => {
  const hold = read({
    kind: 'hold',
    ...common,
    vessel: 'pot',
    atC: 85,
    minutes: 25,
    untilClear: true,
    leaves: 0,
    onHeat: true,
  });
  test('takes what was really measured, and as planned where nothing else was said', () => {
    expect(doneAct(read(put), { amount: 213 })).toMatchObject({ amount: 213 });
    expect(doneAct(read(put))).toEqual(read(put));
    expect(
      doneAct(read({ kind: 'run', ...common, vessel: 'pot', ml: 3000, celsius: 20 }), { amount: 2800 }),
    ).toMatchObject({ ml: 2800 });
  });
  test('takes the time that passed; nobody having begun the clock, none is claimed', () => {
    expect(minutesOf(doneAct(hold, { minutes: 1 }))).toBe(1);
    expect(minutesOf(doneAct(hold))).toBeNull();
  });
  test('says nothing of what it left in the liquid unless somebody looked', () => {
    expect(doneAct(hold, { minutes: 25 })).toMatchObject({ leaves: null });
  });
  test('a cup emptied stays all of it, whatever amount is named', () => {
    const all = read({
      kind: 'move',
      ...common,
      from: { vessel: 'cup.p1.a' },
      to: { place: half },
      ml: null,
      share: 1,
      holds: null,
    });
    expect(doneAct(all, { amount: 5 })).toEqual(all);
  });
});
