import fc from 'fast-check';
import { inOrder } from './inOrder';

const one = (at: string, device: string, count: number) => ({ at, device, count });

test('by instant, whatever way it is written; then by device; then by its count', () => {
  const list = [
    one('2026-03-01T10:00:00.500Z', 'b', 1),
    one('2026-03-01T10:00:00Z', 'b', 2),
    one('2026-03-01T10:00:00Z', 'a', 10),
    one('2026-03-01T10:00:00Z', 'a', 9),
    // An hour east, this is before all of them.
    one('2026-03-01T10:59:59+01:00', 'c', 1),
  ];
  expect(inOrder(list)).toEqual([list[4], list[3], list[2], list[1], list[0]]);
});

test('whatever order they came in, the order is one, and nothing is lost', () => {
  const events = fc.uniqueArray(
    fc.tuple(fc.integer({ min: 0, max: 5 }), fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 1, max: 6 })),
    { selector: String, maxLength: 30 },
  );
  fc.assert(
    fc.property(events, fc.infiniteStream(fc.nat()), (made, random) => {
      const list = made.map(([minute, device, count]) => one(`2026-03-01T10:0${minute}:00Z`, device, count));
      const shuffled = list
        .map((event) => ({ event, by: random.next().value }))
        .toSorted((a, b) => a.by - b.by)
        .map(({ event }) => event);
      expect(inOrder(shuffled)).toEqual(inOrder(list));
      expect(inOrder(list)).toHaveLength(list.length);
    }),
    { seed: 20_261_126 },
  );
});
