import { EVERYWHERE } from '../process/everywhere';
import type { Part } from '../skein/coat';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, dyes, water } from './bath';
import { goodsIn } from './goodsIn';
import { ledHot, stands } from './heat';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'sprinkle'>;

/** Smallest cover that is drawn. */
const LEAST_COVER = 0.05;

export const sprinkle: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'sprinkle',
  label: 'sprinkle',
  gives: 'Dry powder, or powder cut with citric crystals, in speckles.',
  usual: { kind: 'sprinkle', citricPerGram: 10, coverPercent: 30, settleMinutes: 5 },
  liquid: 'water',
  dry: true,
  hot: true,
  leaves: 'dripping',
  needs: 'pot',
  acidTimes: [...USUAL_WAY.acidTimes, 'with powder'],
  cut: ({ citricPerGram }) => citricPerGram,
  acts: (scene) => [
    ...water(scene),
    ...acidsAt(scene, ['start']),
    goodsIn(scene),
    ...acidsAt(scene, ['with powder', 'cut'], { place: EVERYWHERE }),
    ...dyes(scene, () => ({ place: EVERYWHERE })),
    ...stands(scene, 'settle', scene.settings.settleMinutes),
    ...ledHot(scene),
  ],
  look({ coverPercent }, drawn) {
    const cover = coverPercent / 100;
    const dyes = drawn(null);
    const specks = dyes.map((dye): Part => ({
      where: { kind: 'specks', share: cover / dyes.length },
      dyes: [{ ...dye, dosPercent: dye.dosPercent / Math.max(LEAST_COVER, cover) }],
    }));
    return { coats: [specks], tonal: 0 };
  },
  words: {
    ...USUAL_WORDS,
    goodsIn: () => 'Lay the goods in, just showing',
    title: (_, { act }) =>
      act.kind === 'stand' && act.purpose === 'settle' ? 'Leave it to settle, nothing moved' : null,
    detail({ citricPerGram }, { askedGrams }) {
      // Only powder has grams asked for.
      const cut = (askedGrams ?? 0) * citricPerGram;
      return cut > 0
        ? `Stir it with ${formatAmount(cut, 'g')} of the citric crystals first, so that it sticks on contact.`
        : null;
    },
  },
};
