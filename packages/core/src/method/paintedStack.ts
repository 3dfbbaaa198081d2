import type { End } from '../process/act';
import { dyes } from './bath';
import { ACIDS } from '../materials/acids';
import type { Part } from '../skein/coat';
import { formatAmount } from '../units/formatQuantity';
import { lateAcids, turned } from './heat';
import { lineWith, type Written } from './line';
import { inSections } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import {
  IN_SECTIONS,
  laidOut,
  moved,
  paintedSections,
  paintMl,
  paintNotices,
  paintWater,
  paintWords,
} from './painted';
import { paintCup, type Scene } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'painted stack'>;

/** A layer of a stack, counted from the top, 0 first. */
export const layerOf = (layers: number, i: number) =>
  ({ piece: null, axis: 'layer', from: i / layers, to: (i + 1) / layers }) as const;

/** Less than this drains nowhere, %. */
const LEAST_DRAIN = 0.01;

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
      ...(drainPercent >= LEAST_DRAIN
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
  usual: {
    kind: 'painted stack',
    layers: 3,
    drainPercent: 20,
    pickUpMlPerG: 1.2,
    sections: [],
    rounds: 1,
    flip: false,
  },
  liquid: 'paint',
  onGoods: (): boolean => true,
  hot: false,
  soaked: 'damp',
  leaves: 'as they lie',
  needs: 'pan',
  places: ({ sections }) => sections,
  reach: ({ sections }) => (sections.length === 0 ? 1 : IN_SECTIONS.reach({ sections, pickUpMlPerG: 1 })),
  bath: ({ pickUpMlPerG }, grams) => paintMl(pickUpMlPerG, grams),
  acts(scene) {
    const { sections, flip } = scene.settings;
    const flipped = flip ? [lineWith(turned(scene), { quiet: false, hands: 4 })] : [];
    if (sections.length > 0)
      return [
        laidOut(scene),
        ...paintWater(scene),
        ...paintedSections(scene, 'along'),
        ...flipped,
        ...lateAcids(scene),
      ];
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
      ...flipped,
      ...lateAcids(scene),
    ];
  },
  figures: (_, { bath }) => [{ name: 'Paint in all', figure: bath }],
  look({ layers, drainPercent, sections }, drawn) {
    if (sections.length > 0) return { coats: [inSections(sections, 'along', drawn)], tonal: 0.05 };
    const kept = 1 - drainPercent / 100;
    let above = 0;
    const parts = Array.from({ length: layers }, (_, i): Part => {
      // Each layer gets its part and what drains on to it; the lowest keeps all.
      const got = 1 + above;
      above = got * (1 - kept);
      const times = i === layers - 1 ? got : got * kept;
      return {
        where: { kind: 'layer', from: i / layers, to: (i + 1) / layers },
        dyes: drawn(null).map((dye) => ({ ...dye, dosPercent: dye.dosPercent * times })),
      };
    });
    return { coats: [parts], tonal: 0 };
  },
  notices: ({ pickUpMlPerG, sections }, read) => paintNotices(pickUpMlPerG, sections, read),
  words: {
    ...paintWords('stack', ({ sections }: Settings) => sections),
    goodsIn: () => 'Lay the pieces one on another in the pan, flat',
    title(settings: Settings, line) {
      const { act, madeUp } = line;
      const { layers, sections } = settings;
      const rounds = settings.rounds > 1 ? `, in ${settings.rounds} rounds` : '';
      if (act.kind === 'handle' && act.what === 'turn') return 'Flip the whole pile';
      if (act.kind === 'run' && act.purpose === 'top up')
        return 'Pour water in at the side of the pile, to less than half the wall';
      if (act.kind === 'put' && act.material.kind === 'acid' && act.purpose === 'late')
        return `Pour ${ACIDS[act.material.acid].label} in at the sides, not on the wool`;
      if (act.kind !== 'move' || act.purpose !== 'paint') return null;
      const section = sections.find(({ id }) => id === act.line);
      return section
        ? `Fill up to ${formatAmount(madeUp?.ml ?? 0, 'mL')} and paint ${section.name} on each of ${layers} layers${rounds}`
        : `Paint the stack, ${layers} layers${rounds}, pressing the color through`;
    },
    detail({ layers, rounds, sections }: Settings, { act, madeUp }) {
      if (act.kind !== 'move' || act.purpose !== 'paint' || !madeUp || sections.length === 0) return null;
      return `${formatAmount(madeUp.ml / layers / rounds, 'mL')} a layer${rounds > 1 ? ' and round' : ''}, the same zones in the same order; press it through.`;
    },
    unheated: USUAL_WORDS.unheated,
  },
};
