import { FIBER_G_PER_ML } from '../materials/fiberDensity';
import { threeFigures } from '../units/threeFigures';
import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { formatAmount } from '../units/formatQuantity';
import type { Part } from '../skein/coat';
import { acidsAt, dyes, emptied, filled, pour } from './bath';
import { goodsIn } from './goodsIn';
import { hold, holdUntilClear, ledHot, rise, turned } from './heat';
import { lineWith, type WayStep, type Written } from './line';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Drawn, type Method } from './method';
import { panArea } from './panArea';
import type { End } from '../process/act';
import { idIn, of, type Scene, type SceneDye } from './scene';
import type { MethodOf, Zone } from './settings';
import { frontAndBack, hasBack } from './shares';
import { stretchesOf } from './stretches';

type Settings = MethodOf<'low immersion'>;

/** Where the color of a zone goes, before its name. */
const ON_ZONE: Record<Zone['shape'], string> = {
  band: 'on',
  sides: 'down both sides, on',
  zigzag: 'in a zigzag, on',
  patches: 'in patches, on',
};

/** Less white than this is a rounding of shares, not left on purpose, %. */
const LEAST_WHITE = 0.1;

/** Part of the goods that no zone is poured on, %; none where color is poured all over. */
export function whiteLeft(zones: readonly Zone[]): number {
  const left = 100 - zones.reduce((sum, { sharePercent }) => sum + sharePercent, 0);
  return zones.length === 0 || left < LEAST_WHITE ? 0 : Number(left.toFixed(4));
}

/** Where a dye is poured: on its zone, or into the pan. */
function zoneOf(scene: Scene<Settings>, { placeId }: SceneDye): End {
  const stretch = scene.parts.find(({ id }) => id === placeId)?.stretches[0];
  return stretch ? { place: { piece: null, axis: 'along', ...stretch } } : { vessel: scene.vessel };
}

const firstOfTwo = (line: Written): Written =>
  line.act.purpose === 'dose' ? lineWith(line, { dose: { nth: 1, of: 2 } }) : line;

/** Time for the front, the goods turned, and the rest of each dye poured on their back in the same liquid. */
function ofTheBack(scene: Scene<Settings>): WayStep[] {
  const { frontMinutes } = scene.settings;
  const dose = { nth: 1, of: 2 };
  return [
    ...rise(scene),
    ...(frontMinutes > 0
      ? [
          scene.heat
            ? hold(scene, 'hold.front', 'bath', { minutes: frontMinutes, untilClear: false, dose })
            : standing(scene, frontMinutes),
        ]
      : []),
    lineWith(turned(scene), { quiet: false, hands: 4 }),
    ...scene.dyes.map((dye) => pour(scene, dye, zoneOf(scene, dye), { nth: 2, of: 2 })),
    ...holdUntilClear(scene),
  ];
}

const standing = (scene: Scene<Settings>, minutes: number): Written => ({
  id: idIn(scene, 'stand.front'),
  hands: 1,
  act: { kind: 'stand', ...of(scene, 'rest'), vessel: scene.vessel, minutes, leaves: null },
});

/** Zones as they are drawn: bands one after the other from the end up, the others strewn over what is left. */
function zonesDrawn(zones: readonly Zone[], drawn: Drawn): Part[] {
  const bands = stretchesOf(
    zones.filter(({ shape }) => shape === 'band'),
    'once',
  );
  return zones
    .toSorted((a, b) => Number(b.shape === 'band') - Number(a.shape === 'band'))
    .flatMap(({ id, shape, sharePercent }): Part[] =>
      shape === 'band'
        ? (bands.get(id) ?? []).map((band) => ({ where: { kind: 'along', ...band }, dyes: drawn(id) }))
        : [{ where: { kind: shape, share: sharePercent / 100 }, dyes: drawn(id) }],
    );
}

