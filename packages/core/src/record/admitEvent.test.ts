import { formulation, SHELF } from '../../test/examples';
import { also, begin, begunBatch, event, measuredPh, strike, tick } from '../../test/records';
import type { MeasuredOut } from '../process/amountOf';
import { admitEvent, checkAmount, checkMaterial } from './admitEvent';
import type { Event } from './event';

const batch = begunBatch(formulation());
const admit = (one: Event, earlier: Event[] = []): void =>
  admitEvent(one, batch.card, (id) => earlier.find((event) => event.id === id));
const poured = tick(batch, 'p1.dye.d1');
const back = strike(poured);
const closed = event({ kind: 'closed', outcome: 'as wanted', standing: 'regular', note: '' });
const ofLine = (planned: string, act: object): Event =>
  event({
    kind: 'act',
    planned,
    act: { pass: 'p1', line: null, purpose: null, ...act },
    written: '',
    note: '',
  });

test.each<[string, Event, Event[], string]>([
  ['an unknown line', ofLine('ghost', { kind: 'dry', goods: [] }), [], 'planned'],
  ['another kind of act', ofLine('p1.dye.d1', { kind: 'dry', goods: [] }), [], 'act.kind'],
  [
    'grams for a volume',
    ofLine('p1.dye.d1', {
      kind: 'put',
      material: { kind: 'dye', dyeId: 'blue', stockId: null, strengthPercent: null, lotStrength: 1 },
      amount: 1,
      unit: 'g',
      into: { vessel: 'pot' },
    }),
    [],
    'act.unit',
  ],
  ['a wait that is none', begin(batch, 'p1.run.bath'), [], 'planned'],
  ['taking back what is not there', event({ kind: 'struck', event: 'ghost', why: '' }), [], 'event'],
  ['taking back a taking-back', strike(back), [poured, back], 'event'],
])('not %s', (_, one, earlier, field) =>
  expect(() => admit(one, earlier)).toThrow(expect.objectContaining({ field })),
);

test.each<[string, Event, Event[]]>([
  ['a line done already, as by another device', tick(batch, 'p1.dye.d1'), [poured]],
  ['a pour after the close', tick(batch, 'p1.dye.d2'), [closed]],
  ['an entry taken back a second time', strike(poured), [poured, back]],
  ['a pour taken back after the close', strike(poured), [poured, closed]],
  ['a struck line poured again', tick(batch, 'p1.dye.d1'), [poured, back]],
  ['a note after the close', event({ kind: 'noted', text: 'Dry now, deeper than the card.' }), [closed]],
  ['a reading after the close', measuredPh(4.2), [closed]],
  ['the verdict taken back', strike(closed), [closed]],
  [
    'a caution acknowledged by two devices',
    event({ kind: 'acknowledged', caution: 'powder' }),
    [event({ kind: 'acknowledged', caution: 'powder' })],
  ],
])('taken whatever else is there: %s', (_, one, earlier) => expect(() => admit(one, earlier)).not.toThrow());

describe('what goes in is held against the shelf', () => {
  const dye = (dyeId: string, stockId: string | null, strengthPercent: number | null, unit: 'mL' | 'g') =>
    ({
      material: { kind: 'dye', dyeId, stockId, strengthPercent, lotStrength: 1 },
      amount: 1,
      unit,
    }) as MeasuredOut;
  test.each<[string, MeasuredOut, string, RegExp]>([
    ['an unknown dye', dye('ghost', null, null, 'g'), 'act.material.dyeId', /no dye/],
    ['stock of no strength', dye('blue', null, null, 'mL'), 'act.material.strengthPercent', /strength/],
    ['a jar that does not exist', dye('blue', 'ghost', 1, 'mL'), 'act.material.stockId', /no jar/],
    [
      'dye from another dye’s jar',
      dye('blue', 'red-1', 1, 'mL'),
      'act.material.stockId',
      /does not hold Vault Blue/,
    ],
    [
      'mL of crystals',
      { material: { kind: 'acid', acid: 'citric', strengthPercent: 100 }, amount: 1, unit: 'mL' },
      'act.unit',
      /in g/,
    ],
    [
      'grams of vinegar',
      { material: { kind: 'acid', acid: 'vinegar', strengthPercent: 5 }, amount: 1, unit: 'g' },
      'act.unit',
      /in mL/,
    ],
  ])('not %s', (_, added, field, said) => {
    const one = also(batch, added);
    const check = (): void => {
      if (one.kind === 'act') checkMaterial(one.act, SHELF);
    };
    expect(check).toThrow(expect.objectContaining({ field, message: expect.stringMatching(said) as string }));
  });
  test('a record of long ago may name a jar that is gone', () => {
    const one = also(batch, dye('blue', 'ghost', 1, 'mL'));
    expect(() => one.kind === 'act' && checkMaterial(one.act, { dyes: SHELF.dyes })).not.toThrow();
  });
});

describe('an amount that cannot be', () => {
  const amount = (added: MeasuredOut, written = ''): (() => void) => {
    const one = also(batch, added);
    return () => {
      if (one.kind === 'act') checkAmount(one.act, written);
    };
  };
  const water = (ml: number): MeasuredOut => ({ material: { kind: 'water' }, amount: ml, unit: 'mL' });
  test('nothing at all is no amount', () => {
    const act = { ...(also(batch, water(1)) as { act: object }).act, ml: 0 } as Parameters<
      typeof checkAmount
    >[0];
    expect(() => checkAmount(act, '0')).toThrow('An amount must be more than zero.');
  });
  test('10 million liters are refused, 200 are not', () => {
    expect(amount(water(1e10))).toThrow(expect.objectContaining({ field: 'act.ml' }));
    expect(amount(water(200_001))).toThrow(/200/);
    expect(amount(water(200_000))).not.toThrow();
  });
  test('a liter of a bath that goes on into another vessel is no material that is measured out', () => {
    const over = { kind: 'move', pass: 'p2', line: null, purpose: null, holds: null } as const;
    const ends = { from: { vessel: 'pot' }, to: { vessel: 'own.pan' }, share: null };
    expect(() => checkAmount({ ...over, ...ends, ml: 1000 }, '')).not.toThrow();
  });
  test('a pour of no amount needs words that say what it was', () => {
    const act = { ...(also(batch, water(1)) as { act: object }).act, ml: null } as Parameters<
      typeof checkAmount
    >[0];
    expect(() => checkAmount(act, '')).toThrow(expect.objectContaining({ field: 'act.ml' }));
    expect(() => checkAmount(act, 'a splash')).not.toThrow();
  });
});
