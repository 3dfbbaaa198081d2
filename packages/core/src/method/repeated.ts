import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { acidsAt, dilution, pour, water } from './bath';
import { goodsIn } from './goodsIn';
import { hold, lateAcids, rise } from './heat';
import { lineWith, type Line, type WayStep } from './line';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { lifted } from './ready';
import { idIn, of } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'repeated'>;

const which = ({ dose }: Pick<Line, 'dose'>): string => (dose ? `dose ${dose.nth} of ${dose.of}` : 'dose');

export const repeated: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'repeated',
  label: 'repeated twist or knot',
  gives: 'Small doses into a hot acid pot, the goods re-tied between them.',
  usual: { kind: 'repeated', repeats: 4, minutes: 8 },
  liquid: 'water',
  hot: true,
  needs: 'pot',
  doses: ({ repeats }) => repeats,
  acts(scene) {
    const { repeats, minutes } = scene.settings;
    return [
      ...water(scene),
      ...acidsAt(scene, ['start']),
      ...rise(scene),
      ...Array.from({ length: repeats }, (_, i): WayStep[] => {
        const dose = { nth: i + 1, of: repeats };
        return [
          ...(i > 0
            ? [
                lifted(scene, `lift.${i + 1}`, 'dripping'),
                {
                  id: idIn(scene, 'handle.re-tie'),
                  act: {
                    kind: 'handle' as const,
                    ...of(scene, 'dose'),
                    goods: [],
                    what: 're-tie' as const,
                    lies: scene.lies,
                  },
                  hands: 6,
                  cautions: ['scald' as const],
                },
              ]
            : []),
          ...scene.dyes.flatMap((dye) => [
            ...(i === 0 ? dilution(scene, dye) : []),
            pour(scene, dye, { vessel: scene.vessel }, dose),
          ]),
          lineWith(goodsIn(scene), { dose, hands: 2 }),
          ...(minutes > 0 ? [hold(scene, 'hold.strike', 'strike', { minutes, untilClear: true, dose })] : []),
        ];
      }).flat(),
      ...lateAcids(scene),
    ];
  },
  figures: ({ minutes, repeats }) => [
    {
      name: 'Time between the first dose and the last',
      figure: figure(
        minutes * (repeats - 1),
        'min',
        () => `${plainNumber(minutes)} min after each of ${repeats} doses but the last`,
      ),
    },
  ],
  look: allOver(0.3),
  words: {
    ...USUAL_WORDS,
    goodsIn: (_, line) => `Goods in, ${which(line)}`,
    title: (_, line) =>
      line.act.purpose === 'strike' ? `Let ${which(line)} strike until the bath clears` : null,
    detail: (_, line) =>
      line.act.purpose === 'dose' && line.dose && line.act.kind !== 'handle'
        ? `${which(line).replace('d', 'D')}.`
        : null,
  },
};
