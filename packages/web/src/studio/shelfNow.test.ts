import type { Event, ShelfResponse } from '@ythrion/core';
import type { Entry } from '../outbox/database';
import { shelfNow } from './shelfNow';

const shelf = { stockLeft: { 'blue-1': 300, 'red-1': 500 }, countedTo: 10 } as unknown as ShelfResponse;
const pour = (id: string, amount: number): Event =>
  ({
    id,
    kind: 'act',
    act: {
      kind: 'put',
      material: { kind: 'dye', dyeId: 'blue', stockId: 'blue-1', strengthPercent: 1, lotStrength: 1 },
      amount,
      unit: 'mL',
    },
  }) as unknown as Event;
const struck = (event: string): Event => ({ id: `s-${event}`, kind: 'struck', event }) as unknown as Event;
const entry = (event: Event, seq: number | null): Entry => ({
  ...{ id: event.id, event, seq, state: seq === null ? 'unsent' : 'known', why: null, sinceMs: 0 },
});

test('what was poured since the shelf was told is not in the jar any more, what it counted stays counted', () => {
  const now = shelfNow(
    shelf,
    [entry(pour('a', 20), 10), entry(pour('b', 30), 11), entry(pour('c', 5), null)],
    () => undefined,
  );
  expect(now.stockLeft).toEqual({ 'blue-1': 265, 'red-1': 500 });
  expect(shelfNow(shelf, [entry(pour('a', 20), 10)], () => undefined)).toBe(shelf);
});

test('an entry taken back gives back what it took', () => {
  const earlier = pour('old', 40);
  const now = shelfNow(shelf, [entry(struck('old'), 12)], (id) => (id === 'old' ? earlier : undefined));
  expect(now.stockLeft['blue-1']).toBe(340);
});
