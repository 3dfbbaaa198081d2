import type { End, VesselRole } from '../process/act';
import { DYED_IN } from '../process/terms';
import type { Card } from '../record/card';
import { vesselRole } from '../record/cardGoods';

/** Vessels that are called by what they are. */
const CALLED: readonly VesselRole[] = ['pan', 'tub', 'tray', 'rack', 'oven', 'microwave'];

/** What a vessel is called where its role says it; a pot where it does not. */
function roleWord(card: Card, vessel: string): string {
  const role = vesselRole(card, vessel);
  return role !== undefined && CALLED.includes(role) ? role : 'pot';
}

export const isSoak = (card: Card, vessel: string): boolean => vesselRole(card, vessel) === 'soak';

/** A vessel by its name on the shelf, or by what it is. */
export function vesselName(card: Card, end: End): string {
  if ('place' in end) return 'goods';
  const name = namesOn(card).get(end.vessel);
  return name === undefined ? roleWord(card, end.vessel) : name;
}

/** A vessel as a line speaks of it: by its name where goods of this card are dyed in several, else by what it is. */
export const vesselSaid = (card: Card, vessel: string): string =>
  severalNamed(card) ? vesselName(card, { vessel }) : roleWord(card, vessel);

/** The name of a vessel that is to be said with the goods that go into it; null where there is only one. */
export const whereGoodsGo = (card: Card, vessel: string): string | null =>
  severalNamed(card) ? (namesOn(card).get(vessel) ?? null) : null;

/** Names from the shelf, by the vessel as acts name it. */
function namesOn({ acts }: Card): Map<string, string> {
  const names = new Map<string, string>();
  for (const { act } of acts)
    if (act.kind === 'bring' && act.thing.kind === 'vessel' && act.thing.name !== '')
      names.set(act.thing.vessel, act.thing.name);
  return names;
}

/** Whether goods are dyed in more than one vessel of the shelf. */
const severalNamed = ({ acts }: Card): boolean =>
  acts.filter(
    ({ act }) =>
      act.kind === 'bring' &&
      act.thing.kind === 'vessel' &&
      act.thing.shelfId !== null &&
      DYED_IN.includes(act.thing.role),
  ).length > 1;
