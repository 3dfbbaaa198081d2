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
import { idIn, of, paintCup, type AnyScene } from './scene';
import type { Section } from './settings';

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
export const laidOut = (scene: AnyScene): Written =>
  lineWith(goodsIn(scene, 'none'), { quiet: true, hands: 0 });

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

/** Cups filled up, and each emptied onto its section, lightest first as they were put down. */
export function paintedSections(scene: AnyScene, axis: Place['axis']): WayStep[] {
  const water = paintCup(scene, 'water');
  return scene.parts.flatMap((part): WayStep[] => {
    const mine = scene.dyes.filter(({ placeId }) => placeId === part.id);
    if (mine.length === 0) return [];
    const cup = paintCup(scene, part.id);
    const place: Place = { piece: null, axis, from: part.from, to: part.to };
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
      lineWith(moved(scene, `paint.${part.id}`, { vessel: cup }, { place }, { share: 1 }, part.id), {
        madeUp: { ml: part.paintMl, tool: '' },
        hands: 8,
      }),
    ];
  });
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
  goodsIn: () => `Lay the ${what} out to be painted`,
  title(settings: S, { act, madeUp }: { act: Written['act']; madeUp: { ml: number } | null }): string | null {
    if (act.kind !== 'move' || act.purpose !== 'paint') return null;
    const section = sectionsOf(settings).find(({ id }) => id === act.line);
    return `Fill up to ${formatAmount(madeUp?.ml ?? 0, 'mL')} and paint ${section?.name ?? 'the section'}`;
  },
  detail(settings: S, { act }: { act: Written['act'] }): string | null {
    if (act.kind !== 'move' || act.purpose !== 'paint') return null;
    const section = sectionsOf(settings).find(({ id }) => id === act.line);
    return section
      ? `${formatAmount(section.sharePercent, '%')} of the ${what}. Press the color in, turn, look underneath.`
      : null;
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
