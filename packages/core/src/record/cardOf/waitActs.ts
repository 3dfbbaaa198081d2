import type { Purpose, VesselRole } from '../../process/act';
import type { Formulation } from '../../recipe/recipe';
import type { Step } from '../../recipe/steps';
import { along, bathOf, iceOf, idIn, nthTime, of, theOne, type Scene, type Written } from './scene';

/** The vessel of each way to set that is not the bath itself. */
const SET_VESSELS: Partial<Record<Formulation['recipe']['set']['method'], VesselRole>> = {
  steam: 'steamer',
  oven: 'oven',
  microwave: 'microwave',
};

/** Goods out of wherever they are. */
export const lift = (scene: Scene): Written => ({
  id: idIn(scene, 'lift'),
  quiet: true,
  act: { kind: 'lift', ...of(scene, null), goods: [], keepsMlPerGram: null },
});

/** A wait without heat. */
export function standing(step: Step, scene: Scene): Written {
  const { prefix } = scene;
  const role = (['settle', 'melt', 'rest'] as const).find((name) => step.id === `${prefix}${name}`) ?? 'rest';
  return {
    id: idIn(scene, `stand.${role}`),
    act: {
      kind: 'stand',
      ...of(scene, role),
      vessel: role === 'melt' ? iceOf(scene) : bathOf(scene),
      minutes: step.wait?.value ?? null,
      leaves: null,
    },
  };
}

/** Goods that are set away from the bath are lifted, squeezed, wrapped and laid in, which goes without saying. */
export function liftedOut(scene: Scene): Written[] {
  const { set } = scene.formulation.recipe;
  if (!scene.setting || SET_VESSELS[set.method] === undefined) return [];
  return [
    { ...lift(scene), id: 'lift.set' },
    ...(set.wrap === 'none'
      ? []
      : [
          {
            id: 'handle.wrap',
            quiet: true,
            act: {
              kind: 'handle' as const,
              ...of(scene, 'set'),
              goods: [],
              what: 'wrap' as const,
              lies: null,
            },
          },
        ]),
    {
      id: 'place.set',
      quiet: true,
      act: {
        kind: 'place',
        ...of(scene, 'set'),
        goods: [],
        vessel: setVessel(scene),
        reach: 'none',
        lies: null,
        wet: true,
      },
    },
  ];
}

/** Where the set happens. */
export const setVessel = (scene: Scene): string =>
  theOne(scene, SET_VESSELS[scene.formulation.recipe.set.method] ?? scene.vessel);

/** A rise. */
export function heating(step: Step, scene: Scene): Written {
  const { formulation, pass } = scene;
  const ramp = scene.setting ? formulation.recipe.set.rampCPerMin : (pass.heat?.rampCPerMin ?? null);
  return {
    id: idIn(scene, step.id.endsWith('warm') ? 'heat.warm' : 'heat'),
    act: {
      kind: 'heat',
      ...of(scene, scene.setting ? 'set' : 'bath'),
      vessel: scene.setting ? setVessel(scene) : bathOf(scene),
      toC: step.toC ?? null,
      rampCPerMin: ramp,
      minutes: step.wait?.value ?? null,
    },
  };
}

/** A hold, and what is done to the goods during it. */
export function holding(step: Step, scene: Scene): Written[] {
  const { pass } = scene;
  const hold = (role: string, purpose: Purpose, untilClear: boolean): Written => ({
    id: idIn(scene, role),
    act: {
      kind: 'hold',
      ...of(scene, purpose),
      vessel: bathOf(scene),
      atC: step.toC ?? null,
      minutes: step.wait?.value ?? null,
      untilClear,
      leaves: untilClear ? 0 : null,
      onHeat: step.onHeat,
    },
  });
  if (pass.method.kind === 'dip' && step.id !== `${scene.prefix}bath-hold`) return dipHold(step, scene, hold);
  if (pass.method.kind === 'repeated' && step.id !== `${scene.prefix}bath-hold`)
    return [
      {
        ...hold('hold.strike', 'strike', true),
        dose: { nth: nthTime(scene, 'strike'), of: pass.method.repeats },
      },
    ];
  const turns = pass.method.kind === 'low immersion' ? pass.method.turns : 0;
  return [
    ...(turns > 0
      ? [
          {
            id: idIn(scene, 'handle.turn'),
            quiet: true,
            act: {
              kind: 'handle' as const,
              ...of(scene, null),
              goods: [],
              what: 'turn' as const,
              lies: null,
            },
          },
        ]
      : []),
    hold('hold', 'bath', true),
  ];
}

/** Each step of a dip is a hold, and the goods are lifted by one step before the next. */
function dipHold(
  step: Step,
  scene: Scene,
  hold: (role: string, purpose: Purpose, untilClear: boolean) => Written,
): Written[] {
  const { method } = scene.pass;
  if (method.kind !== 'dip') return [];
  const nth = Array.from({ length: method.steps }, (_, i) => i + 1).find(
    (i) => step.id === `${scene.prefix}dip-${i}`,
  );
  if (nth === undefined) return [];
  const reach = along((method.sharePercent / 100) * ((method.steps - nth + 1) / method.steps));
  return [
    ...(nth === 1
      ? []
      : [
          {
            id: idIn(scene, `place.dip${nth}`),
            quiet: true,
            act: {
              kind: 'place' as const,
              ...of(scene, 'dip'),
              goods: [],
              vessel: bathOf(scene),
              reach,
              lies: null,
              wet: true,
            },
          },
        ]),
    { ...hold(`hold.dip${nth}`, 'dip', nth === method.steps), dose: { nth, of: method.steps } },
  ];
}

/** The hold of the set. */
export function setHold(step: Step, scene: Scene): Written {
  return {
    id: 'hold.set',
    act: {
      kind: 'hold',
      ...of(scene, 'set'),
      vessel: setVessel(scene),
      atC: step.toC ?? null,
      minutes: step.wait?.value ?? null,
      untilClear: false,
      leaves: null,
      onHeat: step.onHeat,
    },
  };
}
