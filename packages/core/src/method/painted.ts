import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { End } from '../process/act';
import type { Place } from '../process/place';
import { EVERYWHERE } from '../process/everywhere';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, dyes } from './bath';
import { goodsIn } from './goodsIn';
import { lineWith, type WayStep, type Written } from './line';
import { USUAL_WAY, USUAL_WORDS, type NamedFigure, type WayNotice, type WayRead } from './method';
import { idIn, of, paintCup, type AnyScene, type ScenePart } from './scene';
import { turned } from './heat';
import type { Section } from './settings';
import { frontAndBack, hasBack } from './shares';
import { stretchesOf, type SectionOrder } from './stretches';

/** Thickest usual wet pick-up, over which paint runs, mL/g (common practice, no source). */
const RUNS_ML_PER_GRAM = 2.5;

/** A move of what is in one place to another. */
export const moved = (
  scene: AnyScene,
  role: string,
  from: End,
  to: End | null,
  much: { ml: number } | { share: number },
  line: string | null = null,
): Written => ({
  id: idIn(scene, role),
  act: {
    kind: 'move',
    ...of(scene, 'paint', line),
    from,
    to,
    ml: 'ml' in much ? much.ml : null,
    share: 'share' in much ? much.share : null,
    holds: null,
  },
});

/** The finished paint of a way that is made up to what the goods take up. @param grams goods it reaches */
export const paintMl = (pickUpMlPerG: number, grams: number) =>
  figure(
    pickUpMlPerG * grams,
    'mL',
    () => `${plainNumber(pickUpMlPerG)} mL picked up per gram × ${plainNumber(grams)} g`,
    'estimate',
    'wet pick-up: from memory, yields to your own',
  );

/** The goods laid out to be painted: nothing stands around them. */
export const laidOut = (scene: AnyScene): Written => lineWith(goodsIn(scene, 'none'), { hands: 3 });

/** Water that paint is filled up with, and the acid that goes into it; where there is no water, onto the goods. */
export function paintWater(scene: AnyScene): Written[] {
  const { paintWaterMl } = scene;
  const vessel = paintCup(scene, 'water');
  const acid = acidsAt(scene, ['start'], { vessel });
  const liquid = paintWaterMl > 0 || acid.some(({ act }) => act.kind === 'put' && act.unit === 'mL');
  return [
    ...(paintWaterMl > 0
      ? [
          {
            id: idIn(scene, 'run.bath'),
            hands: 3,
            act: {
              kind: 'run' as const,
              ...of(scene, 'paint'),
              vessel,
              ml: paintWaterMl,
              celsius: scene.tapC,
            },
          },
        ]
      : []),
    ...(liquid ? acid : acidsAt(scene, ['start'], { place: EVERYWHERE })),
  ];
}

/** Paint that a section takes, mL/g: its own, or that of its pass. */
export const pickUpOf = (settings: object, place: object): number =>
  ('pickUpMlPerG' in place ? (place.pickUpMlPerG as number | null) : null) ??
  ('pickUpMlPerG' in settings ? (settings.pickUpMlPerG as number) : 0);

/** Sections that have a dye. */
const coloredParts = (scene: AnyScene): readonly ScenePart[] =>
  scene.parts.filter(({ id }) => scene.dyes.some(({ placeId }) => placeId === id));

/** A cup emptied onto the stretches of its section, each its part: said once. @param share of the cup, 0 to 1 */
function onto(scene: AnyScene, part: ScenePart, axis: Place['axis'], role: string, share: number): Written[] {
  const cup = { vessel: paintCup(scene, part.id) };
  const whole = part.stretches.reduce((sum, { from, to }) => sum + to - from, 0);
  let left = whole;
  return part.stretches.map(({ from, to }, i) => {
    const last = i === part.stretches.length - 1;
    // What is left of the cup is shared anew each time; the last stretch of the last side gets all of it.
    const given = (whole - left) / whole;
    const of = last && share === 1 ? 1 : (share * (to - from)) / whole / (1 - share * given);
    left -= to - from;
    const name = i === 0 ? `${role}.${part.id}` : `${role}.${part.id}.${i + 1}`;
    const move = moved(scene, name, cup, { place: { piece: null, axis, from, to } }, { share: of }, part.id);
    return i === 0 ? move : lineWith(move, { quiet: true, hands: 0 });
  });
}

/** The other side of what was painted: the goods turned over, and what was kept of each color worked in. */
function otherSide(scene: AnyScene, axis: Place['axis']): WayStep[] {
  return [
    lineWith(turned(scene), { quiet: false, hands: 4 }),
    ...coloredParts(scene).flatMap((part) => {
      const [first, ...rest] = onto(scene, part, axis, 'paint.back', 1);
      return first ? [lineWith(first, { hands: 5, dose: { nth: 2, of: 2 } }), ...rest] : [];
    }),
  ];
}

/**
 * Cups filled up, and each emptied onto its section, lightest first as they were put down.
 * @param backPercent what the other side gets, % of what the first side got
 */
