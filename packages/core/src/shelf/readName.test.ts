import { nameSchema } from './common';
import { LONGEST_NAME, readName } from './readName';

test.each([
  ['Kettle Blue', 'Kettle Blue'],
  ['  Curfew ', 'Curfew'],
  ['', null],
  ['   ', null],
  ['x'.repeat(LONGEST_NAME), 'x'.repeat(LONGEST_NAME)],
  ['x'.repeat(LONGEST_NAME + 1), null],
])('“%s” is read as what a document would keep', (text, name) => {
  expect(readName(text)).toBe(name);
  const kept = nameSchema.safeParse(text);
  expect(kept.success ? kept.data : null).toBe(name);
});
