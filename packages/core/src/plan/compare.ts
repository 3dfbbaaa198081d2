import { liesWords } from '../method/arranged';
import { threeFigures } from '../units/threeFigures';
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
      passLines(of(before, i), of(after, i), single ? '' : `Pass ${i + 1}, `),
    ).flat(),
    ...(single ? [] : [line('Water, every pass', before.totals.water, after.totals.water)]),
    line('Set, temperature', before.set.temperature, after.set.temperature),
    line('Set, hold', before.set.hold, after.set.hold),
  ];
}

/** A pass, and how its goods go in. */
interface Compared extends PlannedPass {
  lie: string;
}

/** A pass of a plan with how its goods are laid: as the last act says that lays them. */
function of(plan: Plan, i: number): Compared | undefined {
  const pass = plan.passes[i];
  if (!pass) return undefined;
  const acts = plan.lines.map(({ act }) => act).filter((act) => act.pass === pass.id);
  const lies = acts.flatMap((act) =>
    (act.kind === 'place' || act.kind === 'handle') && act.lies !== null ? [act.lies] : [],
  );
  const last = lies.at(-1);
  const dry = acts.some((act) => act.kind === 'place' && !act.wet && act.purpose !== 'soak');
  return { ...pass, lie: `${(last && liesWords(last)) ?? 'open'}${dry ? ', dry' : ''}` };
}

function line(label: string, before: ComparedLine['before'], after: ComparedLine['after']): ComparedLine {
  return { label, before, after, differs: !same(before, after) };
}

function same(a: ComparedLine['before'], b: ComparedLine['before']): boolean {
  if (a === null || b === null || typeof a === 'string' || typeof b === 'string') return a === b;
  return a.unit === b.unit && Math.abs(a.value - b.value) <= 1e-9 * Math.max(1, Math.abs(a.value));
}

/** Where a pass is dyed, in words. */
const inVessel = (pass: Compared | undefined): string | null =>
  pass ? (pass.vessel ?? 'that of the batch') : null;

function passLines(old: Compared | undefined, now: Compared | undefined, prefix: string): ComparedLine[] {
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
    line(label('goods'), old?.lie ?? null, now?.lie ?? null),
    ...dyes.map((one) => ({ ...one, label: label(one.label) })),
    ...(old?.vessel || now?.vessel ? [line(label('vessel'), inVessel(old), inVessel(now))] : []),
    ...(old?.takenOver || now?.takenOver
      ? [line(label('of the bath before'), old?.takenOver ?? null, now?.takenOver ?? null)]
      : []),
    line(label('water'), old?.water ?? null, now?.water ?? null),
    ...Array.from({ length: acids }, (_, i) => {
      const [before, after] = [old?.acids[i], now?.acids[i]];
      const name = label(before?.label ?? after?.label ?? 'acid');
      return [
        line(name, before?.amount ?? null, after?.amount ?? null),
        ...(before && after && before.when !== after.when
          ? [line(`${name}, when`, before.when, after.when)]
          : []),
      ];
    }).flat(),
    ...(old?.topUp || now?.topUp
      ? [line(label('topped up'), old?.topUp?.water ?? null, now?.topUp?.water ?? null)]
      : []),
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
