import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { acidsAt, dilution, pour, water } from './bath';
import { goodsIn } from './goodsIn';
import { hold, lateAcids, rise } from './heat';
import { lineWith, type Line, type WayStep, type Written } from './line';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { lifted } from './ready';
import { liesWords } from './arranged';
import { idIn, of, type AnyScene, type Scene, type SceneDye } from './scene';
import { equalShares } from './shares';
import type { MethodOf } from './settings';

type Settings = MethodOf<'repeated'>;

/** One dose as it is given: which dyes, how the goods are tied for it, how long it strikes. */
interface Given {
  dyes: readonly SceneDye[];
  lies: AnyScene['lies'];
  minutes: number;
  /** The dose that was decided; null where all are alike. */
  line: string | null;
}

/** The doses of a pass: those with dyes of their own, or all dyes in so many equal parts. */
function dosesOf({ settings, dyes, lies }: Scene<Settings>): Given[] {
  const { repeats, minutes, sections } = settings;
  return sections.length > 0
    ? sections.map((dose) => ({
        dyes: dyes.filter(({ placeId }) => placeId === dose.id),
        lies: dose.lies,
        minutes: dose.minutes,
        line: dose.id,
      }))
    : Array.from({ length: repeats }, () => ({ dyes, lies, minutes, line: null }));
}

/** An act that is about one dose. */
const inDose = (written: Written, line: string | null): Written =>
  line === null ? written : lineWith(written, { act: { ...written.act, line } });

/** Goods in for a dose, tied as it wants them. */
function laidIn(scene: AnyScene, lies: AnyScene['lies'], dose: Line['dose'], line: string | null): Written {
  const placed = goodsIn({ ...scene, lies });
  return inDose(lineWith(placed, { dose, hands: 2 }), line);
}

/** A dose by its name, or its number. */
const which = ({ sections }: Settings, { dose, act }: Pick<Line, 'dose' | 'act'>): string =>
  sections.find(({ id }) => id === act.line)?.name ?? (dose ? `dose ${dose.nth} of ${dose.of}` : 'dose');

export const repeated: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'repeated',
  label: 'repeated twist or knot',
  gives: 'Small doses into a hot acid pot, the goods re-tied between them.',
  usual: { kind: 'repeated', repeats: 4, minutes: 8, sections: [] },
  liquid: 'water',
  hot: true,
  hotUsually: true,
  waitsItself: true,
  needs: 'pot',
  places: ({ sections }) => sections,
  shares: ({ repeats, sections }) => (sections.length > 0 ? [1] : equalShares(repeats)),
  acts(scene) {
    const doses = dosesOf(scene);
    return [
      ...water(scene),
      ...acidsAt(scene, ['start']),
      ...rise(scene),
      ...doses.flatMap(({ lies, minutes, dyes, line }, i): WayStep[] => {
        const dose = { nth: i + 1, of: doses.length };
        return [
          ...(i > 0
            ? [
                lifted(scene, `lift.${i + 1}`, 'dripping'),
                {
                  id: idIn(scene, 'handle.re-tie'),
                  act: {
                    kind: 'handle' as const,
                    ...of(scene, 'dose', line),
                    goods: [],
                    what: 're-tie' as const,
                    lies,
                  },
                  hands: 6,
                  cautions: ['scald' as const],
                },
              ]
            : []),
          ...dyes.flatMap((dye) => [
            ...(line !== null || i === 0 ? dilution(scene, dye) : []),
            // A dose of its own dyes is poured whole, however many doses there are.
            lineWith(pour(scene, dye, { vessel: scene.vessel }, line === null ? dose : null), { dose }),
          ]),
          laidIn(scene, lies, dose, line),
          ...(minutes > 0
            ? [inDose(hold(scene, 'hold.strike', 'strike', { minutes, untilClear: true, dose }), line)]
            : []),
        ];
      }),
      ...lateAcids(scene),
    ];
  },
  figures: ({ minutes, repeats, sections }) => [
    {
      name: 'Time between the first dose and the last',
      figure:
        sections.length > 0
          ? figure(
              sections.slice(0, -1).reduce((sum, dose) => sum + dose.minutes, 0),
              'min',
              () =>
                sections
                  .slice(0, -1)
                  .map((dose) => `${plainNumber(dose.minutes)} min after ${dose.name}`)
                  .join(' + '),
            )
          : figure(
              minutes * (repeats - 1),
              'min',
              () => `${plainNumber(minutes)} min after each of ${repeats} doses but the last`,
            ),
    },
  ],
  look({ sections }, drawn) {
    if (sections.length === 0) return allOver(0.3)(null, drawn);
    return {
      coats: sections.map(({ id }) => [{ where: { kind: 'all' }, dyes: drawn(id) }]),
      lying: sections.map(({ lies }) => lies),
      tonal: 0.1,
    };
  },
  words: {
    ...USUAL_WORDS,
    goodsIn(settings, line) {
      const lies = settings.sections.length > 0 && line.act.kind === 'place' && line.act.lies;
      const how = lies ? liesWords(lies) : null;
      return `Goods in, ${which(settings, line)}${how === null ? '' : `, ${how}`}`;
    },
    title: (settings, line) =>
      line.act.purpose === 'strike' ? `Let ${which(settings, line)} strike until the bath clears` : null,
    detail: ({ sections }, line) =>
      line.act.purpose === 'dose' && line.dose && line.act.kind !== 'handle' && sections.length === 0
        ? `Dose ${line.dose.nth} of ${line.dose.of}.`
        : null,
    where: (_, place) => place && `for ${place.name}`,
  },
};
