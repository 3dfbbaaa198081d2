import type { WayStep, Written } from './line';
import { acidInto } from './bath';
import { idIn, of, theOne, type AnyScene } from './scene';

/** Liquid that squeezed goods keep, mL per gram (0.8 to 1.2: from memory, yields to your own). */
export const SQUEEZED_ML_PER_GRAM = 0.8;

/** Liquid that dripping goods keep, mL per gram (from memory, yields to your own). */
export const DRIPPING_ML_PER_GRAM = 1.2;

/** Goods that wait for a pass: soaked before the first, lifted out of the one before, and tied as they are to lie. */
export function ready(scene: AnyScene): WayStep[] {
  const { index, lies } = scene;
  const tied = lies !== null && lies.kind !== 'open';
  return [
    ...soak(scene),
    ...(index > 0 ? [lifted(scene)] : []),
    ...(index > 0 || tied
      ? [
          {
            id: idIn(scene, 'handle.tie'),
            act: { kind: 'handle' as const, ...of(scene, null), goods: [], what: 're-tie' as const, lies },
            hands: lies === null || lies.kind === 'open' || lies.kind === 'laid flat' ? 3 : 6,
          },
        ]
      : []),
  ];
}

function soak(scene: AnyScene): Written[] {
  if (!scene.soak) return [];
  const vessel = theOne(scene, 'soak');
  const { minutes, ml, leaves } = scene.soak;
  return [
    {
      id: idIn(scene, 'run.soak'),
      quiet: true,
      act: { kind: 'run', ...of(scene, 'soak'), vessel, ml, celsius: scene.tapC },
    },
    ...scene.acids.filter(({ when }) => when === 'soak').map((acid) => acidInto(scene, acid, { vessel })),
    {
      id: idIn(scene, 'place.soak'),
      quiet: true,
      act: { kind: 'place', ...of(scene, 'soak'), goods: [], vessel, reach: null, lies: null, wet: false },
    },
    {
      id: idIn(scene, 'stand.soak'),
      act: { kind: 'stand', ...of(scene, 'soak'), vessel, minutes, leaves: null },
      hands: 5,
    },
    {
      id: idIn(scene, 'lift.soak'),
      quiet: true,
      act: {
        kind: 'lift',
        ...of(scene, 'soak'),
        goods: [],
        keepsMlPerGram: leaves === 'damp' ? SQUEEZED_ML_PER_GRAM : DRIPPING_ML_PER_GRAM,
      },
    },
  ];
}

/** Goods out of the pass before: squeezed, dripping, or unwrapped and left as they are. */
export const lifted = (scene: AnyScene, role = 'lift', leaves = scene.leaves): Written => ({
  id: idIn(scene, leaves === 'as they lie' ? 'handle.unwrap' : role),
  quiet: true,
  act:
    leaves === 'as they lie'
      ? { kind: 'handle', ...of(scene, null), goods: [], what: 'unwrap', lies: null }
      : {
          kind: 'lift',
          ...of(scene, null),
          goods: [],
          keepsMlPerGram: leaves === 'squeezed' ? SQUEEZED_ML_PER_GRAM : DRIPPING_ML_PER_GRAM,
        },
});
