import { threeFigures } from '../units/threeFigures';
import { USUAL_RISE_C_PER_MIN } from '../heat/setMethods';
import { formatAmount } from '../units/formatQuantity';
import { acidInto, dilution, emptied, pour, waterInto } from './bath';
import { along, goodsIn } from './goodsIn';
import { hold, rises, turned } from './heat';
import { lineWith, type WayStep } from './line';
import { allOver } from './looks';
import { isWet, USUAL_WAY, USUAL_WORDS, type Method } from './method';
import { lifted } from './ready';
import type { OwnStep, OwnStepKind } from './ownStep';
import { idIn, of, type Scene } from './scene';
import { equalShares } from './shares';
import type { MethodOf } from './settings';

type Settings = MethodOf<'own way'>;

/** Each kind of step in the words of a list to choose from. */
export const OWN_STEP_LABELS: Record<OwnStepKind, string> = {
  water: 'run water',
  dye: 'dye',
  acid: 'acid',
  'goods in': 'goods in',
  lift: 'lift out',
  turn: 'turn',
  're-tie': 're-tie',
  rinse: 'rinse',
  heat: 'heat',
  hold: 'hold hot',
  stand: 'stand',
};

/** What a step of each kind starts from. */
export const OWN_STEP_USUAL: { [K in OwnStepKind]: Extract<OwnStep, { do: K }> } = {
  water: { do: 'water', sharePercent: 100 },
  dye: { do: 'dye', lineId: null },
  acid: { do: 'acid', acidId: 'acid1' },
  'goods in': { do: 'goods in', sharePercent: 100 },
  lift: { do: 'lift' },
  turn: { do: 'turn' },
  're-tie': { do: 're-tie' },
  rinse: { do: 'rinse' },
  heat: { do: 'heat', temperatureC: 82 },
  hold: { do: 'hold', minutes: 20, untilClear: true },
  stand: { do: 'stand', minutes: 10, untilClear: false },
};

/** Steps that put a line of dye in. */
const dosesOf = ({ steps }: Settings, lineId: string): number =>
  steps.filter((step) => step.do === 'dye' && (step.lineId === null || step.lineId === lineId)).length;

/** Steps that put an acid dose in: each takes an equal part of it. */
const partsOf = ({ steps }: Settings, acidId: string): number =>
  steps.filter((step) => step.do === 'acid' && step.acidId === acidId).length;

function actsOf(step: OwnStep, scene: Scene<Settings>, at: number): WayStep[] {
  const id = (role: string): string => idIn(scene, `${role}.${at + 1}`);
  switch (step.do) {
    case 'water': {
      const all = scene.fillTo ? Math.max(0, scene.fillTo.ml - scene.fillTo.besideMl) : 0;
      const ml = (all * step.sharePercent) / 100;
      return ml > 0 ? [lineWith(waterInto(scene, scene.vessel, ml, 'bath'), { id: id('run') })] : [];
    }
    case 'dye':
      return scene.dyes
        .filter(({ lineId }) => step.lineId === null || step.lineId === lineId)
        .flatMap((dye) => {
          const nth = dosesOf(
            { ...scene.settings, steps: scene.settings.steps.slice(0, at + 1) },
            dye.lineId,
          );
          const all = dosesOf(scene.settings, dye.lineId);
          return [
            ...(nth === 1 ? dilution(scene, dye) : []),
            pour(scene, dye, { vessel: scene.vessel }, all > 1 ? { nth, of: all } : null),
          ];
        });
    case 'acid':
      return scene.acids
        .filter(({ id: acidId }) => acidId === step.acidId)
        .map((acid) =>
          lineWith(
            acidInto(
              scene,
              { ...acid, amount: acid.amount / partsOf(scene.settings, acid.id) },
              { vessel: scene.vessel },
              'bath',
            ),
            { id: id('acid') },
          ),
        );
    case 'goods in':
      return [
        lineWith(goodsIn(scene, step.sharePercent < 100 ? along(step.sharePercent / 100) : null), {
          id: id('place.goods'),
        }),
      ];
    case 'lift':
      return [lineWith(lifted(scene, 'lift', 'dripping'), { id: id('lift'), quiet: false, hands: 3 })];
    case 'turn':
      return [lineWith(turned(scene), { id: id('handle.turn'), quiet: false, hands: 2 })];
    case 're-tie':
      return [
        {
          id: id('handle.re-tie'),
          act: { kind: 'handle', ...of(scene, 'dose'), goods: [], what: 're-tie', lies: scene.lies },
          hands: 6,
          cautions: ['scald'],
        },
      ];
    case 'rinse':
      return [
        {
          id: id('rinse'),
          hands: 8,
          cautions: ['disposal'],
          act: { kind: 'rinse', ...of(scene, null), goods: [], soap: false },
        },
      ];
    case 'heat':
      return [rises(scene, `heat.${at + 1}`, step.temperatureC, USUAL_RISE_C_PER_MIN)];
    case 'hold': {
      const { minutes, untilClear } = step;
      const heated = scene.settings.steps.slice(0, at).findLast((one) => one.do === 'heat');
      return minutes > 0
        ? [
            ({ vessels }) => {
              const held = hold(scene, `hold.${at + 1}`, 'bath', { minutes, untilClear });
              if (held.act.kind !== 'hold') return [held];
              // Where it was heated to; what was poured in since has cooled it a little.
              const there = vessels.get(scene.vessel)?.liquid.celsius ?? null;
              const atC = heated?.do === 'heat' ? heated.temperatureC : there;
              return [lineWith(held, { act: { ...held.act, atC, onHeat: true } })];
            },
          ]
        : [];
    }
    case 'stand':
      return [
        {
          id: id('stand'),
          hands: 1,
          act: {
            kind: 'stand',
            ...of(scene, 'rest'),
            vessel: scene.vessel,
            minutes: step.minutes,
            leaves: step.untilClear ? 0 : null,
          },
        },
      ];
  }
}

