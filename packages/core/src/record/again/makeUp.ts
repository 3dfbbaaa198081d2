import type { Act } from '../../process/act';

/** An act of a record beside the same act as it is to be there now. */
export interface Changed {
  id: string;
  then: Act;
  now: Act;
}

/** Liquid of one vessel in one pass. */
interface Group {
  vessel: string;
  pass: string | null;
  /** What all that was poured in is to come to now, less what it does come to, mL. */
  short: number;
  runs: Changed[];
  /** Liquid moved in from another vessel. */
  fills: Changed[];
  /** The last act that poured something in. */
  last: string;
}

/** Differences that are only rounding, mL. */
const ROUNDING_ML = 1e-9;

/**
 * Where dye comes in more or less liquid than it did, water makes up the difference: the water run into the same vessel,
 * or moved into it from another; where there is none, water of its own.
 * @param ratioOf how much more liquid is to be in a vessel
 * @returns by act: mL of water to be run or moved instead; and behind which acts water of its own is run
 */
export function madeUp(
  acts: readonly Changed[],
  ratioOf: (vessel: string) => number,
): {
  instead: Map<string, number>;
  beside: { after: string; vessel: string; pass: string | null; ml: number }[];
} {
  const groups = new Map<string, Group>();
  const groupOf = (vessel: string, { id, then }: Changed): Group => {
    const key = `${vessel} ${then.pass ?? ''}`;
    const group = groups.get(key) ?? { vessel, pass: then.pass, short: 0, runs: [], fills: [], last: id };
    group.last = id;
    groups.set(key, group);
    return group;
  };
  for (const changed of acts) {
    const into = intoVessel(changed.then);
    if (into === null || changed.then.purpose === 'top up') continue;
    const group = groupOf(into, changed);
    if (changed.then.kind === 'run') group.runs.push(changed);
    else if (changed.then.kind === 'move' && changed.then.holds === null) group.fills.push(changed);
    else group.short += poured(changed.then) * ratioOf(into) - poured(changed.now);
  }
  const instead = new Map<string, number>();
  const beside: { after: string; vessel: string; pass: string | null; ml: number }[] = [];
  const more = (changed: Changed, ml: number): number => {
    const there = instead.get(changed.id) ?? poured(changed.now);
    instead.set(changed.id, Math.max(0, there + ml));
    return Math.max(0, -(there + ml));
  };
  for (const { vessel, pass, short, runs, fills, last } of groups.values()) {
    if (Math.abs(short) <= ROUNDING_ML) continue;
    const [run] = runs.toSorted((one, other) => poured(other.then) - poured(one.then));
    const [fill] = fills.toSorted((one, other) => poured(other.then) - poured(one.then));
    if (run) more(run, short);
    else if (fill) {
      more(fill, short);
      // What is moved in has to be run where it comes from.
      const source = fill.then.kind === 'move' && 'vessel' in fill.then.from ? fill.then.from.vessel : '';
      const [from] = groups.get(`${source} ${pass ?? ''}`)?.runs ?? [];
      if (from) more(from, short);
    } else if (short > 0) beside.push({ after: last, vessel, pass, ml: short });
  }
  return { instead, beside };
}

/** The vessel that liquid comes into by an act; null where none does. */
function intoVessel(act: Act): string | null {
  switch (act.kind) {
    case 'run':
      return act.vessel;
    case 'put':
      return 'vessel' in act.into && (act.unit === 'mL' || act.material.kind === 'dye')
        ? act.into.vessel
        : null;
    case 'move':
      return act.to !== null && 'vessel' in act.to && act.ml !== null ? act.to.vessel : null;
    default:
      return null;
  }
}

/** Liquid that an act brings, mL; none by powder. */
function poured(act: Act): number {
  switch (act.kind) {
    case 'run':
    case 'move':
      return act.ml ?? 0;
    case 'put':
      return act.unit === 'mL' ? (act.amount ?? 0) : 0;
    default:
      return 0;
  }
}
