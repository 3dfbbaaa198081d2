import type { Batch } from '../batch';
import { bathOf, earlierBatches } from './sourceChanged';

/** What a batch gave to a later one. */
export interface WentInto {
  /** The later batch. */
  id: string;
  code: string;
  name: string;
  /** Its bath, or goods by the names they have there. */
  gave: { what: 'bath' } | { what: 'goods' | 'guests'; names: string[] };
}

/** What one batch gave to another: bath, goods, both or nothing. @param later as it stands */
export function gaveTo(id: string, later: Pick<Batch, 'id' | 'code' | 'name' | 'card'>): WentInto[] {
  const mine = earlierBatches(later).filter(({ batch }) => batch === id);
  const [guests, names] = [true, false].map((guest) =>
    mine.flatMap((one) => (one.guest === guest ? [one.name] : [])),
  ) as [string[], string[]];
  const into = { id: later.id, code: later.code, name: later.name };
  return [
    ...(bathOf(later)?.from.batch === id ? [{ ...into, gave: { what: 'bath' as const } }] : []),
    ...(guests.length > 0 ? [{ ...into, gave: { what: 'guests' as const, names: guests } }] : []),
    ...(names.length > 0 ? [{ ...into, gave: { what: 'goods' as const, names } }] : []),
  ];
}
