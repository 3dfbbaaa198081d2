import { FIBER_G_PER_ML } from '../materials/fiberDensity';
import { threeFigures } from '../units/threeFigures';
import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { formatAmount } from '../units/formatQuantity';
import { acidsAt, dyes, emptied, filled } from './bath';
import { goodsIn } from './goodsIn';
import { ledHot } from './heat';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { panArea } from './panArea';
import type { MethodOf } from './settings';

type Settings = MethodOf<'low immersion'>;

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
    turns: 1,
  },
  liquid: 'pan',
  hot: true,
  needs: 'pan',
  bath({ pan, depthCm }, grams) {
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
  acts: (scene) => [
    ...emptied(scene),
    goodsIn(scene, null, 'bath'),
    ...filled(scene, scene.tapC, { madeUp: { ml: scene.fillTo?.ml ?? 0, tool: '' } }),
    ...acidsAt(scene, ['start']),
    ...dyes(scene, () => ({ vessel: scene.vessel })),
    ...ledHot(scene, scene.settings.turns),
  ],
  figures({ pan, wallCm }, { goodsGrams }) {
    const area = panArea(pan);
    return [
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
  look: allOver(0.3),
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
    detail({ turns, depthCm }, { act, madeUp }) {
      if (act.kind === 'run')
        return madeUp ? `Around the goods: ${threeFigures(depthCm)} cm high once all is in.` : null;
      if (act.kind === 'hold' && act.purpose === 'bath' && turns > 0)
        return `Turn the goods ${turns === 1 ? 'once' : `${turns} times`}.`;
      return null;
    },
    notice: ({ values: { holds, needs } }) =>
      `This pan holds ${holds} to the rim; water and goods need ${needs}. Take a deeper pan, less water, or fewer goods.`,
  },
};
