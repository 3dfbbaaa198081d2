import type { End } from '../process/act';
import { dyes } from './bath';
import { lateAcids } from './heat';
import { lineWith, type Written } from './line';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { laidOut, moved, paintMl, paintNotices, paintWater, paintWords } from './painted';
import { paintCup, type Scene } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'painted stack'>;

/** A layer of a stack, counted from the top, 0 first. */
export const layerOf = (layers: number, i: number) =>
  ({ piece: null, axis: 'layer', from: i / layers, to: (i + 1) / layers }) as const;

/** Painted layer by layer from the top; what a layer does not keep drains to the one below. */
function paintedLayers(scene: Scene<Settings>): Written[] {
  const { layers, drainPercent } = scene.settings;
  const layer = (i: number): End => ({ place: layerOf(layers, i) });
  const cup = paintCup(scene, 'all');
  const quietly = (role: string, from: End, to: End, share: number): Written =>
    lineWith(moved(scene, role, from, to, { share }), { quiet: true, hands: 0 });
  return [
    ...Array.from({ length: layers - 1 }, (_, i) => [
      quietly(`paint.layer${i + 1}`, { vessel: cup }, layer(i), 1 / (layers - i)),
      ...(drainPercent > 0
        ? [quietly(`drain.layer${i + 1}`, layer(i), layer(i + 1), drainPercent / 100)]
        : []),
    ]).flat(),
    lineWith(moved(scene, `paint.layer${layers}`, { vessel: cup }, layer(layers - 1), { share: 1 }), {
      hands: 5 * layers,
    }),
  ];
}

export const paintedStack: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'painted stack',
  label: 'painted stack',
  gives: 'Flat pieces one on another in a shallow pan; the lowest comes out darkest.',
  usual: { kind: 'painted stack', layers: 3, drainPercent: 20, pickUpMlPerG: 1.2 },
  liquid: 'paint',
  hot: false,
  soaked: 'damp',
  leaves: 'as they lie',
  needs: 'pan',
  bath: ({ pickUpMlPerG }, grams) => paintMl(pickUpMlPerG, grams),
  acts(scene) {
    const cup = paintCup(scene, 'all');
    const water = paintCup(scene, 'water');
    return [
      laidOut(scene),
      ...paintWater(scene),
      ...dyes(scene, () => ({ vessel: cup })),
      ({ vessels }) =>
        (vessels.get(water)?.liquid.ml ?? 0) > 0
          ? [
              lineWith(moved(scene, 'move.fill', { vessel: water }, { vessel: cup }, { share: 1 }), {
                quiet: true,
                hands: 0,
              }),
            ]
          : [],
      ...(scene.dyes.length > 0 ? paintedLayers(scene) : []),
      ...lateAcids(scene),
    ];
  },
  figures: (_, { bath }) => [{ name: 'Paint in all', figure: bath }],
  look: allOver(0),
  notices: ({ pickUpMlPerG }, read) => paintNotices(pickUpMlPerG, [], read),
  words: {
    ...paintWords('stack', () => []),
    goodsIn: () => 'Lay the pieces one on another in the pan',
    title: ({ layers }: Settings, { act }: Pick<Written, 'act'>) =>
      act.kind === 'move' && act.purpose === 'paint'
        ? `Paint the stack, ${layers} layers, pressing the color through`
        : null,
    detail: () => null,
    unheated: USUAL_WORDS.unheated,
  },
};
