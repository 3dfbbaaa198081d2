import { FieldError } from '../figure/fieldError';
import type { Shelf } from '../recipe/materials';
import { passIn } from '../recipe/passIn';
import type { Formulation, Recipe } from '../recipe/recipe';
import type { Pot } from '../shelf/pot';
import { formatAmount } from '../units/formatQuantity';
import { planOrWhy, type Planned, type PlanOrWhy } from './planOrWhy';
import type { Plan } from './planTypes';
import { potNeedsMl } from './potNeeds';
import { withCount } from './withCount';

/** One vessel’s part of an order. */
export interface PlannedLoad {
  pot: Pot;
  count: number;
  plan: Plan;
  formulation: Formulation;
}

/** An order as it fits into vessels. */
export interface SplitOrder {
  /** What is dyed at once, now. */
  loads: PlannedLoad[];
  /** Most pieces that each of the vessels holds, by its id. */
  most: ReadonlyMap<string, number>;
  /** Pieces that are left for later, and in how many further rounds. */
  left: number;
  rounds: number;
}

/** Most pieces that are tried in one vessel. */
const MOST_PIECES = 1000;

/**
 * An order that is larger than a vessel, as loads: as few rounds as there can be, and the pieces spread evenly over
 * rounds and vessels, so that every load is dyed as nearly alike as it can be.
 * @param pieces of the first goods that are still to be dyed
 * @param pots the vessels to dye in, at the same time
 * @throws FieldError where none of them holds a single piece, or something else speaks against the recipe
 */
export function splitIntoLoads(
  colorway: Planned,
  pieces: number,
  pots: readonly Pot[],
  shelf: Shelf,
): SplitOrder {
  if (pots.length === 0) throw new FieldError('vessels', 'Choose at least one vessel to dye in.');
  const whole = planOrWhy({ ...colorway, recipe: { ...colorway.recipe, potId: null } }, shelf);
  if (!whole.plan) throw new FieldError('colorway', whole.problem);
  const planned: PlanLoad = (count, pot) => planLoad({ colorway, whole, shelf }, count, pot);
  const most = new Map(pots.map((pot) => [pot.id, mostIn(pot, pieces, planned)]));
  const all = sum([...most.values()]);
  if (all === 0) throw new FieldError('vessels', holdsNone(pots, planned));
  const rounds = Math.ceil(pieces / all);
  const counts = spread(
    Math.ceil(pieces / rounds),
    pots.map(({ id }) => most.get(id) ?? 0),
  );
  const loads = pots.flatMap((pot, i): PlannedLoad[] => {
    const count = counts[i] ?? 0;
    const load = count === 0 ? null : planned(count, pot);
    return load ? [{ pot, count, ...load }] : [];
  });
  return { loads, most, left: pieces - sum(counts), rounds: rounds - 1 };
}

const sum = (counts: readonly number[]): number => counts.reduce((all, one) => all + one, 0);

/** So many pieces over vessels, each piece into the one that is least full; none gets more than it holds. */
function spread(pieces: number, most: readonly number[]): number[] {
  const counts = most.map(() => 0);
  const fullness = (i: number): number => ((counts[i] ?? 0) + 1) / (most[i] ?? 1);
  for (let piece = 0; piece < pieces; piece += 1) {
    const roomy = most.flatMap((holds, i) => ((counts[i] ?? 0) < holds ? [i] : []));
    const [next] = roomy.toSorted((a, b) => fullness(a) - fullness(b));
    if (next === undefined) break;
    counts[next] = (counts[next] ?? 0) + 1;
  }
  return counts;
}

/** Most pieces whose every pass a vessel holds; 0 where it holds none. */
function mostIn(pot: Pot, pieces: number, planned: PlanLoad): number {
  let [fits, over] = [0, Math.min(pieces, MOST_PIECES) + 1];
  while (over - fits > 1) {
    const count = Math.floor((fits + over) / 2);
    const load = planned(count, pot);
    if (load && !load.plan.notices.some(({ blocks }) => blocks)) fits = count;
    else over = count;
  }
  return fits;
}

/** Plans so many pieces in a vessel; null where they cannot be planned. */
type PlanLoad = (count: number, pot: Pot) => { plan: Plan; formulation: Formulation } | null;

function planLoad(
  {
    colorway,
    whole,
    shelf,
  }: { colorway: Planned; whole: Extract<PlanOrWhy, { problem: null }>; shelf: Shelf },
  count: number,
  pot: Pot,
): ReturnType<PlanLoad> {
  const recipe = inPan(withCount(colorway.recipe, count, whole), pot);
  const { plan, formulation } = planOrWhy(
    { ...colorway, recipe: { ...recipe, potId: pot.id } },
    { ...shelf, pots: [pot, ...(shelf.pots ?? []).filter(({ id }) => id !== pot.id)] },
  );
  return plan ? { plan, formulation } : null;
}

/** A pan that was measured is the pan that its load lies in. */
const inPan = (recipe: Recipe, pot: Pot): Recipe => ({
  ...recipe,
  passes: recipe.passes.map((pass) => (pass.potId === null ? passIn(pass, pot) : pass)),
});

/** Why no vessel holds a piece, with the way out. */
function holdsNone(pots: readonly Pot[], planned: PlanLoad): string {
  const largest = pots.toSorted((a, b) => b.capacityMl - a.capacityMl)[0];
  const one = largest && planned(1, largest);
  const stops = one?.plan.notices.find((notice) => notice.blocks && notice.code !== 'pot too small');
  if (!largest || !one || stops)
    return 'Something in this colorway cannot be done yet: see what it says itself.';
  const needs = potNeedsMl(one.formulation.recipe, one.plan);
  return `${largest.name}, the largest of them, holds ${formatAmount(largest.capacityMl, 'mL')}; a single piece in its bath needs ${formatAmount(needs, 'mL')}. Take less water to the gram, or a larger vessel.`;
}
