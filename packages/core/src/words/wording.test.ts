import { BLUE, formulation, SHELF } from '../../test/examples';
import { also, begin, begunBatch, event, tick } from '../../test/records';
import type { MeasuredOut } from '../process/amountOf';
import { additionChoices } from '../record/additionChoices';
import type { Event } from '../record/event';
import { looked } from '../record/newEvent';
import { eventWords, materialName } from './eventWords';

const batch = begunBatch(formulation());
const reading = { batch, dyes: SHELF.dyes };
const stock: MeasuredOut['material'] = {
  kind: 'dye',
  dyeId: 'blue',
  stockId: 'blue-1',
  strengthPercent: 1,
  lotStrength: 1,
};
const added = (material: MeasuredOut['material'], amount: number, unit: 'mL' | 'g', written = ''): Event => ({
  ...also(batch, { material, amount, unit }),
  ...(written !== '' && { written }),
});
const look = (answer: string): Event => event(looked('p1', 'bath', answer));

describe('an event as a sentence', () => {
  test.each<[Event, string]>([
    [begin(batch, 'p1.stand.soak'), 'Wet out the goods in plain water with a drop of wetting agent: begun'],
    [tick(batch, 'rinse'), 'Rinse cool, one drop of dish soap as the bleed test: done'],
    [tick(batch, 'p1.dye.d1'), 'Pour Vault Blue 1 %: 200 mL'],
    [
      tick(batch, 'p1.dye.d1', { amount: 73.934 }, { written: '5 tbsp' }),
      'Pour Vault Blue 1 %: 5 tbsp (73.9 mL)',
    ],
    [added(stock, 5, 'mL', '1 tsp'), 'Also added 1 tsp (5 mL) of Vault Blue 1 %'],
    [
      added({ ...stock, stockId: null, strengthPercent: null } as MeasuredOut['material'], 0.5, 'g'),
      'Also added 0.5 g of Vault Blue powder',
    ],
    [added({ kind: 'water' }, 1500, 'mL'), 'Also added 1.5 L of water'],
    [
      added({ kind: 'acid', acid: 'citric', strengthPercent: 100 }, 6, 'g'),
      'Also added 6 g of citric acid crystals',
    ],
    [event({ kind: 'struck', event: 'y', why: '' }), 'Taken back: an entry'],
    [look('tinted'), 'Check, bath: tinted'],
    [event({ kind: 'noted', text: 'Stirred twice.' }), 'Stirred twice.'],
    [event({ kind: 'acknowledged', caution: 'powder' }), 'Acknowledged: caution about open powder'],
    [event({ kind: 'closed', outcome: 'usable', standing: 'trial', note: '' }), 'Closed: usable, trial'],
    [
      event({ kind: 'closed', outcome: 'usable', standing: 'trial', note: 'Warm.' }),
      'Closed: usable, trial. Warm.',
    ],
  ])('%#', (one, said) => expect(eventWords(one, reading)).toBe(said));

  test('an event of a line that is on no card any more still says what it was', () => {
    const strange = { ...tick(batch, 'p1.dye.d1'), planned: 'long-gone' } as Event;
    expect(eventWords(strange, reading)).toBe('Pour Vault Blue 1 %: 200 mL');
  });
  test('a dye nobody knows any more is not an error', () => {
    expect(
      materialName({ ...stock, dyeId: 'gone', strengthPercent: 2 } as MeasuredOut['material'], SHELF.dyes),
    ).toBe('a dye no longer on the shelf 2 %');
  });
});

describe('what could be added unplanned', () => {
  const choices = additionChoices(SHELF, formulation());
  test('the jars of this recipe come first, then other jars, water, acids and powders', () => {
    expect(choices.map((choice) => choice.label)).toEqual([
      'Vault Blue 1 %',
      'Bell Red 1 %',
      'Vault Blue 4 %',
      'water',
      'white vinegar',
      'citric acid crystals',
      'citric acid solution',
      'citric acid monohydrate crystals',
      'formic acid, diluted',
      'Vault Blue powder',
      'Bell Red powder',
      'Strong Red powder',
    ]);
  });
  test('stock and vinegar are poured, powder and crystals weighed', () => {
    for (const { label, unit } of choices)
      expect([label, unit]).toEqual([label, /powder|crystals/.test(label) ? 'g' : 'mL']);
  });
  test('every choice is an entry the record takes', () => {
    for (const { material, unit } of choices)
      expect(also(batch, { material, amount: 1, unit })).toBeDefined();
  });
  test('what is retired is not offered', () => {
    const retired = {
      ...SHELF,
      dyes: SHELF.dyes.map((dye) => ({ ...dye, retired: dye.id === BLUE.id })),
      stocks: [],
    };
    expect(
      additionChoices(retired, formulation()).some((choice) => choice.label.startsWith('Vault Blue')),
    ).toBe(false);
  });
});
