import { sectionsOf, type MethodKind, type PassMethod } from '../method';
import type { Dose, PaintedSection, Section, Zone } from '../method/settings';
import type { Pass } from './recipe';

/** How a way calls the places that its dyes are for, and how it makes a new one. */
interface PlacesOfWay {
  word: string;
  most: number;
  /** @param n how many there are before it @param share of the goods that it gets, % */
  made(id: string, n: number, share: number): Section | Zone | PaintedSection | Dose;
}

const letter = (n: number): string => String.fromCharCode(65 + n);

const SECTION: PlacesOfWay = {
  word: 'section',
  most: 12,
  made: (id, n, sharePercent) => ({ id, name: `Section ${letter(n)}`, sharePercent, pickUpMlPerG: null }),
};

/** What the first zone of a pan covers, %: white is left beside it on purpose (common practice, no source). */
const FIRST_ZONE_PERCENT = 33.3333;

/** The ways whose dyes can be for places; the others dye all that they reach. */
const PLACES: Partial<Record<MethodKind, PlacesOfWay>> = {
  painting: SECTION,
  'blank painting': {
    ...SECTION,
    word: 'stripe',
    made: (id, n, share) => ({ ...SECTION.made(id, n, share), name: `Stripe ${n + 1}` }),
  },
  'painted stack': {
    ...SECTION,
    word: 'zone',
    made: (id, n, share) => ({ ...SECTION.made(id, n, share), name: `Zone ${letter(n)}` }),
  },
  'low immersion': {
    word: 'zone',
    most: 12,
    made: (id, n, share) => ({
      id,
      name: `Zone ${letter(n)}`,
      sharePercent: Math.min(share, FIRST_ZONE_PERCENT),
      shape: 'band',
    }),
  },
  repeated: {
    word: 'dose',
    most: 12,
    made: (id, n) => ({
      id,
      name: `Dose ${n + 1}`,
      sharePercent: 100,
      minutes: 8,
      lies: { kind: 'twisted', count: 2 },
    }),
  },
  dip: {
    word: 'end',
    most: 2,
    made: (id, n, sharePercent) => ({ id, name: n === 0 ? 'first end' : 'other end', sharePercent }),
  },
};

/** What the places of a way are called, and how many of them there can be; null for one that has none. */
export const placesWord = (kind: MethodKind): Pick<PlacesOfWay, 'word' | 'most'> | null =>
  PLACES[kind] ?? null;

/** A pass with its places changed. */
export const withPlaces = (
  pass: Pick<Pass, 'method'>,
  change: (places: readonly Section[]) => readonly Section[],
): Pick<Pass, 'method'> => ({
  method: { ...pass.method, sections: change(sectionsOf(pass.method)) } as PassMethod,
});

/** A pass with one of its places changed. */
export const withPlace = (
  pass: Pick<Pass, 'method'>,
  id: string,
  changes: Partial<Section & Zone & PaintedSection & Dose>,
): Pick<Pass, 'method'> =>
  withPlaces(pass, (places) => places.map((place) => (place.id === id ? { ...place, ...changes } : place)));

/** Another place: it takes what is left of the goods, or an even share of them from the others. */
export function withNewPlace(pass: Pick<Pass, 'method'>, id: string): Pick<Pass, 'method'> {
  const way = PLACES[pass.method.kind];
  if (!way) return { method: pass.method };
  const percent = (share: number): number => Number(share.toFixed(2));
  return withPlaces(pass, (places) => {
    const used = places.reduce((sum, { sharePercent }) => sum + sharePercent, 0);
    const room = Math.max(0, 100 - used);
    const whole = pass.method.kind === 'repeated';
    const share = room > 1 ? room : 100 / (places.length + 1);
    const shrink = room > 1 || whole || used === 0 ? 1 : (100 - share) / used;
    return [
      ...places.map((place) =>
        shrink === 1 ? place : { ...place, sharePercent: percent(place.sharePercent * shrink) },
      ),
      way.made(id, places.length, percent(share)),
    ];
  });
}

/** A dip of both ends: the part of the first stays, and the other gets what is left of the length, no more than half. */
export function withBothEnds(
  pass: Pick<Pass, 'method'>,
  ids: readonly [string, string],
): Pick<Pass, 'method'> {
  const { method } = pass;
  if (method.kind !== 'dip') return { method };
  const first = Math.min(50, method.sharePercent);
  return {
    method: {
      ...method,
      sections: [
        { id: ids[0], name: 'first end', sharePercent: first },
        { id: ids[1], name: 'other end', sharePercent: Math.min(50, 100 - first) },
      ],
    },
  };
}

/** Ways that can do without places: the last one can be left out. */
const CAN_DO_WITHOUT: readonly MethodKind[] = ['low immersion', 'painted stack', 'repeated', 'dip'];

/** Whether one of the places of a pass can be left out. */
export const canLeaveOutPlace = ({ method }: Pick<Pass, 'method'>): boolean =>
  CAN_DO_WITHOUT.includes(method.kind) || sectionsOf(method).length > 1;

/**
 * A pass without a place and its dyes; when those were all, one of them goes to what is left. Of two ends without one
 * the other is dipped alone.
 */
export function withoutPlace(pass: Pass, id: string): Pick<Pass, 'method' | 'dyes'> {
  const places = sectionsOf(pass.method);
  const left = places.filter((other) => other.id !== id);
  const rest = pass.method.kind === 'dip' ? [] : left;
  const dyes = pass.dyes.filter((line) => (line.sectionId ?? places[0]?.id) !== id);
  const { method } = withPlaces(pass, () => rest);
  return {
    method: method.kind === 'dip' && left[0] ? { ...method, sharePercent: left[0].sharePercent } : method,
    dyes: (dyes.length > 0 ? dyes : pass.dyes.slice(0, 1)).map((line) =>
      rest.some((place) => place.id === line.sectionId) ? line : { ...line, sectionId: rest[0]?.id ?? null },
    ),
  };
}
