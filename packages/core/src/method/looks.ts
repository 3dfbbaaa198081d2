import type { Part } from '../skein/coat';
import type { Drawn, WayLook } from './method';
import type { Section } from './settings';
import { stretchesOf, type SectionOrder } from './stretches';

/** All of the goods dyed, more or less level. @param tonal how much more tonal than a stirred pot */
export const allOver =
  (tonal: number) =>
  (_: unknown, drawn: Drawn): WayLook => ({
    coats: [[{ where: { kind: 'all' }, dyes: drawn(null) }]],
    tonal,
  });

/** Sections one after the other, round the ring or along the goods. */
export function inSections(
  sections: readonly Section[],
  axis: 'around' | 'along',
  drawn: Drawn,
  order: SectionOrder = 'once',
): Part[] {
  const stretches = stretchesOf(sections, order);
  return sections.flatMap(({ id }) =>
    (stretches.get(id) ?? []).map(({ from, to }): Part => ({
      where: { kind: axis, from, to },
      dyes: drawn(id),
    })),
  );
}

/** Dabs here and there, of each section as much as its share; what lies between stays bare. */
export const touched = (sections: readonly Section[], drawn: Drawn): Part[] =>
  sections.map(({ id, sharePercent }): Part => ({
    where: { kind: 'touches', share: sharePercent / 100 },
    dyes: drawn(id),
  }));