export function paintedSections(scene: AnyScene, axis: Place['axis'], backPercent = 0): WayStep[] {
  const water = paintCup(scene, 'water');
  const front = frontAndBack(backPercent)[0] ?? 1;
  const sides = coloredParts(scene).flatMap((part): WayStep[] => {
    const mine = scene.dyes.filter(({ placeId }) => placeId === part.id);
    const cup = paintCup(scene, part.id);
    const [first, ...rest] = onto(scene, part, axis, 'paint', front);
    return [
      ...dyes(scene, () => ({ vessel: cup }), mine),
      ...(part.fillUpMl > 0
        ? [
            lineWith(
              moved(
                scene,
                `move.fill.${part.id}`,
                { vessel: water },
                { vessel: cup },
                { ml: part.fillUpMl },
                part.id,
              ),
              { quiet: true },
            ),
          ]
        : []),
      ...(first ? [lineWith(first, { madeUp: { ml: part.paintMl, tool: '' }, hands: 8 })] : []),
      ...rest,
    ];
  });
  return [...sides, ...(hasBack(backPercent) && sides.length > 0 ? otherSide(scene, axis) : [])];
}

/** What to say of painted sections. */
export function paintNotices(
  pickUpMlPerG: number,
  sections: readonly Section[],
  { dyes, parts }: WayRead,
): WayNotice[] {
  return [
    ...(pickUpMlPerG > RUNS_ML_PER_GRAM ? [{ code: 'runs', values: {} }] : []),
    ...sections.flatMap(({ id, name }): WayNotice[] => {
      const mine = dyes.filter(({ placeId }) => placeId === id);
      const takes = parts.find((part) => part.id === id)?.paintMl ?? 0;
      const stock = mine.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
      if (mine.length === 0) return [{ code: 'no dye', values: { name } }];
      return stock > takes * (1 + 1e-9)
        ? [
            {
              asks: true,
              code: 'too much stock',
              values: { name, stock: formatAmount(stock, 'mL'), takes: formatAmount(takes, 'mL') },
            },
          ]
        : [];
    }),
  ];
}

interface PaintSettings {
  sections: readonly Section[];
  pickUpMlPerG: number;
}

/** What is the same for all goods that are painted in sections and wrapped. */
export const IN_SECTIONS = {
  ...USUAL_WAY,
  liquid: 'paint',
  onGoods: (): boolean => true,
  hot: false,
  soaked: 'damp',
  leaves: 'as they lie',
  needs: 'wrap',
  places: ({ sections }: PaintSettings): readonly Section[] => sections,
  reach: ({ sections }: PaintSettings): number =>
    Math.min(1, sections.reduce((sum, section) => sum + section.sharePercent, 0) / 100),
  bath: ({ pickUpMlPerG }: PaintSettings, grams: number): Figure => paintMl(pickUpMlPerG, grams),
  figures: (_: unknown, { bath }: WayRead): NamedFigure[] => [{ name: 'Paint in all', figure: bath }],
  notices: ({ pickUpMlPerG, sections }: PaintSettings, read: WayRead): WayNotice[] =>
    paintNotices(pickUpMlPerG, sections, read),
} as const;

/** Words that all painting shares. @param what the goods are called */
export const paintWords = <S extends { kind: string }>(
  what: string,
  sectionsOf: (settings: S) => readonly Section[],
) => ({
  ...USUAL_WORDS,
  goodsIn: () => `Lay wrap out, and the damp ${what} on it`,
  title(
    settings: S,
    { act, madeUp, dose }: { act: Written['act']; madeUp: { ml: number } | null; dose?: Written['dose'] },
  ): string | null {
    if (act.kind === 'handle' && act.what === 'turn') return `Turn the ${what} over, look where it is bare`;
    if (act.kind !== 'move' || act.purpose !== 'paint') return null;
    const section = sectionsOf(settings).find(({ id }) => id === act.line)?.name ?? 'the section';
    return dose
      ? `Touch up the back of ${section} with what is left in its cup`
      : `Fill up to ${formatAmount(madeUp?.ml ?? 0, 'mL')} and paint ${section}`;
  },
  detail(settings: S, { act, dose }: { act: Written['act']; dose?: Written['dose'] }): string | null {
    if (act.kind !== 'move' || act.purpose !== 'paint' || dose) return null;
    const sections = sectionsOf(settings);
    const section = sections.find(({ id }) => id === act.line);
    if (!section) return null;
    const order = 'order' in settings ? (settings.order as SectionOrder) : 'once';
    const places = stretchesOf(sections, order).get(section.id)?.length ?? 1;
    const back = 'backPercent' in settings ? (settings.backPercent as number) : 0;
    const kept = hasBack(back)
      ? ` Keep ${formatAmount((100 * back) / (100 + back), '%')} of it for the back.`
      : '';
    return `${formatAmount(section.sharePercent, '%')} of the ${what}${places > 1 ? `, in ${places} places` : ''}. Press the color in, blot what stands, look underneath.${kept}`;
  },
  notice({ code, values: { name, stock, takes } }: WayNotice): string {
    switch (code) {
      case 'runs':
        return 'So much paint will run: sections bleed into each other and the steam carries it further.';
      case 'no dye':
        return `${name} has no dye yet and stays as it is.`;
      default:
        return `${name}: ${stock} of stock is more than the ${takes} it takes up. Take a stronger stock.`;
    }
  },
});
