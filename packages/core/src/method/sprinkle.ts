import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { EVERYWHERE } from '../process/everywhere';
import type { Part } from '../skein/coat';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, emptied, pour, water } from './bath';
import { lineWith, type WayStep } from './line';
import { SQUEEZED_ML_PER_GRAM } from './ready';
import { equalShares } from './shares';
import { goodsIn } from './goodsIn';
import { ledHot, stands, turned } from './heat';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'sprinkle'>;

/** Smallest cover that is drawn. */
const LEAST_COVER = 0.05;

/** The only liquid of damp goods on a tray: what they hold. @param grams dry goods */
const heldBy = (grams: number): Figure =>
  figure(
    SQUEEZED_ML_PER_GRAM * grams,
    'mL',
    () => `${SQUEEZED_ML_PER_GRAM} mL/g × ${plainNumber(grams)} g that damp goods hold`,
    'estimate',
    'from memory, yields to your own',
  );

/** What powder is strewn by. */
const BY: Record<Settings['by'], string | null> = {
  fingers: null,
  sieve: 'through a sieve',
  'fan brush': 'off a fan brush',
};

export const sprinkle: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'sprinkle',
  label: 'sprinkle',
  gives: 'Dry powder, or powder cut with citric crystals, in speckles.',
  usual: {
    kind: 'sprinkle',
    citricPerGram: 10,
    coverPercent: 30,
    settleMinutes: 5,
    on: 'in a bath',
    by: 'fingers',
    bothSides: false,
  },
  liquid: 'water',
  dry: true,
  hot: true,
  leaves: 'dripping',
  needs: 'pot',
  acidTimes: [...USUAL_WAY.acidTimes, 'with powder'],
  cut: ({ citricPerGram }) => citricPerGram,
  onGoods: ({ on }) => on !== 'in a bath',
  bath: ({ on }, grams) => (on === 'in a bath' ? null : heldBy(grams)),
  shares: ({ bothSides }) => equalShares(bothSides ? 2 : 1),
  acts(scene) {
    const { settleMinutes, on, bothSides } = scene.settings;
    const sides = bothSides ? 2 : 1;
    const strewn = (nth: number): WayStep[] => [
      ...acidsAt(scene, ['with powder', 'cut'], { place: EVERYWHERE }).map((acid) =>
        acid.act.kind === 'put' && acid.act.amount !== null
          ? lineWith(acid, { act: { ...acid.act, amount: acid.act.amount / sides } })
          : acid,
      ),
      ...scene.dyes.map((dye) => pour(scene, dye, { place: EVERYWHERE }, bothSides ? { nth, of: 2 } : null)),
      ...stands(scene, 'settle', settleMinutes),
    ];
    return [
      ...(on === 'in a bath' ? water(scene) : emptied(scene)),
      ...(on === 'in a bath' ? acidsAt(scene, ['start']) : []),
      on === 'in a bath' ? goodsIn(scene) : goodsIn(scene, 'none'),
      ...(on === 'in a bath' ? [] : acidsAt(scene, ['start'], { place: EVERYWHERE })),
      ...strewn(1),
      ...(bothSides ? [lineWith(turned(scene), { quiet: false, hands: 4 }), ...strewn(2)] : []),
      ...ledHot(scene),
    ];
  },
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
    goodsIn: (_, { act }) =>
      act.kind === 'place' && act.reach === 'none'
        ? 'Lay the damp goods out on a tray'
        : 'Lay the goods in, just showing',
    title: (_, { act }) =>
      act.kind === 'stand' && act.purpose === 'settle'
        ? 'Leave it to settle, nothing moved'
        : act.kind === 'handle' && act.what === 'turn'
          ? 'Look at it, then turn the goods over'
          : null,
    where: ({ by }) => BY[by],
    detail({ citricPerGram }, { askedGrams }) {
      // Only powder has grams asked for.
      const cut = (askedGrams ?? 0) * citricPerGram;
      return cut > 0
        ? `Stir ${formatAmount(cut, 'g')} of those citric crystals into it first, so that it sticks on contact.`
        : null;
    },
  },
};
