import { methodFacts } from '../method';
import { DYED_IN } from '../process/terms';
import type { Pot } from '../shelf/pot';
import type { VesselChoice } from '../shelf/vesselChoices';
import type { Pass, Recipe } from './recipe';

/** A pass as it is in a vessel of the shelf: a pan that was measured is the pan that its goods lie in. */
export const passIn = (pass: Pass, { floor, wallCm }: Pick<Pot, 'floor' | 'wallCm'>): Pass =>
  floor !== null && pass.method.kind === 'low immersion'
    ? { ...pass, method: { ...pass.method, pan: floor, wallCm: wallCm ?? pass.method.wallCm } }
    : pass;

/** Whether goods can be dyed in a vessel, and not only be set in it. */
export const isDyedIn = ({ kind }: Pick<Pot, 'kind'>): boolean =>
  kind === 'slow cooker' || (DYED_IN as readonly string[]).includes(kind);

/**
 * A vessel that a pass could have for itself: a free one before one that something stands in, and of those the kind that
 * its way asks for.
 * @param choices vessels, without that of the batch
 * @returns null where there is none
 */
export function anotherVessel(
  { method }: Pick<Pass, 'method'>,
  choices: readonly VesselChoice[],
): Pot | null {
  const { needs } = methodFacts(method.kind);
  const rank = ({ pot, holds }: VesselChoice): number =>
    (holds === null ? 0 : 2) + (pot.kind === needs ? 0 : 1);
  const [first] = choices
    .filter(({ pot }) => isDyedIn(pot))
    .toSorted((one, other) => rank(one) - rank(other));
  return first?.pot ?? null;
}

/** Vessels that a batch can be begun in: those that none of its passes has for itself. */
export const notOwn = (
  choices: readonly VesselChoice[],
  { passes }: Pick<Recipe, 'passes'>,
): VesselChoice[] => choices.filter(({ pot }) => !passes.some(({ potId }) => potId === pot.id));