export const lowImmersion: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'low immersion',
  label: 'low immersion pan',
  gives: 'Water just at the goods, color dropped in places, turned once or twice.',
  usual: {
    kind: 'low immersion',
    pan: { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
    wallCm: 10,
    depthCm: 4,
    liquidMl: null,
    turns: 1,
    sections: [],
    backPercent: 0,
    frontMinutes: 7,
  },
  liquid: 'pan',
  hot: true,
  needs: 'pan',
  places: ({ sections }) => sections,
  shares: ({ backPercent }) => frontAndBack(backPercent),
  bath({ pan, depthCm, liquidMl }, grams) {
    if (liquidMl !== null) return figure(liquidMl, 'mL', 'as decided');
    const area = panArea(pan);
    return figure(
      Math.max(0, area * depthCm - grams / FIBER_G_PER_ML),
      'mL',
      () =>
        `${area.toFixed(0)} cm² × ${plainNumber(depthCm)} cm − ${plainNumber(grams)} g of fiber ÷ ${FIBER_G_PER_ML} g/mL`,
      'exact',
      'density of wool: Morton and Hearle, Physical Properties of Textile Fibres, from memory',
    );
  },
  acts(scene) {
    const { turns, backPercent } = scene.settings;
    const onFront = dyes(scene, (dye) => zoneOf(scene, dye));
    return [
      ...emptied(scene),
      goodsIn(scene, null, 'bath'),
      ...filled(scene, scene.tapC, { madeUp: { ml: scene.fillTo?.ml ?? 0, tool: '' } }),
      ...acidsAt(scene, ['start']),
      ...(hasBack(backPercent) ? onFront.map((line) => firstOfTwo(line)) : onFront),
      ...(hasBack(backPercent) ? ofTheBack(scene) : ledHot(scene, turns)),
    ];
  },
  figures({ pan, wallCm, sections }, { goodsGrams }) {
    const area = panArea(pan);
    const white = whiteLeft(sections);
    return [
      ...(white > 0
        ? [
            {
              name: 'Left white',
              figure: figure(
                white,
                '%',
                () => `100 − ${sections.map(({ sharePercent }) => plainNumber(sharePercent)).join(' − ')} %`,
              ),
            },
          ]
        : []),
      {
        name: 'Pan holds to the rim',
        figure: figure(area * wallCm, 'mL', () => `${area.toFixed(0)} cm² × ${plainNumber(wallCm)} cm`),
      },
      {
        name: 'Goods per area',
        figure: figure(
          (100 * goodsGrams) / area,
          'g',
          () => `${plainNumber(goodsGrams)} g on ${area.toFixed(0)} cm², per 100 cm²`,
        ),
      },
    ];
  },
  look: ({ sections }, drawn) =>
    sections.length === 0 ? allOver(0.3)(null, drawn) : { coats: [zonesDrawn(sections, drawn)], tonal: 0.15 },
  notices({ pan, wallCm }, { bath, allGrams }) {
    const holds = panArea(pan) * wallCm;
    const needs = bath.value + allGrams;
    return needs > holds
      ? [
          {
            code: 'over the rim',
            values: { holds: formatAmount(holds, 'mL'), needs: formatAmount(needs, 'mL') },
            blocks: true,
          },
        ]
      : [];
  },
  words: {
    ...USUAL_WORDS,
    // Before the water since goods go first into a pan; older cards lay them in last.
    goodsIn: (_, { act }) =>
      act.purpose === 'bath'
        ? 'Lay the goods flat in the pan'
        : 'Lay the goods in, just showing; pour color in places',
    title(_, { act, dose }) {
      if (act.kind === 'handle' && act.what === 'turn')
        return 'Turn the goods over, look where they are bare';
      return act.kind === 'hold' && act.purpose === 'bath' && dose ? 'Leave the front to strike' : null;
    },
    where: ({ sections }, place) => {
      const zone = sections.find(({ id }) => id === place?.id);
      return zone
        ? `${ON_ZONE[zone.shape]} ${zone.name}, ${threeFigures(zone.sharePercent)} % of the goods`
        : null;
    },
    detail({ turns, depthCm, liquidMl, backPercent, sections }, { act, madeUp, dose }) {
      if (act.kind === 'run')
        return madeUp && liquidMl === null
          ? `Around the goods: ${threeFigures(depthCm)} cm high once all is in.`
          : null;
      if (act.purpose === 'dose' && dose?.nth === 2) return 'On the back, in the same liquid.';
      if (act.kind === 'place' && whiteLeft(sections) > 0)
        return `${threeFigures(whiteLeft(sections))} % is to stay white: pour nothing there, and do not stir.`;
      if (act.kind === 'hold' && act.purpose === 'bath' && turns > 0 && !hasBack(backPercent))
        return `Turn the goods ${turns === 1 ? 'once' : `${turns} times`}.`;
      return null;
    },
    notice: ({ values: { holds, needs } }) =>
      `This pan holds ${holds} to the rim; water and goods need ${needs}. Take a deeper pan, less water, or fewer goods.`,
  },
};
