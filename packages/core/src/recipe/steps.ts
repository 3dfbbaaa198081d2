import type { AcidMaterial } from '../acid/acidDose';
import { ACIDS } from '../acid/acidDose';
import { figure, type Figure } from '../figure/figure';
import { HANDLING_C, riseMinutes, setMethodFacts, START_C } from '../heat/setMethods';
import type { CautionName } from './cautions';
import type { AcidDose, HeatSet } from './recipe';
import type { PourLine } from './plan';

/** What a measured step puts into the pot. */
export type StepMaterial =
  | { kind: 'water' }
  | { kind: 'acid'; material: AcidMaterial; strengthPercent: number }
  | {
      kind: 'dye';
      dyeId: string;
      stockId: string | null;
      strengthPercent: number | null;
      lotStrength: number;
    };

export type StepKind = 'wet' | 'water' | 'dye' | 'acid' | 'goods' | 'heat' | 'set' | 'cool' | 'rinse' | 'dry';

/** One thing to do at the pot, in order. */
export interface Step {
  id: string;
  kind: StepKind;
  /** What to do, as a colleague would say it. */
  title: string;
  /** Amount to measure, for water, dye and acid. */
  measure?: { amount: Figure; unit: 'mL' | 'g'; material: StepMaterial };
  /** How long to wait once begun. */
  wait?: Figure;
  /** Minutes of the dyer's own hands. An estimate. */
  handsOnMinutes: number;
  /** True while the pot stands on heat. */
  onHeat: boolean;
  cautions: CautionName[];
}

/** What the steps are made from: the computed amounts of one immersion pass and its set. */
export interface StepInputs {
  wettingMinutes: number;
  waterMl: Figure;
  pours: readonly PourLine[];
  acid: { dose: AcidDose; amount: Figure; unit: 'mL' | 'g' } | null;
  set: HeatSet;
  /** True when some wool in the pot can felt. */
  canFelt: boolean;
}

const WARM_C = 60;
const PRACTICE = 'common practice, no source';

/** The steps of one immersion pass and its set, in the order of the work. */
export function immersionSteps(inputs: StepInputs): Step[] {
  const acid = inputs.acid ? acidStep(inputs.acid) : undefined;
  const when = inputs.acid?.dose.when;
  const at = (time: string): Step[] => (acid && when === time ? [acid] : []);
  return [
    ...at('soak'),
    ...wetStep(inputs),
    waterStep(inputs.waterMl),
    ...inputs.pours.map(dyeStep),
    ...at('start'),
    {
      id: 'goods',
      kind: 'goods',
      title: inputs.wettingMinutes > 0 ? 'Lift the goods in, open, and stir' : 'Lay the dry goods in',
      handsOnMinutes: 5,
      onHeat: false,
      cautions: [],
    },
    ...heatSteps(inputs, at('warm'), at('last')),
    rinseStep(),
    { id: 'dry', kind: 'dry', title: 'Spin and hang to dry', handsOnMinutes: 5, onHeat: false, cautions: [] },
  ];
}

function wetStep({ wettingMinutes }: StepInputs): Step[] {
  if (wettingMinutes <= 0) return [];
  return [
    {
      id: 'wet',
      kind: 'wet',
      title: 'Wet out the goods in plain water with a drop of wetting agent',
      wait: figure(wettingMinutes, 'min', `${wettingMinutes} min as decided`, 'exact'),
      handsOnMinutes: 5,
      onHeat: false,
      cautions: [],
    },
  ];
}

const waterStep = (amount: Figure): Step => ({
  id: 'water',
  kind: 'water',
  title: 'Run water into the pot',
  measure: { amount, unit: 'mL', material: { kind: 'water' } },
  handsOnMinutes: 3,
  onHeat: false,
  cautions: [],
});

