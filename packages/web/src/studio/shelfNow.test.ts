import type { Event, ShelfResponse } from '@ythrion/core';
import type { Entry } from '../outbox/database';
import { shelfNow } from './shelfNow';

const shelf = {
  dyes: [],
  stocks: [],
  stockLeft: { 'blue-1': 300, 'red-1': 500 },
  countedTo: 10,
} as unknown as ShelfResponse;
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

test('what was kept of a cup stands on the shelf at once, and what was poured of it since is gone', () => {
  const kept = {
    id: 'k',
    kind: 'kept',
    share: 1,
    dye: { id: 'mix' },
    stock: { id: 'mix-1', dyeId: 'mix', volumeMl: 40 },
  } as unknown as Event;
  const poured = pour('p', 15);
  if (poured.kind === 'act' && poured.act.kind === 'put' && poured.act.material.kind === 'dye')
    poured.act.material.stockId = 'mix-1';
  const now = shelfNow(shelf, [entry(kept, null), entry(poured, null)], () => undefined);
  expect(now.dyes).toMatchObject([{ id: 'mix' }]);
  expect(now.stocks).toMatchObject([{ id: 'mix-1' }]);
  expect(now.stockLeft).toMatchObject({ 'mix-1': 25, 'blue-1': 300 });
  const back = shelfNow(shelf, [entry(kept, null), entry(struck('k'), null)], () => kept);
  expect(back.stocks).toEqual([]);
  // Once the studio tells of it, it stands there once.
  const told = { ...shelf, stocks: now.stocks, dyes: now.dyes, stockLeft: { 'mix-1': 40 } };
  expect(shelfNow(told, [entry(kept, 12)], () => undefined).stocks).toHaveLength(1);
});
