import { threeFigures } from '../units/threeFigures';
import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { Part } from '../skein/coat';
import { dyebath } from './bath';
import { along, goodsIn } from './goodsIn';
import { hold, lateAcids, rise } from './heat';
import type { WayStep } from './line';
import { isWet, USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { idIn, of } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'dip'>;

export const dip: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'dip',
  label: 'dip',
  gives: 'A gradient by time in the bath, the end first.',
  usual: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20 },
  liquid: 'water',
  hot: true,
  needs: 'pot',
  reach: ({ sharePercent }) => sharePercent / 100,
  acts(scene) {
    const { sharePercent, steps, minutes } = scene.settings;
    // Each step leaves less of the length in, so that the end has been in longest.
    const reach = (nth: number) => along(((sharePercent / 100) * (steps - nth + 1)) / steps);
    return [
      ...dyebath(scene),
      goodsIn(scene, reach(1)),
      ...rise(scene),
      ...Array.from({ length: steps }, (_, i): WayStep[] => {
        const dose = { nth: i + 1, of: steps };
        return [
          ...(i > 0
            ? [
                {
                  id: idIn(scene, `place.dip${dose.nth}`),
                  quiet: true,
                  act: {
                    ...goodsIn(scene, reach(dose.nth)).act,
                    ...of(scene, 'dip'),
                    lies: null,
                    wet: true,
                  } as ReturnType<typeof goodsIn>['act'],
                },
              ]
            : []),
          hold(scene, `hold.dip${dose.nth}`, 'dip', {
            minutes: minutes / steps,
            untilClear: dose.nth === steps,
            dose,
          }),
        ];
      }).flat(),
      ...lateAcids(scene),
    ];
  },
  figures: ({ sharePercent, steps, minutes }, { goodsGrams }) => [
    {
      name: 'Goods in the bath',
      figure: figure(goodsGrams, 'g', () => `${plainNumber(sharePercent)} % of the length`),
    },
    {
      name: 'Time in the bath per step',
      figure: figure(minutes / steps, 'min', () => `${plainNumber(minutes)} min ÷ ${steps} steps`),
    },
  ],
  look({ sharePercent, steps }, drawn) {
    // The end has the whole of its dye, the edge of the dip the least.
    const share = sharePercent / 100;
    const parts = Array.from({ length: steps }, (_, i): Part => ({
      where: { kind: 'along', from: (share * i) / steps, to: (share * (i + 1)) / steps },
      dyes: drawn(null).map((dye) => ({
        ...dye,
        dosPercent: (dye.dosPercent * 2 * (steps - i)) / (steps + 1),
      })),
    }));
    return { coats: [parts], tonal: 0 };
  },
  words: {
    ...USUAL_WORDS,
    goodsIn: ({ sharePercent }, { act }) =>
      `Hang the end of the ${isWet(act) ? 'goods' : 'dry goods'} in, ${threeFigures(sharePercent)} % of the length`,
    title({ sharePercent }, { dose }) {
      // Only what stays in counts its steps.
      if (!dose) return null;
      return dose.nth === dose.of
        ? `Leave the last ${Math.round((10 * sharePercent) / dose.of) / 10} % in`
        : `Leave it ${dose.nth} of ${dose.of}, then lift by one step`;
    },
  },
};
