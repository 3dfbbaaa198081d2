import { BLUE, formulation, SHELF } from '../../test/examples';
import { planFormulation } from '../recipe/plan';
import { additionChoices, addedName } from './additionChoices';
import { entrySchema, type Entry } from './entry';
import { entryWords } from './entryWords';

const AT = '2026-03-01T10:00:00Z';
const plan = planFormulation(formulation());
const words = (entry: Record<string, unknown>): string =>
  entryWords(entrySchema.parse({ id: 'x', at: AT, ...entry }) as Entry, plan, SHELF.dyes);
const stock = { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1 };

describe('an entry as a sentence', () => {
  test.each<[Record<string, unknown>, string]>([
    [
      { kind: 'begun', stepId: 'wet' },
      'Wet out the goods in plain water with a drop of wetting agent: begun',
    ],
    [{ kind: 'done', stepId: 'rinse' }, 'Rinse cool, one drop of dish soap as the bleed test: done'],
    [{ kind: 'poured', stepId: 'dye-d1', amount: 200, unit: 'mL' }, 'Pour Vault Blue 1 %: 200 mL'],
    [
      { kind: 'poured', stepId: 'dye-d1', amount: 73.934, unit: 'mL', asWritten: '5 tbsp' },
      'Pour Vault Blue 1 %: 73.9 mL (“5 tbsp”)',
    ],
    [
      { kind: 'added', material: stock, amount: 5, unit: 'mL', asWritten: '1 tsp' },
      'Also added 5 mL (“1 tsp”) of Vault Blue 1 %',
    ],
    [
      { kind: 'added', material: { ...stock, stockId: null, strengthPercent: null }, amount: 0.5, unit: 'g' },
      'Also added 0.5 g of Vault Blue powder',
    ],
    [{ kind: 'added', material: { kind: 'water' }, amount: 1500, unit: 'mL' }, 'Also added 1.5 L of water'],
    [
      {
        kind: 'added',
        material: { kind: 'acid', material: 'citric', strengthPercent: 100 },
        amount: 6,
        unit: 'g',
      },
      'Also added 6 g of citric acid crystals',
    ],
    [{ kind: 'struck', entryId: 'y' }, 'Took an entry back'],
    [{ kind: 'checked', of: 'bath', reading: 'tinted' }, 'Check, bath: tinted'],
    [{ kind: 'noted', text: 'Stirred twice.' }, 'Stirred twice.'],
    [{ kind: 'closed', outcome: 'usable', standing: 'trial' }, 'Closed: usable, trial'],
    [{ kind: 'closed', outcome: 'usable', standing: 'trial', note: 'Warm.' }, 'Closed: usable, trial. Warm.'],
  ])('%j', (entry, said) => expect(words(entry)).toBe(said));

  test('a step that a later version no longer plans is still named', () => {
    expect(words({ kind: 'done', stepId: 'long-gone' })).toBe('long-gone: done');
  });
  test('a dye nobody knows any more is not an error', () => {
    expect(addedName({ kind: 'dye', dyeId: 'gone', stockId: null, strengthPercent: 2 }, SHELF.dyes)).toBe(
      'a dye 2 %',
    );
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
      expect(
        entrySchema.safeParse({ id: 'x', at: AT, kind: 'added', material, amount: 1, unit }).success,
      ).toBe(true);
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
  test('a weighed spoon is offered to the field that takes the powder', () => {
    const weighed = { ...SHELF, dyes: [{ ...BLUE, gramsPerTeaspoon: 2.9 }] };
    expect(
      additionChoices(weighed, formulation()).find((choice) => choice.key === 'powder-blue')
        ?.gramsPerTeaspoon,
    ).toBe(2.9);
  });
});
