import type { Act, ActOf, Purpose, VesselRole } from '../src/process/act';
import { fold, type Folded } from '../src/process/fold';
import type { Place } from '../src/process/place';
import {
  emptyState,
  type ListedAct,
  type State,
  type Stretch,
  type Surroundings,
} from '../src/process/state';

/** Short ways to write acts down in tests: what is not said is as plain as it can be. */
const common = { pass: 'p1', line: null, purpose: null as Purpose | null };
type Common = Partial<Pick<Act, 'pass' | 'line' | 'purpose'>>;

export const stretch = (axis: Stretch['axis'], from: number, to: number): Stretch => ({ axis, from, to });
export const on = (axis: Stretch['axis'], from: number, to: number, piece: string | null = null): Place => ({
  piece,
  axis,
  from,
  to,
});

export const goods = (
  line: string,
  grams: number,
  more: Partial<Extract<ActOf<'bring'>['thing'], { kind: 'goods' }>> = {},
): Act => ({
  kind: 'bring',
  ...common,
  pass: null,
  line,
  thing: {
    kind: 'goods',
    name: line,
    baseId: 'wool',
    form: 'skein',
    count: 1,
    grams,
    dyeableShare: 1,
    holdsMeq: 0,
    catchUp: false,
    from: null,
    ...more,
  },
});
export const vessel = (id: string, role: VesselRole = 'pot'): Act => ({
  kind: 'bring',
  ...common,
  pass: null,
  thing: { kind: 'vessel', vessel: id, role, name: id, shelfId: null, capacityMl: null },
});
export const run = (into: string, ml: number, celsius: number | null = null, more: Common = {}): Act => ({
  kind: 'run',
  ...common,
  ...more,
  vessel: into,
  ml,
  celsius,
});
const into = (end: string | Place) => (typeof end === 'string' ? { vessel: end } : { place: end });
/** Powder of standard strength, g. */
export const powder = (end: string | Place, dyeId: string, grams: number, more: Common = {}): Act => ({
  kind: 'put',
  ...common,
  ...more,
  material: { kind: 'dye', dyeId, stockId: null, strengthPercent: null, lotStrength: 1 },
  amount: grams,
  unit: 'g',
  into: into(end),
});
/** Stock, mL. */
export const stock = (
  end: string | Place,
  dyeId: string,
  ml: number,
  strengthPercent = 1,
  lotStrength = 1,
  more: Common = {},
): Act => ({
  kind: 'put',
  ...common,
  ...more,
  material: { kind: 'dye', dyeId, stockId: `${dyeId}-1`, strengthPercent, lotStrength },
  amount: ml,
  unit: 'mL',
  into: into(end),
});
export const acid = (
  end: string | Place,
  name: 'vinegar' | 'citric' | 'citric solution',
  amount: number,
  more: Common = {},
): Act => ({
  kind: 'put',
  ...common,
  ...more,
  material: { kind: 'acid', acid: name, strengthPercent: name === 'citric' ? 100 : 5 },
  amount,
  unit: name === 'citric' ? 'g' : 'mL',
  into: into(end),
});
export const ice = (end: string | Place, grams: number): Act => ({
  kind: 'put',
  ...common,
  material: { kind: 'ice' },
  amount: grams,
  unit: 'g',
  into: into(end),
});
export const move = (
  from: string | Place,
  to: string | Place | null,
  much: { ml: number } | { share: number },
  more: Common = {},
): Act => ({
  kind: 'move',
  ...common,
  ...more,
  from: into(from),
  to: to === null ? null : into(to),
  ml: 'ml' in much ? much.ml : null,
  share: 'share' in much ? much.share : null,
  holds: null,
});
export const place = (
  vesselId: string,
  names: string[] = [],
  reach: Stretch | 'none' | null = null,
  more: Common = {},
): Act => ({
  kind: 'place',
  ...common,
  ...more,
  goods: names,
  vessel: vesselId,
  reach,
  lies: null,
  wet: true,
});
export const lift = (keepsMlPerGram: number | null = null, names: string[] = []): Act => ({
  kind: 'lift',
  ...common,
  goods: names,
  keepsMlPerGram,
});
/** A hold that leaves a share of the dye in the liquid; null: nobody says. */
export const hold = (
  id: string,
  minutes: number | null,
  leaves: number | null = null,
  more: Common = {},
): Act => ({
  kind: 'hold',
  ...common,
  ...more,
  vessel: id,
  atC: null,
  minutes,
  untilClear: leaves === 0,
  leaves,
  onHeat: true,
});
export const stand = (
  id: string,
  minutes: number | null,
  leaves: number | null = null,
  more: Common = {},
): Act => ({
  kind: 'stand',
  ...common,
  ...more,
  vessel: id,
  minutes,
  leaves,
});
export const split = (from: string, much: { count: number } | { grams: number }, name: string): Act => ({
  kind: 'split',
  ...common,
  goods: [from],
  count: 'count' in much ? much.count : null,
  grams: 'grams' in much ? much.grams : null,
  into: name,
});

/** Acts with ids from their place in the list; for tests only. */
export const listed = (acts: readonly Act[]): ListedAct[] => acts.map((act, i) => ({ id: `a${i}`, act }));

/** Folds a list written down like this. @throws when an act of it cannot be */
export function done(acts: readonly Act[], surroundings: Partial<Surroundings> = {}): State {
  const folded: Folded = fold(emptyState(surroundings), listed(acts));
  const wrong = folded.trace.find(({ impossible }) => impossible !== null);
  if (wrong) throw new Error(`${wrong.id} ${wrong.act.kind}: ${JSON.stringify(wrong.impossible)}`);
  return folded.state;
}
