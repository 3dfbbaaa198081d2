import type { Act } from '../process/act';
import { actCautions, dyeCautions, putCautions } from './actCautions';

const common = { pass: 'p1', line: null, purpose: null } as const;
const put = (material: object, unit: 'mL' | 'g', into: object = { vessel: 'pot' }): Act =>
  ({ kind: 'put', ...common, material, amount: 1, unit, into }) as Act;
const dye = { kind: 'dye', dyeId: 'blue', stockId: null, strengthPercent: null, lotStrength: 1 };

test.each<[string, Act, string[]]>([
  ['powder dissolved for a pot', put(dye, 'g'), ['powder', 'scald']],
  ['powder dry onto the goods', put(dye, 'g', { place: { piece: 'g1' } }), ['powder']],
  ['stock', put({ ...dye, strengthPercent: 1 }, 'mL'), []],
  ['vinegar', put({ kind: 'acid', acid: 'vinegar', strengthPercent: 5 }, 'mL'), ['acid']],
  ['ice', put({ kind: 'ice' }, 'g'), []],
  // Water from 60 °C scalds (common practice, no source).
  ['heated to 60 °C', { kind: 'heat', ...common, vessel: 'pot', toC: 60 } as Act, ['scald', 'unattended']],
  ['warmed to 40 °C', { kind: 'heat', ...common, vessel: 'pot', toC: 40 } as Act, []],
  [
    'heated, nobody says how far',
    { kind: 'heat', ...common, vessel: 'pot', toC: null } as Act,
    ['scald', 'unattended'],
  ],
  ['held at 88 °C', { kind: 'hold', ...common, vessel: 'pot', atC: 88 } as Act, ['scald', 'unattended']],
  ['held at room temperature', { kind: 'hold', ...common, vessel: 'pot', atC: 20 } as Act, []],
  ['poured away', { kind: 'move', ...common, from: { vessel: 'pot' }, to: null } as Act, ['disposal']],
  [
    'poured into a pan',
    { kind: 'move', ...common, from: { vessel: 'pot' }, to: { vessel: 'pan' } } as Act,
    [],
  ],
  ['turned', { kind: 'handle', ...common, what: 'turn' } as Act, []],
])('%s', (_, act, cautions) => expect(actCautions(act)).toEqual(cautions));

test('stock is no powder, however it goes on', () => {
  expect([dyeCautions('mL', true), dyeCautions('mL', false)]).toEqual([[], []]);
});

test('what is put in beside the card is minded like what is on it', () => {
  expect(putCautions({ kind: 'dye' }, 'g', false)).toEqual(['powder', 'scald']);
  expect(putCautions({ kind: 'dye' }, 'mL', false)).toEqual([]);
  expect(putCautions({ kind: 'acid' }, 'g', false)).toEqual(['acid']);
  expect(putCautions({ kind: 'ice' }, 'g', false)).toEqual([]);
});