function dyeStep(pour: PourLine): Step {
  const material: StepMaterial = {
    kind: 'dye',
    dyeId: pour.dyeId,
    stockId: pour.stockId,
    strengthPercent: pour.strengthPercent,
    lotStrength: pour.lotStrength,
  };
  return pour.volume
    ? {
        id: pour.stepId,
        kind: 'dye',
        title: `Pour ${pour.dyeName} ${pour.strengthPercent} %`,
        measure: { amount: pour.volume, unit: 'mL', material },
        handsOnMinutes: 2,
        onHeat: false,
        cautions: [],
      }
    : {
        id: pour.stepId,
        kind: 'dye',
        title: `Weigh ${pour.dyeName} powder and dissolve it in hot water`,
        measure: { amount: pour.grams, unit: 'g', material },
        handsOnMinutes: 5,
        onHeat: false,
        cautions: ['powder', 'scald'],
      };
}

function acidStep({ dose, amount, unit }: NonNullable<StepInputs['acid']>): Step {
  const where = {
    soak: 'to the soak',
    start: 'to the bath',
    warm: 'to the warm bath',
    last: 'to the hot, level bath',
  }[dose.when];
  return {
    id: 'acid',
    kind: 'acid',
    title: `Add ${ACIDS[dose.material].label} ${where}`,
    measure: {
      amount,
      unit,
      material: { kind: 'acid', material: dose.material, strengthPercent: dose.strengthPercent },
    },
    handsOnMinutes: 2,
    onHeat: false,
    cautions: ['acid'],
  };
}

function heatSteps({ set, canFelt }: StepInputs, atWarm: Step[], atLast: Step[]): Step[] {
  const facts = setMethodFacts(set.method);
  const inPot = facts.riseMinutes === undefined;
  const heatCautions: CautionName[] =
    set.method === 'steam'
      ? ['steam', 'unattended']
      : set.method === 'microwave'
        ? ['microwave', 'scald']
        : set.method === 'oven'
          ? ['oven', 'scald', 'unattended']
          : set.method === 'simmer'
            ? ['scald', 'unattended']
            : [];
  const felting: CautionName[] = canFelt && set.method !== 'warm rest' ? ['hotWool'] : [];
  const rises: Step[] = [];
  const rise = (id: string, from: number, to: number): void => {
    const minutes = inPot ? riseMinutes(from, to) : (facts.riseMinutes ?? 0);
    if (minutes <= 0) return;
    const because = inPot
      ? `(${to} °C − ${from} °C) ÷ 1.5 °C/min = ${minutes.toFixed(0)} min`
      : `${minutes} min to get the ${facts.label} hot`;
    rises.push({
      id,
      kind: 'heat',
      title: inPot ? `Heat slowly to ${to} °C` : `Lift the goods out, squeeze, wrap for the ${facts.label}`,
      wait: figure(minutes, 'min', because, 'estimate', PRACTICE),
      handsOnMinutes: inPot ? 3 : 10,
      onHeat: true,
      cautions: [...heatCautions, ...felting],
    });
  };
  if (inPot && atWarm.length > 0 && set.temperatureC > WARM_C) {
    rise('warm', START_C, WARM_C);
    rises.push(...atWarm);
    rise('heat', WARM_C, set.temperatureC);
  } else {
    rises.push(...atWarm);
    rise('heat', START_C, set.temperatureC);
  }
  rises.push(...atLast.map((step) => ({ ...step, onHeat: true })));
  rises.push({
    id: 'set',
    kind: 'set',
    title: `Hold at ${set.temperatureC} °C, ${facts.label}`,
    wait: figure(set.minutes, 'min', `${set.minutes} min as decided`, 'exact'),
    handsOnMinutes: 5,
    onHeat: set.method !== 'warm rest',
    cautions: rises.some((step) => step.kind === 'heat') ? felting : [...heatCautions, ...felting],
  });
  if (set.coolMinutes > 0)
    rises.push({
      id: 'cool',
      kind: 'cool',
      title: `Cool in place to ${HANDLING_C} °C; color is still moving onto the fiber`,
      wait: figure(set.coolMinutes, 'min', `${set.coolMinutes} min as decided`, 'exact'),
      handsOnMinutes: 0,
      onHeat: false,
      cautions: felting,
    });
  return rises;
}

const rinseStep = (): Step => ({
  id: 'rinse',
  kind: 'rinse',
  title: 'Rinse cool, one drop of dish soap as the bleed test',
  handsOnMinutes: 8,
  onHeat: false,
  cautions: ['disposal'],
});
