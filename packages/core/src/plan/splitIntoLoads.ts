import { FieldError } from '../figure/fieldError';
import type { Shelf } from '../recipe/materials';
import { passIn } from '../recipe/passIn';
import type { Formulation, Recipe } from '../recipe/recipe';
import type { Pot } from '../shelf/pot';
import { formatAmount } from '../units/formatQuantity';
import type { ToBegin } from './needs';
import { onBase } from './onBase';
import { planOrWhy, type Planned, type PlanOrWhy } from './planOrWhy';
import type { Plan } from './planTypes';
import { potNeedsMl } from './potNeeds';
import { withCount } from './withCount';

/** Pieces of an order on one base that are still to be dyed; null for the base of the colorway. */
export interface DueLine {
  baseId: string | null;
  pieces: number;
}

/** One vessel’s part of an order. */
export interface PlannedLoad {
  pot: Pot;
  baseId: string | null;
  count: number;
  plan: Plan;
  formulation: Formulation;
}

/** Pieces that a vessel holds: of the base it holds fewest of, of the one it holds most of, and whether that is all. */
export interface Room {
  fewest: number;
  most: number;
  all: boolean;
}

/** An order as it fits into vessels. */
export interface SplitOrder {
  /** What is dyed at once, now. */
  loads: PlannedLoad[];
  /** What each of the vessels holds of what is due, by its id. */
  holds: ReadonlyMap<string, Room>;
  /** Pieces that are left for later, and in how many further rounds. */
  left: number;
  rounds: number;
  /** All that is due, as one batch of each base would take it: what must be made and bought for it. */
  whole: ToBegin[];
}

/** Most pieces that are tried in one vessel. */
const MOST_PIECES = 1000;

/**
 * An order that is larger than a vessel, as loads: as few rounds as there can be, and the pieces spread evenly over
 * rounds and vessels, so that every load is dyed as nearly alike as it can be. No load is of two bases: they are dyed one
 * after the other, the next in the vessels that the one before leaves free.
 * @param due pieces of the first goods that are still to be dyed, by their bases
 * @param pots the vessels to dye in, at the same time
 * @throws FieldError where one base fits into none of them, or something else speaks against the recipe
 */
export function splitIntoLoads(
  colorway: Planned,
  due: readonly DueLine[],
  pots: readonly Pot[],
  shelf: Shelf,
): SplitOrder {
  if (pots.length === 0) throw new FieldError('vessels', 'Choose at least one vessel to dye in.');
  const whole = wholeOrThrow({ ...colorway, recipe: { ...colorway.recipe, potId: null } }, shelf);
  const lines = due
    .filter(({ pieces }) => pieces > 0)
    .map((line) => {
      const recipe = onBase({ ...colorway.recipe, potId: null }, line.baseId, shelf.bases, whole.plan);
      const own = { ...colorway, recipe };
      const one = line.baseId === null ? whole : wholeOrThrow(own, shelf);
      const planned = plansLoads(own, one, shelf);
      const most = pots.map((pot) => mostIn(pot, line.pieces, planned));
      if (sum(most) === 0) throw new FieldError('vessels', holdsNone(pots, planned));
      const inAll = wholeOrThrow({ ...own, recipe: withCount(recipe, line.pieces, one) }, shelf);
      return { ...line, planned, most, inAll };
    });
  const { now, rounds, left } = inRounds(lines);
  return {
    loads: lines.flatMap(({ baseId, planned }, i) =>
      pots.flatMap((pot, j): PlannedLoad[] => {
        const count = now[i]?.[j] ?? 0;
        const load = count === 0 ? null : planned(count, pot);
        return load ? [{ pot, baseId, count, ...load }] : [];
      }),
    ),
    holds: new Map(
      pots.map(({ id }, j) => {
        const most = lines.map((line) => line.most[j] ?? 0);
        const all = lines.every((line, i) => most[i] === line.pieces);
        return [id, { fewest: Math.min(...most), most: Math.max(...most), all }];
      }),
    ),
    left,
    rounds,
    whole: lines.map(({ inAll }) => inAll),
  };
}

/** The plan of a colorway in no vessel yet. @throws FieldError where there is none */
function wholeOrThrow(colorway: Planned, shelf: Shelf): Whole {
  const whole = planOrWhy(colorway, shelf);
  if (!whole.plan) throw new FieldError('colorway', whole.problem);
  return whole;
}

type Whole = Extract<PlanOrWhy, { problem: null }>;

const sum = (counts: readonly number[]): number => counts.reduce((all, one) => all + one, 0);

/** Pieces of one base, and the most of it that each vessel holds. */
interface RoomyLine {
  pieces: number;
  most: readonly number[];
}

/** All rounds of an order: the first by line and vessel, how many there are after it, and the pieces these are for. */
function inRounds(lines: readonly RoomyLine[]): { now: number[][]; rounds: number; left: number } {
  let left = lines.map(({ pieces }) => pieces);
  const now = oneRound(lines, left);
  left = after(left, now);
  const leftNow = sum(left);
  let rounds = 0;
  for (; sum(left) > 0; rounds += 1) left = after(left, oneRound(lines, left));
  return { now, rounds, left: leftNow };
}

const after = (left: readonly number[], round: readonly number[][]): number[] =>
  left.map((pieces, i) => pieces - sum(round[i] ?? []));

/** What is dyed at once, by line and vessel. @param left pieces of each line still to be dyed */
function oneRound(lines: readonly RoomyLine[], left: readonly number[]): number[][] {
  const taken = new Set<number>();
  return lines.map(({ most }, i) => {
    const due = left[i] ?? 0;
    const open = most.map((holds, j) => (taken.has(j) ? 0 : holds));
    if (due === 0 || sum(open) === 0) return most.map(() => 0);
    const others = left.slice(i + 1).some((pieces) => pieces > 0);
    const room = others ? fewestFor(due, open) : open;
    const rounds = Math.ceil(due / sum(room));
    const counts = spread(Math.ceil(due / rounds), room);
    counts.forEach((count, j) => count > 0 && taken.add(j));
    return counts;
  });
}

/** The room of as few vessels as hold so many pieces, the roomiest first; of all where they hold no more. */
function fewestFor(pieces: number, room: readonly number[]): number[] {
  const chosen = new Set<number>();
  let held = 0;
  for (const { holds, j } of room.map((holds, j) => ({ holds, j })).toSorted((a, b) => b.holds - a.holds)) {
    if (held >= pieces) break;
    held += holds;
    chosen.add(j);
  }
  return room.map((holds, j) => (chosen.has(j) ? holds : 0));
}

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

const plansLoads =
  (colorway: Planned, whole: Whole, shelf: Shelf): PlanLoad =>
  (count, pot) => {
    const recipe = inPan(withCount(colorway.recipe, count, whole), pot);
    const { plan, formulation } = planOrWhy(
      { ...colorway, recipe: { ...recipe, potId: pot.id } },
      { ...shelf, pots: [pot, ...(shelf.pots ?? []).filter(({ id }) => id !== pot.id)] },
    );
    return plan ? { plan, formulation } : null;
  };

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
