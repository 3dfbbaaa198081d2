import { figure, type Figure } from '../figure/figure';
import { HANDLING_C, setMethodFacts } from '../heat/setMethods';
import type { CautionName } from './cautionNames';
import type { HeatSet } from './recipe';
import { decided, makeStep, PRACTICE, WARM_C, type Step } from './steps';

/** What the set and everything after it is made from. */
export interface SetStepInputs {
  set: HeatSet;
  /** Rise from where the last pass left the bath, for a set in the pot. */
  rise: (fromC: number, toC: number) => Figure;
  fromC: number;
  /** Acid of the last pass that waits for the warm and for the hot bath. */
  atWarm: readonly Step[];
  atLast: readonly Step[];
  topUpSteps: readonly Step[];
  canFelt: boolean;
  catchUp: string | null;
}

const SET_CAUTIONS: Record<HeatSet['method'], CautionName[]> = {
  simmer: ['scald', 'unattended'],
  steam: ['steam', 'unattended'],
  oven: ['oven', 'scald', 'unattended'],
  microwave: ['microwave', 'scald'],
  'warm rest': [],
};

/** The heat set, cooling in place, rinse and drying. */
export function setSteps(inputs: SetStepInputs): Step[] {
  const { set, canFelt } = inputs;
  const facts = setMethodFacts(set.method);
  const felting: CautionName[] = canFelt && set.method !== 'warm rest' ? ['hotWool'] : [];
  const cautions = [...SET_CAUTIONS[set.method], ...felting];
  const rises = facts.riseMinutes === undefined ? potRise(inputs, cautions) : liftedRise(inputs, cautions);
  const heated = rises.some((step) => step.kind === 'heat');
  return [
    ...(inputs.catchUp === null
      ? []
      : [
          makeStep({
            id: 'catch-up',
            kind: 'goods',
            passId: null,
            title: `Put ${inputs.catchUp} in to catch what is left`,
            handsOnMinutes: 3,
          }),
        ]),
    ...inputs.topUpSteps,
    ...rises,
    ...inputs.atLast.map((step) => ({ ...step, onHeat: true })),
    makeStep({
      id: 'set',
      kind: 'set',
      passId: null,
      title: `Hold at ${set.temperatureC} °C, ${facts.label}`,
      wait: decided(set.minutes),
      toC: set.temperatureC,
      handsOnMinutes: 5,
      onHeat: set.method !== 'warm rest',
      cautions: heated ? felting : cautions,
    }),
    ...(set.coolMinutes > 0
      ? [
          makeStep({
            id: 'cool',
            kind: 'cool',
            passId: null,
            title: `Cool in place to ${HANDLING_C} °C; color is still moving onto the fiber`,
            wait: decided(set.coolMinutes),
            toC: HANDLING_C,
            handsOnMinutes: 0,
            cautions: felting,
          }),
        ]
      : []),
    makeStep({
      id: 'rinse',
      kind: 'rinse',
      passId: null,
      title: 'Rinse cool, one drop of dish soap as the bleed test',
      handsOnMinutes: 8,
      cautions: ['disposal'],
    }),
    makeStep({ id: 'dry', kind: 'dry', passId: null, title: 'Spin and hang to dry', handsOnMinutes: 5 }),
  ];
}

/** Rise in the pot, with acid “when warm” on the way. */
function potRise({ set, rise, fromC, atWarm }: SetStepInputs, cautions: CautionName[]): Step[] {
  const step = (id: string, from: number, to: number): Step[] => {
    const wait = rise(from, to);
    return wait.value > 0
      ? [
          makeStep({
            id,
            kind: 'heat',
            passId: null,
            title: `Heat slowly to ${to} °C`,
            wait,
            toC: to,
            handsOnMinutes: 3,
            onHeat: true,
            cautions,
          }),
        ]
      : [];
  };
  if (atWarm.length === 0 || set.temperatureC <= WARM_C || fromC >= WARM_C)
    return [...atWarm, ...step('heat', fromC, set.temperatureC)];
  return [...step('warm', fromC, WARM_C), ...atWarm, ...step('heat', WARM_C, set.temperatureC)];
}

/** Lifted out, squeezed and wrapped for steam, oven or microwave. */
function liftedRise({ set, atWarm }: SetStepInputs, cautions: CautionName[]): Step[] {
  const facts = setMethodFacts(set.method);
  const minutes = facts.riseMinutes ?? 0;
  if (minutes <= 0) return [...atWarm];
  return [
    ...atWarm,
    makeStep({
      id: 'heat',
      kind: 'heat',
      passId: null,
      title:
        set.wrap === 'none'
          ? `Lift the goods out, squeeze, lay them in for the ${facts.label}`
          : `Lift the goods out, squeeze, wrap for the ${facts.label}`,
      wait: figure(minutes, 'min', `${minutes} min to get the ${facts.label} hot`, 'estimate', PRACTICE),
      toC: set.temperatureC,
      handsOnMinutes: 10,
      onHeat: true,
      cautions,
    }),
  ];
}
