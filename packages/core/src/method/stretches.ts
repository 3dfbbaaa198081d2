import type { SECTION_ORDERS } from './choices';
import type { Section } from './settings';

export type SectionOrder = (typeof SECTION_ORDERS)[number];

export interface Stretched {
  from: number;
  to: number;
}

/** The order in which sections lie on the goods, each with the part of it that lies there. */
function laidOut(sections: readonly Section[], order: SectionOrder): { id: string; share: number }[] {
  const there = sections.map(({ id, sharePercent }) => ({ id, share: sharePercent / 100 }));
  const halves = there.map(({ id, share }) => ({ id, share: share / 2 }));
  switch (order) {
    case 'once':
      return there;
    case 'backwards':
      return there.toReversed();
    case 'twice':
      return [...halves, ...halves];
    case 'mirrored':
      return [...halves, ...halves.toReversed()];
  }
}

/**
 * Where sections lie, one after the other from the top of the ring or the end of the goods; what they leave is at the
 * end. Two stretches of a section that meet are one.
 */
export function stretchesOf(sections: readonly Section[], order: SectionOrder): Map<string, Stretched[]> {
  const found = new Map<string, Stretched[]>(sections.map(({ id }) => [id, []]));
  let at = 0;
  for (const { id, share } of laidOut(sections, order)) {
    const from = Math.min(1, at);
    at += share;
    const to = Math.min(1, at);
    const mine = found.get(id) ?? [];
    const last = mine.at(-1);
    if (last && Math.abs(last.to - from) < 1e-9) last.to = to;
    else if (to > from) mine.push({ from, to });
    found.set(id, mine);
  }
  return found;
}
