import type { Formulation, Recipe } from '../recipe/recipe';
import { PLAIN_UNEVENNESS, type YarnLook } from '../skein/yarnLook';
import type { PlannedPass } from './planTypes';
import type { ToldPass } from './story';

/** What decides how a pass is told, beside itself and the passes before it. */
type Around = Omit<Formulation, 'name' | 'recipe'> &
  Pick<Recipe, 'goods' | 'wettingMinutes'> & { passIds: string[] };

const aroundPasses = ({ name: _, recipe, ...shelf }: Formulation): Around => ({
  ...shelf,
  goods: recipe.goods,
  wettingMinutes: recipe.wettingMinutes,
  passIds: recipe.passes.map(({ id }) => id),
});

/** What goods look like before a pass and after it. */
interface Drawn {
  before: YarnLook;
  after: YarnLook;
}

/** A story, and what was read from its passes. */
interface Kept {
  around: Around;
  passes: readonly ToldPass[];
  figures: Map<ToldPass, PlannedPass>;
  looks: Map<PlannedPass, Drawn>;
}

/** What was told last, and only that: older ones would hold on to everything that was ever typed. */
let last: Kept | null = null;

/**
 * The passes of a recipe, from its first, that were told last time from the same things; so that typing in one tells anew
 * that one and those after it, and none of those before. Things are the same when they are the same objects: nothing
 * that a plan is made from is ever changed in place.
 */
export function keptPasses(formulation: Formulation): readonly ToldPass[] {
  if (!last || !alike(last.around, aroundPasses(formulation))) return [];
  const { passes } = formulation.recipe;
  const changed = last.passes.findIndex(({ pass }, i) => pass !== passes[i]);
  return changed < 0 ? last.passes : last.passes.slice(0, changed);
}

/** Keeps the passes of a recipe as they were told, with what was read from those that were kept before. */
export function keepPasses(formulation: Formulation, passes: readonly ToldPass[]): void {
  const kept: Kept = { around: aroundPasses(formulation), passes, figures: new Map(), looks: new Map() };
  for (const told of passes) {
    const planned = last?.figures.get(told);
    if (!planned) continue;
    kept.figures.set(told, planned);
    const drawn = last?.looks.get(planned);
    if (drawn) kept.looks.set(planned, drawn);
  }
  last = kept;
}

/** The figures of a pass that something follows: read once, for nothing that comes later changes them. */
export function readOnce(told: ToldPass, read: () => PlannedPass): PlannedPass {
  const planned = last?.figures.get(told) ?? read();
  last?.figures.set(told, planned);
  return planned;
}

/** How goods look after a pass: drawn once, as long as they came to it looking alike. */
export function lookOnce(planned: PlannedPass, before: YarnLook, draw: () => YarnLook): YarnLook {
  const known = last?.looks.get(planned);
  if (
    known &&
    (known.before === before || (isPlain(before) && isPlain(known.before) && sameHex(before, known.before)))
  )
    return known.after;
  const after = draw();
  last?.looks.set(planned, { before, after });
  return after;
}

/** One color and nothing else, as goods come from the shelf. */
const isPlain = ({ bands, across, unevenness, speckles }: YarnLook): boolean =>
  bands.length === 1 && !across && unevenness === PLAIN_UNEVENNESS && speckles.length === 0;

const sameHex = (one: YarnLook, other: YarnLook): boolean => one.bands[0]?.hex === other.bands[0]?.hex;

const same = (one: unknown, other: unknown): boolean =>
  one === other ||
  (Array.isArray(one) &&
    Array.isArray(other) &&
    one.length === other.length &&
    one.every((item, i) => item === other[i]));

const alike = (one: Around, other: Around): boolean =>
  one === other || (Object.keys(one) as (keyof Around)[]).every((key) => same(one[key], other[key]));
