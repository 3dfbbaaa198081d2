import { threeFigures } from '../units/threeFigures';
import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { Part } from '../skein/coat';
import { dyebath } from './bath';
import { along, goodsIn } from './goodsIn';
import { hold, lateAcids, rise } from './heat';
import type { Act } from '../process/act';
import { lineWith, type WayStep } from './line';
import { isWet, USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { lifted } from './ready';
import { idIn, of, type Scene, type SceneDye } from './scene';
import type { MethodOf } from './settings';

type Settings = MethodOf<'dip'>;

/** An end of the goods that is dipped. */
interface DippedEnd {
  /** Null where there is only one. */
  id: string | null;
  name: string;
  sharePercent: number;
  /** Counted from the far end of the length. */
  other: boolean;
}

/** The ends in the order they are dipped in. */
const endsOf = ({ sections, sharePercent }: Settings): DippedEnd[] =>
  sections.length === 0
    ? [{ id: null, name: 'end', sharePercent, other: false }]
    : sections.map((section, i) => ({ ...section, other: i === 1 }));

/** How much of the length a wait is about, %. */
const sharesOf = (settings: Settings, { line }: Pick<Act, 'line'>): number =>
  endsOf(settings).find(({ id }) => id === line)?.sharePercent ?? settings.sharePercent;

/** One end in its bath: deepest at the end, for it is in longest. */
function dipped(scene: Scene<Settings>, end: DippedEnd, nth: number): WayStep[] {
  const { steps, minutes, lowered } = scene.settings;
  const role = (name: string): string => (nth === 0 ? name : `${name}.end${nth + 1}`);
  const mine = scene.dyes.filter(({ placeId }) => end.id === null || placeId === end.id);
  // Lifted, each step leaves less of the length in; lowered, each brings more.
  const reach = (step: number): ReturnType<typeof along> => {
    const part = (end.sharePercent / 100) * ((lowered ? step : steps - step + 1) / steps);
    return end.other ? { axis: 'along', from: 1 - part, to: 1 } : along(part);
  };
  const bath = bathOf(scene, mine, end.sharePercent / (100 * dip.reach(scene.settings)));
  const last = nth === endsOf(scene.settings).length - 1;
  return [
    ...(nth > 0 ? [lineWith(lifted(scene, role('lift'), 'dripping'), { quiet: false, hands: 3 })] : []),
    ...dyebath(bath, bath.tapC, mine),
    lineWith(goodsIn(scene, reach(1)), { id: idIn(scene, role('place.goods')) }),
    ...rise(bath),
    ...Array.from({ length: steps }, (_, i): WayStep[] => {
      const dose = { nth: i + 1, of: steps };
      const held = hold(scene, role(`hold.dip${dose.nth}`), 'dip', {
        minutes: minutes / steps,
        untilClear: dose.nth === steps,
        dose,
      });
      return [
        ...(i > 0
          ? [
              {
                id: idIn(scene, role(`place.dip${dose.nth}`)),
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
        // An end that is lifted out after it takes its late acid before that.
        ...(!last && dose.nth === steps ? lateAcids(bath) : []),
        end.id === null ? held : lineWith(held, { act: { ...held.act, line: end.id } }),
      ];
    }).flat(),
    ...(last ? lateAcids(bath) : []),
  ];
}

const stockMl = (dyes: readonly SceneDye[]): number =>
  dyes.reduce((sum, { amount, unit }) => sum + (unit === 'mL' ? amount : 0), 0);

/** The bath of one end: its dyes, and its part of the water and the acid. @param part of all, 0 to 1 */
function bathOf(scene: Scene<Settings>, mine: readonly SceneDye[], part: number): Scene<Settings> {
  const { fillTo, acids, dyes } = scene;
  return {
    ...scene,
    acids: acids.map((acid) => ({ ...acid, amount: acid.amount * part })),
    fillTo: fillTo && {
      ml: fillTo.ml * part,
      besideMl: stockMl(mine) + part * (fillTo.besideMl - stockMl(dyes)),
    },
  };
}

export const dip: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'dip',
  label: 'dip',
  gives: 'A gradient by time in the bath, the end first.',
  usual: { kind: 'dip', sharePercent: 60, steps: 4, minutes: 20, lowered: false, sections: [] },
  liquid: 'water',
  hot: true,
  waitsItself: true,
  needs: 'pot',
  places: ({ sections }) => sections,
  reach: (settings) => endsOf(settings).reduce((sum, { sharePercent }) => sum + sharePercent / 100, 0),
  acts: (scene) => endsOf(scene.settings).flatMap((end, nth) => dipped(scene, end, nth)),
  figures: (settings, { goodsGrams }) => [
    {
      name: 'Goods in the bath',
      figure: figure(
        goodsGrams,
        'g',
        () =>
          `${endsOf(settings)
            .map(({ sharePercent }) => plainNumber(sharePercent))
            .join(' and ')} % of the length`,
      ),
    },
    {
      name: 'Time in the bath per step',
      figure: figure(
        settings.minutes / settings.steps,
        'min',
        () => `${plainNumber(settings.minutes)} min ÷ ${settings.steps} steps`,
      ),
    },
  ],
  look(settings, drawn) {
    // The end has the whole of its dye, the edge of the dip the least.
    const { steps } = settings;
    const parts = endsOf(settings).flatMap(({ id, sharePercent, other }) =>
      Array.from({ length: steps }, (_, i): Part => {
        const [from, to] = [(sharePercent * i) / steps / 100, (sharePercent * (i + 1)) / steps / 100];
        return {
          where: { kind: 'along', ...(other ? { from: 1 - to, to: 1 - from } : { from, to }) },
          dyes: drawn(id).map((dye) => ({
            ...dye,
            dosPercent: (dye.dosPercent * 2 * (steps - i)) / (steps + 1),
          })),
        };
      }),
    );
    return { coats: [parts], tonal: 0 };
  },
  words: {
    ...USUAL_WORDS,
    goodsIn(settings, { act }) {
      const reach = act.kind === 'place' && typeof act.reach === 'object' ? act.reach : null;
      const other = reach !== null && reach.from > 0;
      const ends = endsOf(settings);
      const name = ends.length > 1 ? `${ends[other ? 1 : 0]?.name ?? 'end'} of the` : 'end of the';
      const much = threeFigures(Math.round(1000 * ((reach?.to ?? 1) - (reach?.from ?? 0))) / 10);
      return `Hang the ${name} ${isWet(act) ? 'goods' : 'dry goods'} in, ${much} % of the length`;
    },
    title(settings, { dose, act }) {
      // Only what stays in counts its steps.
      if (!dose || act.kind === 'put' || act.kind === 'move') return null;
      const each = Math.round((10 * sharesOf(settings, act)) / dose.of) / 10;
      if (settings.lowered)
        return dose.nth === dose.of
          ? `Leave all of it in until the bath clears`
          : `Leave it ${dose.nth} of ${dose.of}, then lower it by ${each} %`;
      return dose.nth === dose.of
        ? `Leave the last ${each} % in`
        : `Leave it ${dose.nth} of ${dose.of}, then lift by one step`;
    },
    where: (_, place) => place && `for the ${place.name}`,
  },
};
