import { dyeStretches, type YarnLook } from '../skein/yarnLook';
import type { Dyeing } from './method';
import type { Section } from './settings';

/** All of the goods dyed, more or less level. @param extra how much more tonal than a stirred pot */
export const allOver =
  (extra: number) =>
  (_: unknown, before: YarnLook, { drawn, uneven }: Dyeing): YarnLook => ({
    ...dyeStretches(before, [{ from: 0, to: 1, dyes: drawn(null) }]),
    unevenness: uneven(extra),
  });

/** Sections one after the other. */
export function inSections(
  sections: readonly Section[],
  before: YarnLook,
  { drawn, uneven }: Dyeing,
  { across, extra }: { across: boolean; extra: number },
): YarnLook {
  let at = 0;
  const stretches = sections.map((section) => {
    const from = at;
    at += section.sharePercent / 100;
    return { from, to: at, dyes: drawn(section.id) };
  });
  return { ...dyeStretches(before, stretches), across, unevenness: uneven(extra) };
}
