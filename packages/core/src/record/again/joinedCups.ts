import type { Act, ActOf } from '../../process/act';
import type { RecordedAct } from '../recording';

/** Something put or run into a cup. */
type Into = RecordedAct & { act: ActOf<'put'> | ActOf<'run'> };
type OutOf = RecordedAct & { act: ActOf<'move'> };

/**
 * A color mixed by eye in a cup, addition by addition, is mixed at once: what was put in before the first of it was
 * poured becomes one addition of each thing, as large as the part of the cup that was poured out. What was put in
 * between two pours stays as it was.
 */
export function joinedCups(acts: readonly RecordedAct[]): RecordedAct[] {
  const cups = acts.flatMap(({ act }) =>
    act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.role === 'mixing cup'
      ? [act.thing.vessel]
      : [],
  );
  return cups.reduce<RecordedAct[]>((list, cup) => joined(list, cup), [...acts]);
}

function joined(acts: readonly RecordedAct[], cup: string): RecordedAct[] {
  const into = acts.filter((one): one is Into => isInto(one.act, cup));
  const out = acts.filter((one): one is OutOf => isOutOf(one.act, cup));
  const [first] = out;
  if (!first || into.length === 0) return [...acts];
  const until = acts.indexOf(first);
  if (into.some((one) => acts.indexOf(one) > until)) return [...acts];
  const parts = partsOut(into, out);
  const poured = parts.reduce((sum, part) => sum + part, 0);
  const sums = new Map<string, Into>();
  for (const one of into) {
    const key = keyOf(one.act);
    const known = sums.get(key);
    sums.set(key, known ? { ...known, act: added(known.act, one.act) } : one);
  }
  const keeps = new Map([...sums.values()].map((one) => [one.id, { ...one, act: times(one.act, poured) }]));
  let left = poured;
  const outs = new Map<string, RecordedAct>();
  out.forEach((one, i) => {
    const part = parts[i] ?? 0;
    const share = left > 0 ? Math.min(1, part / left) : 1;
    left -= part;
    outs.set(one.id, { ...one, act: { ...one.act, ml: null, share: share > 1 - 1e-9 ? 1 : share } });
  });
  return acts.flatMap((one) => {
    if (isInto(one.act, cup)) return keeps.get(one.id) ?? [];
    return outs.get(one.id) ?? one;
  });
}

const isInto = (act: Act, cup: string): boolean =>
  (act.kind === 'run' && act.vessel === cup) ||
  (act.kind === 'put' && 'vessel' in act.into && act.into.vessel === cup);

const isOutOf = (act: Act, cup: string): boolean =>
  act.kind === 'move' && 'vessel' in act.from && act.from.vessel === cup;

/** What is one addition when it is put in together: the same thing from the same jar, in the same unit. */
const keyOf = (act: Into['act']): string =>
  act.kind === 'run' ? 'water' : JSON.stringify([act.material, act.unit]);

function added(one: Into['act'], other: Into['act']): Into['act'] {
  if (one.kind === 'run') return { ...one, ml: sum(one.ml, other.kind === 'run' ? other.ml : null) };
  return { ...one, amount: sum(one.amount, other.kind === 'put' ? other.amount : null) };
}

const sum = (one: number | null, other: number | null): number | null =>
  one === null && other === null ? null : (one ?? 0) + (other ?? 0);

function times(act: Into['act'], factor: number): Into['act'] {
  return act.kind === 'run'
    ? { ...act, ml: act.ml === null ? null : act.ml * factor }
    : { ...act, amount: act.amount === null ? null : act.amount * factor };
}

/** Part of all that was in the cup that each pour took. */
function partsOut(into: readonly Into[], out: readonly OutOf[]): number[] {
  let all = 0;
  for (const { act } of into)
    all += act.kind === 'run' ? (act.ml ?? 0) : act.unit === 'mL' ? (act.amount ?? 0) : 0;
  let left = 1;
  return out.map(({ act }) => {
    const part = act.ml === null ? left * (act.share ?? 1) : all > 0 ? Math.min(left, act.ml / all) : left;
    left -= part;
    return part;
  });
}
