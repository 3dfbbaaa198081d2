import type { CautionName } from '../materials/cautionNames';
import type { Purpose } from '../process/act';
import type { State } from '../process/state';
import { EVERYWHERE } from '../process/everywhere';
import { acidsAt } from './bath';
import { lineWith, type WayStep, type Written } from './line';
import { idIn, of, type AnyScene } from './scene';

/** Temperature at which acid “when warm” goes in and wool is no longer stirred, °C (common practice, no source). */
export const WARM_C = 60;

/** What goes wrong over heat. */
export const heatCautions = ({ felts }: Pick<AnyScene, 'felts'>): CautionName[] => [
  'scald',
  'unattended',
  ...(felts ? (['hotWool'] as const) : []),
];

/** A rise of a vessel from where it stands; nothing when it is as hot already. */
export const rises =
  (scene: AnyScene, role: string, toC: number, rampCPerMin: number) =>
  (state: State): readonly Written[] => {
    const minutes = scene.rise(state, scene.vessel, toC, rampCPerMin);
    return minutes.value > 0
      ? [
          {
            id: idIn(scene, role),
            act: {
              kind: 'heat',
              ...of(scene, 'bath'),
              vessel: scene.vessel,
              toC,
              rampCPerMin,
              minutes: minutes.value,
            },
            estimated: true,
            because: minutes,
            hands: 3,
            cautions: heatCautions(scene),
          },
        ]
      : [];
  };

/** The rise to the temperature of the pass, with acid “when warm” on the way. */
export function rise(scene: AnyScene): WayStep[] {
  if (!scene.heat) return [];
  const { temperatureC, rampCPerMin } = scene.heat;
  const warm = acidsAt(scene, ['warm']);
  const first = rises(scene, 'heat.warm', WARM_C, rampCPerMin);
  return [
    ...(warm.length > 0 && temperatureC > WARM_C ? [first] : []),
    ...warm,
    rises(scene, 'heat', temperatureC, rampCPerMin),
  ];
}

/** A hold of the pass. */
export function hold(
  scene: AnyScene,
  role: string,
  purpose: Purpose,
  {
    minutes,
    untilClear,
    hands = 2,
    dose = null,
  }: { minutes: number; untilClear: boolean; hands?: number; dose?: Written['dose'] },
): Written {
  return {
    id: idIn(scene, role),
    dose,
    hands,
    act: {
      kind: 'hold',
      ...of(scene, purpose),
      vessel: scene.vessel,
      atC: scene.heat?.temperatureC ?? null,
      minutes,
      untilClear,
      leaves: untilClear ? 0 : null,
      onHeat: scene.heat !== null,
    },
  };
}

/** A wait without heat, if there is any. */
export const stands = (
  scene: AnyScene,
  purpose: 'settle' | 'melt' | 'rest',
  minutes: number,
  vessel = scene.vessel,
): Written[] =>
  minutes > 0
    ? [
        {
          id: idIn(scene, `stand.${purpose}`),
          hands: 1,
          act: { kind: 'stand', ...of(scene, purpose), vessel, minutes, leaves: null },
        },
      ]
    : [];

/** Acid for the warm and the level bath of a pass without a rise of its own; what waits for the set is left to it. */
export const lateAcids = (scene: AnyScene): Written[] =>
  scene.waitsForSet
    ? []
    : acidsAt(
        scene,
        scene.heat ? ['last'] : ['warm', 'last'],
        scene.onGoods ? { place: EVERYWHERE } : { vessel: scene.vessel },
      );

/** Rise, hold until clear and late acid of a pass that is led hot; late acid alone for one that is not. */
export function ledHot(scene: AnyScene, turns = 0): WayStep[] {
  if (!scene.heat) return lateAcids(scene);
  return [
    ...rise(scene),
    ...Array.from({ length: turns }, () => turned(scene)),
    ...holdUntilClear(scene, turns),
  ];
}

/** Hold until clear, and the late acid; late acid alone in a pass that is not led hot. */
export function holdUntilClear(scene: AnyScene, turns = 0): WayStep[] {
  if (!scene.heat) return lateAcids(scene);
  return [
    lineWith(
      hold(scene, 'hold', 'bath', {
        minutes: scene.heat.minutes,
        untilClear: true,
        hands: 3 + 2 * turns,
      }),
      { cautions: heatCautions(scene) },
    ),
    ...acidsAt(scene, ['last']),
  ];
}

/** The goods turned over, which goes without saying. */
export const turned = (scene: AnyScene): Written => ({
  id: idIn(scene, 'handle.turn'),
  quiet: true,
  act: { kind: 'handle', ...of(scene, null), goods: [], what: 'turn', lies: null },
});
