import { potSchema } from './pot';
import { firstFree, vesselChoices, vesselWords } from './vesselChoices';

const pot = (id: string, capacityMl: number, more: object = {}) =>
  potSchema.parse({ id, name: id, capacityMl, ...more });
const SHELF = [
  pot('small', 3000),
  pot('middle', 8000),
  pot('large', 12_000),
  pot('old', 20_000, { retired: true }),
];
const BUSY = new Map([['middle', 'Green Bronze']]);

test('the first that is free and large enough; none rather than a wrong one', () => {
  const first = (needsMl: number) => firstFree(vesselChoices(SHELF, BUSY, needsMl))?.id ?? null;
  expect([0, 3000, 3001, 12_000, 12_001].map(first)).toEqual(['small', 'small', 'large', 'large', null]);
});

test('the one of an earlier batch goes before all others, or one no smaller', () => {
  const [small, middle] = SHELF;
  const choices = vesselChoices(SHELF, BUSY);
  expect(firstFree(choices, small!)?.id).toBe('small');
  expect(firstFree(choices, middle!)?.id).toBe('large');
});

test('a list says what speaks against each, and has none that is retired', () =>
  expect(vesselChoices(SHELF, BUSY, 5000).map(vesselWords)).toEqual([
    'small, 3 L · too small',
    'middle, 8 L · Green Bronze is in it',
    'large, 12 L',
  ]));

test('where nobody chose, a pot is taken before a slow cooker, a pan or a tub, and never what sets or lies open', () => {
  const kinds = ['oven', 'rack', 'tub', 'pan', 'slow cooker', 'steamer', 'pot', 'microwave'] as const;
  const shelf = kinds.map((kind) =>
    potSchema.parse({ id: kind.replace(' ', '-'), name: kind, kind, capacityMl: 9000 }),
  );
  const taken = new Map<string, string>();
  const order: (string | undefined)[] = [];
  for (let i = 0; i < 5; i += 1) {
    const free = firstFree(vesselChoices(shelf, taken));
    order.push(free?.name);
    if (free) taken.set(free.id, 'x');
  }
  expect(order).toEqual(['pot', 'slow cooker', 'pan', 'tub', undefined]);
});
