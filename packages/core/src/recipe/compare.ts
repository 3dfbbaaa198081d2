import type { Figure } from '../figure/figure';
import type { Plan, PourLine } from './plan';

/** One line of an old and a new plan side by side. */
export interface ComparedLine {
  label: string;
  before: Figure | null;
  after: Figure | null;
}

/** Two plans of one colorway, line by line: depths, grams, pours, water, acid and set. */
export function comparePlans(before: Plan, after: Plan): ComparedLine[] {
  const olds = before.passes.flatMap((pass) => pass.pours);
  const news = after.passes.flatMap((pass) => pass.pours);
  const ids = [...new Set([...olds, ...news].map((pour) => pour.dyeId))];
  const dyes = ids.flatMap((dyeId) => {
    const old = olds.find((pour) => pour.dyeId === dyeId);
    const now = news.find((pour) => pour.dyeId === dyeId);
    return dyeLines(old?.dyeName ?? now?.dyeName ?? '', old, now);
  });
  return [
    { label: 'Goods', before: before.wog, after: after.wog },
    ...dyes,
    { label: 'Water', before: before.totals.water, after: after.totals.water },
    {
      label: before.passes[0]?.acid?.label ?? after.passes[0]?.acid?.label ?? 'Acid',
      before: before.totals.acid,
      after: after.totals.acid,
    },
    { label: 'Set, temperature', before: before.set.temperature, after: after.set.temperature },
    { label: 'Set, hold', before: before.set.hold, after: after.set.hold },
  ];
}

function dyeLines(name: string, old: PourLine | undefined, now: PourLine | undefined): ComparedLine[] {
  return [
    { label: `${name}, depth`, before: old?.dos ?? null, after: now?.dos ?? null },
    { label: `${name}, dye`, before: old?.grams ?? null, after: now?.grams ?? null },
    {
      label: `${name}, ${pouredAs(old) === pouredAs(now) ? pouredAs(old) : `${pouredAs(old)} → ${pouredAs(now)}`}`,
      before: old ? (old.volume ?? old.grams) : null,
      after: now ? (now.volume ?? now.grams) : null,
    },
  ];
}

const pouredAs = (pour: PourLine | undefined): string =>
  !pour ? 'nothing' : pour.strengthPercent === null ? 'powder' : `${pour.strengthPercent} % stock`;