export const ownWay: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'own way',
  label: 'own way',
  gives: 'Step by step as you put it together, for what no other way does.',
  usual: {
    kind: 'own way',
    steps: (['water', 'dye', 'goods in', 'acid', 'heat', 'hold'] as const).map(
      (kind) => OWN_STEP_USUAL[kind],
    ),
  },
  liquid: 'water',
  hot: false,
  acidTimes: [],
  needs: 'pot',
  shares: (settings, lineId) => equalShares(Math.max(1, dosesOf(settings, lineId))),
  acts: (scene) => [
    ...emptied(scene),
    ...scene.settings.steps.flatMap((step, at) => actsOf(step, scene, at)),
  ],
  look: allOver(0.1),
  notices: ({ steps }, { dyes, acids }) => [
    ...dyes
      .filter(({ lineId }) => dosesOf({ kind: 'own way', steps }, lineId) === 0)
      .map(({ name }) => ({ code: 'dye without a step', values: { name }, blocks: true })),
    ...(dyes.length === 0 || steps.some((step) => step.do === 'goods in')
      ? []
      : [{ code: 'no goods in', values: {}, blocks: true }]),
    ...acids
      .filter(({ id }) => !steps.some((step) => step.do === 'acid' && step.acidId === id))
      .map(({ name }) => ({ code: 'acid without a step', values: { name } })),
  ],
  words: {
    ...USUAL_WORDS,
    goodsIn: (_, { act }) =>
      act.kind === 'place' && act.reach !== null && act.reach !== 'none'
        ? `Hang the goods in, ${threeFigures(100 * act.reach.to)} % of the length`
        : isWet(act)
          ? 'Lift the goods in'
          : 'Lay the dry goods in',
    title: (_, { act }) =>
      act.kind === 'stand' && act.purpose === 'rest'
        ? `Leave it to stand${act.leaves === 0 ? ' until the bath clears' : ''}`
        : act.kind === 'hold' && act.purpose === 'bath' && !act.untilClear
          ? `Hold at ${Math.round(act.atC ?? 0)} °C`
          : act.kind === 'hold' && act.purpose === 'bath'
            ? `Hold at ${Math.round(act.atC ?? 0)} °C until the bath clears`
            : null,
    detail: (_, { act, dose }) => (act.purpose === 'dose' && dose ? `Dose ${dose.nth} of ${dose.of}.` : null),
    unheated: ({ steps }) => {
      const waits = steps.reduce((sum, step) => sum + ('minutes' in step ? step.minutes : 0), 0);
      return `${steps.length} steps${waits > 0 ? `, ${formatAmount(waits, 'min')} of waits` : ''}`;
    },
    notice: ({ code, values: { name } }) =>
      code === 'dye without a step'
        ? `${name} goes in at no step: give it one, or take the line out.`
        : code === 'no goods in'
          ? 'The goods go in at no step: give them one.'
          : `${name} goes in at no step and is left out.`,
  },
};
