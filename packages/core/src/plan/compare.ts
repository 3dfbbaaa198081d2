import { threeFigures } from '../figure/threeFigures';
import type { Figure } from '../figure/figure';
import type { Plan, PlannedPass, PourLine } from './planTypes';

/** One line of an old and a new plan side by side. */
export interface ComparedLine {
  label: string;
  before: Figure | string | null;
  after: Figure | string | null;
  /** True when the two say something else. */
  differs: boolean;
}

/** Two plans of one colorway, line by line: goods, then each pass with its dyes, bath and acid, then the set. */
export function comparePlans(before: Plan, after: Plan): ComparedLine[] {
  const passes = Math.max(before.passes.length, after.passes.length);
  const single = passes === 1;
  return [
    line('Goods', before.wog, after.wog),
    ...Array.from({ length: passes }, (_, i) =>
      passLines(before.passes[i], after.passes[i], single ? '' : `Pass ${i + 1}, `),
    ).flat(),
    ...(single ? [] : [line('Water, every pass', before.totals.water, after.totals.water)]),
    line('Set, temperature', before.set.temperature, after.set.temperature),
    line('Set, hold', before.set.hold, after.set.hold),
  ];
}

function line(label: string, before: ComparedLine['before'], after: ComparedLine['after']): ComparedLine {
  return { label, before, after, differs: !same(before, after) };
}

function same(a: ComparedLine['before'], b: ComparedLine['before']): boolean {
  if (a === null || b === null || typeof a === 'string' || typeof b === 'string') return a === b;
  return a.unit === b.unit && Math.abs(a.value - b.value) <= 1e-9 * Math.max(1, Math.abs(a.value));
}

function passLines(
  old: PlannedPass | undefined,
  now: PlannedPass | undefined,
  prefix: string,
): ComparedLine[] {
  const olds = old?.pours ?? [];
  const news = now?.pours ?? [];
  const ids = [...new Set([...olds, ...news].map((pour) => pour.dyeId))];
  const label = (words: string): string => {
    const said = `${prefix}${words}`;
    return said.charAt(0).toUpperCase() + said.slice(1);
  };
  const method =
    old?.title === now?.title && prefix === ''
      ? []
      : [line(label('method'), old?.title ?? null, now?.title ?? null)];
  const dyes = ids.flatMap((dyeId) => {
    const before = olds.filter((pour) => pour.dyeId === dyeId);
    const after = news.filter((pour) => pour.dyeId === dyeId);
    return Array.from({ length: Math.max(before.length, after.length) }, (_, i) =>
      dyeLines(before[i]?.dyeName ?? after[i]?.dyeName ?? '', before[i], after[i]),
    ).flat();
  });
  const acids = Math.max(old?.acids.length ?? 0, now?.acids.length ?? 0);
  return [
    ...method,
    ...dyes.map((one) => ({ ...one, label: label(one.label) })),
    line(label('water'), old?.water ?? null, now?.water ?? null),
    ...Array.from({ length: acids }, (_, i) =>
      line(
        label(old?.acids[i]?.label ?? now?.acids[i]?.label ?? 'acid'),
        old?.acids[i]?.amount ?? null,
        now?.acids[i]?.amount ?? null,
      ),
    ),
    ...(old?.heat || now?.heat
      ? [
          line(label('temperature'), old?.heat?.temperature ?? null, now?.heat?.temperature ?? null),
          line(label('hold'), old?.heat?.hold ?? null, now?.heat?.hold ?? null),
        ]
      : []),
  ];
}

function dyeLines(name: string, old: PourLine | undefined, now: PourLine | undefined): ComparedLine[] {
  return [
    line(`${name}, depth`, old?.dos ?? null, now?.dos ?? null),
    line(`${name}, dye`, old?.grams ?? null, now?.grams ?? null),
    line(
      `${name}, ${pouredAs(old) === pouredAs(now) ? pouredAs(old) : `${pouredAs(old)} → ${pouredAs(now)}`}`,
      old ? (old.volume ?? old.grams) : null,
      now ? (now.volume ?? now.grams) : null,
    ),
  ];
}

const pouredAs = (pour: PourLine | undefined): string =>
  !pour
    ? 'nothing'
    : pour.strengthPercent === null
      ? 'powder'
      : `${threeFigures(pour.strengthPercent)} % stock`;
