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

/** The largest and smallest that an act may say, and a step beyond. */
test('water that nobody measured has no amount', () => {
  const water = (ml: number | null): Act => read({ kind: 'run', ...common, vessel: 'pot', ml, celsius: 20 });
  expect(amountOf(water(null))).toBeNull();
  expect(amountOf(water(500))).toMatchObject({ amount: 500, unit: 'mL' });
});

describe('limits of a record', () => {
  const place = (more: object) => ({
    ...{ kind: 'place', ...common, goods: [], vessel: 'pot', reach: null, lies: null, wet: true },
    ...more,
  });
  const bring = (thing: object) => ({ kind: 'bring', ...common, thing });
  const goods = (more: object) =>
    bring({
      ...{ kind: 'goods', name: 'Wool', baseId: 'wool', form: 'skein', count: 1, grams: 100 },
      ...{ dyeableShare: 1, catchUp: false, from: null, ...more },
    });
  const liquid = (more: object) =>
    bring({
      ...{ kind: 'liquid', vessel: 'pot', ml: 1000, celsius: 20, acids: [], dyes: [] },
      ...{ from: { batch: 'b1', event: 'e1' }, ...more },
    });
  const look = (more: object) => ({
    ...{ kind: 'look', ...common, of: 'bath', vessel: null, answer: 'clear', reading: null },
    ...more,
  });
  const reading = (ph: number, celsius: number) => look({ reading: { ph, celsius, levelMl: null } });
  const acids = (count: number) => Array.from({ length: count }, () => ({ acid: 'acetic', pureGrams: 1 }));
  const dyes = (count: number) =>
    Array.from({ length: count }, () => ({ dyeId: 'blue', standardGrams: 1, act: 'a' }));
  test.each<[string, object, object]>([
    [
      'twists',
      place({ lies: { kind: 'twisted', count: 1000 } }),
      place({ lies: { kind: 'twisted', count: 1001 } }),
    ],
    ['lines of goods', place({ goods: Array(24).fill('g1') }), place({ goods: Array(25).fill('g1') })],
    ['pieces', goods({ count: 1e6 }), goods({ count: 1e6 + 1 })],
    ['grams', goods({ grams: 1e10 }), goods({ grams: 1.01e10 })],
    ['a form', goods({ form: 'x'.repeat(40) }), goods({ form: 'x'.repeat(41) })],
    ['acids', liquid({ acids: acids(12) }), liquid({ acids: acids(13) })],
    [
      'name of an acid',
      liquid({ acids: [{ acid: 'x'.repeat(40), pureGrams: 1 }] }),
      liquid({ acids: [{ acid: 'x'.repeat(41), pureGrams: 1 }] }),
    ],
    ['dyes', liquid({ dyes: dyes(200) }), liquid({ dyes: dyes(201) })],
    ['an answer', look({ answer: 'x'.repeat(200) }), look({ answer: 'x'.repeat(201) })],
    ['pH', reading(14, 20), reading(14.1, 20)],
    ['heat', reading(7, 300), reading(7, 301)],
    ['cold', reading(7, -50), reading(7, -51)],
    [
      'strength',
      { ...put, material: { ...dye, strengthPercent: 100 } },
      { ...put, material: { ...dye, strengthPercent: 101 } },
    ],
    [
      'lot strength',
      { ...put, material: { ...dye, lotStrength: 5 } },
      { ...put, material: { ...dye, lotStrength: 5.1 } },
    ],
  ])('%s', (_, most, beyond) => {
    expect(actSchema.safeParse(most).error?.issues).toBeUndefined();
    expect(actSchema.safeParse(beyond).success).toBe(false);
  });
  test('a name of a vessel', () => {
    const vessel = (name: string) =>
      bring({ kind: 'vessel', vessel: 'pot', role: 'pot', name, shelfId: null, capacityMl: null });
    expect(actSchema.safeParse(vessel('x'.repeat(80))).success).toBe(true);
    expect(actSchema.safeParse(vessel('x'.repeat(81))).success).toBe(false);
  });
});
