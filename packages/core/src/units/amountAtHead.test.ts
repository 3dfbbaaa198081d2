import { amountAtHead, amountWithin } from './amountAtHead';

test.each([
  ['1/8 tsp of Vault Blue', '1/8 tsp', 'Vault Blue'],
  ['half of 1/8 tsp Vault Blue', 'half of 1/8 tsp', 'Vault Blue'],
  ['a splash of vinegar', 'a splash', 'vinegar'],
  ['4+1 tbsp Bell Red 1 %', '4+1 tbsp', 'Bell Red 1 %'],
  ['4 tbsp + 1 tsp citric', '4 tbsp + 1 tsp', 'citric'],
  ['two cups water', 'two cups', 'water'],
  ['2 x 1/4 tsp of Gong Yellow', '2 x 1/4 tsp', 'Gong Yellow'],
  ['1.5 L water', '1.5 L', 'water'],
  ['a pinch of Strike Black', 'a pinch', 'Strike Black'],
  ['6 tbsp', '6 tbsp', ''],
])('“%s” begins with “%s”', (text, much, what) => expect(amountAtHead(text)).toEqual({ much, what }));

test.each(['vinegar', 'Vault Blue 1 tsp', '', 'of 2 tsp', '100', 'simmered 30 min'])(
  '“%s” begins with none',
  (text) => expect(amountAtHead(text)).toBeNull(),
);

test.each([
  ['held at 82 C for 1 h', 'minutes', '1 h'],
  ['held at 82 C for 1 h', 'temperature', '82 C'],
  ['simmered half an hour', 'minutes', 'half an hour'],
  ['left it overnight', 'minutes', 'overnight'],
  ['heated to 185 F', 'temperature', '185 F'],
  ['turned', 'minutes', null],
] as const)('in “%s” the %s are “%s”', (text, kind, found) => expect(amountWithin(text, kind)).toBe(found));
