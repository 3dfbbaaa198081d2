import type { Event } from './event';

/** What one event does to a jar, mL: a pour takes, a strike-out gives back what its target took. */
export interface JarDraw {
  stockId: string;
  eventId: string;
  ml: number;
}

/** What an event does to a jar; nothing for most. @param target what it takes back, if it does and if nothing did before */
export function ledgerChange(event: Event, target: Event | null): JarDraw[] {
  const back = target && drawOf(target);
  if (back) return [{ ...back, eventId: event.id, ml: -back.ml }];
  const draw = drawOf(event);
  return draw ? [{ ...draw, eventId: event.id }] : [];
}

/** The same for a whole record, in the order in which it came in. */
export function ledgerOf(events: readonly Event[]): JarDraw[] {
  const standing = new Map<string, Event>();
  return events.flatMap((event) => {
    standing.set(event.id, event);
    if (event.kind !== 'struck') return ledgerChange(event, null);
    const target = standing.get(event.event) ?? null;
    standing.delete(event.event);
    return ledgerChange(event, target);
  });
}

/**
 * What jars still hold once these events are counted as well, mL by jar.
 * @param left what they hold without them
 * @param find an event that one of them takes back; undefined where it is not known
 */
export function leftAfter(
  left: Readonly<Record<string, number>>,
  events: readonly Event[],
  find: (id: string) => Event | undefined,
): Record<string, number> {
  const after = { ...left };
  for (const event of events) {
    const target = event.kind === 'struck' ? (find(event.event) ?? null) : null;
    for (const { stockId, ml } of ledgerChange(event, target))
      if (stockId in after) after[stockId] = (after[stockId] ?? 0) - ml;
  }
  return after;
}

/** What an event takes out of a jar; what is poured on from a working dilution left the jar before. */
function drawOf(event: Event): { stockId: string; ml: number } | null {
  if (event.kind !== 'act' || event.act.kind !== 'put') return null;
  const { material, amount, unit, purpose } = event.act;
  // What comes out of a mixing cup left its jar when it went into the cup.
  if (purpose === 'cup' && event.of.kind === 'batch') return null;
  if (material.kind !== 'dye' || material.stockId === null || amount === null || unit !== 'mL') return null;
  return { stockId: material.stockId, ml: amount };
}
