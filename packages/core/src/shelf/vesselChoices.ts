import { formatAmount } from '../units/formatQuantity';
import type { Pot } from './pot';

/** A vessel on the shelf, and what speaks against it. */
export interface VesselChoice {
  pot: Pot;
  /** The batch that stands in it; null for none. */
  holds: string | null;
  tooSmall: boolean;
}

/**
 * Every vessel that is in use on the shelf, as a batch sees it.
 * @param inUse names of the batches that stand in them, by the vessel's id
 * @param needsMl what the vessel must hold, mL; 0 where that is not known
 */
export const vesselChoices = (
  pots: readonly Pot[],
  inUse: ReadonlyMap<string, string>,
  needsMl = 0,
): VesselChoice[] =>
  pots
    .filter(({ retired }) => !retired)
    .map((pot) => ({ pot, holds: inUse.get(pot.id) ?? null, tooSmall: pot.capacityMl < needsMl }));

/**
 * The vessel to take when none was chosen: one that is free and large enough.
 * @param wished taken before all others, as the one of an earlier batch; null for any
 */
export function firstFree(choices: readonly VesselChoice[], wished: Pot | null = null): Pot | null {
  const free = choices
    .filter(({ pot, holds, tooSmall }) => holds === null && !tooSmall && TAKEN_FOR.has(pot.kind))
    .toSorted((one, other) => (TAKEN_FOR.get(one.pot.kind) ?? 0) - (TAKEN_FOR.get(other.pot.kind) ?? 0));
  return (
    (
      free.find(({ pot }) => pot.id === wished?.id) ??
      free.find(({ pot }) => pot.capacityMl >= (wished?.capacityMl ?? 0)) ??
      free[0]
    )?.pot ?? null
  );
}

/** Kinds of vessel that a batch is begun in where nobody chose one, those first that most are dyed in. */
const TAKEN_FOR: ReadonlyMap<Pot['kind'], number> = new Map([
  ['pot', 0],
  ['slow cooker', 1],
  ['pan', 2],
  ['tub', 3],
  ['tray', 3],
]);

/** A vessel in a list to choose from. */
export const vesselWords = ({ pot, holds, tooSmall }: VesselChoice): string =>
  [
    `${pot.name}, ${formatAmount(pot.capacityMl, 'mL')}`,
    ...(tooSmall ? ['too small'] : []),
    ...(holds === null ? [] : [`${holds} is in it`]),
  ].join(' · ');

/** Vessels as a list to choose from offers them. */
export const vesselOptions = (choices: readonly VesselChoice[]): { value: string; label: string }[] =>
  choices.map((choice) => ({ value: choice.pot.id, label: vesselWords(choice) }));
