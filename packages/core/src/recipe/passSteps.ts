import { ACIDS } from '../materials/acids';
import { figure } from '../figure/figure';
import { formatAmount } from '../units/formatQuantity';
import type { CautionName } from './cautionNames';
import { diluteSteps, dyeStep, dyeSteps, poured } from './dyeSteps';
import { methodFacts, sectionsOf } from './methods';
import type { PlannedAcid, PlannedPass } from './planTypes';
import type { AcidTime, Pass } from './recipe';
import { decided, makeStep, PRACTICE, WARM_C, type Step } from './steps';
import { ARRANGED } from './arranged';

/** What the steps of one pass are made from. */
export interface PassStepInputs {
  pass: Pass;
  planned: PlannedPass;
  index: number;
  /** True when the set follows. */
  last: boolean;
  /** Stands before the ids of this pass's steps; empty for the first pass. */
  prefix: string;
  wettingMinutes: number;
  /** True when some wool in the pot can felt. */
  canFelt: boolean;
}

/** The steps of one pass in the order of the work. Acid that waits for the heat of the set is left to `setSteps`. */
export function passSteps(inputs: PassStepInputs): Step[] {
  const { pass } = inputs;
  const before = [...readySteps(inputs), ...bathSteps(inputs)];
  switch (pass.method.kind) {
    case 'painting':
    case 'blank painting':
      return [...before, ...paintSectionSteps(inputs), ...lateAcids(inputs)];
    case 'painted stack':
      return [
        ...before,
        ...dyeSteps(inputs),
        make(
          inputs,
          'paint',
          'paint',
          `Paint the stack, ${pass.method.layers} layers, pressing the color through`,
          {
            handsOnMinutes: 5 * pass.method.layers,
          },
        ),
        ...lateAcids(inputs),
      ];
    case 'sprinkle':
      return [
        ...before,
        goodsStep(inputs, 'Lay the goods in, just showing'),
        ...timedAcids(inputs, 'with powder'),
        ...dyeSteps(inputs),
        ...waitStep(inputs, 'settle', 'Leave it to settle, nothing moved', pass.method.settleMinutes),
        ...heatedSteps(inputs),
      ];
    case 'ice':
      return [
        ...before,
        goodsStep(inputs, 'Lay the goods in'),
        make(inputs, 'ice', 'ice', 'Heap ice or snow over the goods', {
          measure: {
            amount: figure(pass.method.iceGrams, 'g', 'as decided'),
            unit: 'g',
            material: { kind: 'ice' },
          },
          handsOnMinutes: 5,
        }),
        ...dyeSteps(inputs),
        ...waitStep(inputs, 'melt', 'Let it melt, away from children and animals', pass.method.meltMinutes),
        ...meltAcid(inputs),
        ...heatedSteps(inputs),
      ];
    case 'repeated':
      return [
        ...before,
        ...riseSteps(inputs),
        ...repeatSteps(inputs, pass.method.repeats, pass.method.minutes),
        ...lateAcids(inputs),
      ];
    case 'dip':
      return [
        ...before,
        ...dyeSteps(inputs),
        ...timedAcids(inputs, 'start'),
        goodsStep(inputs, `Hang the end of the goods in, ${pass.method.sharePercent} % of the length`),
        ...dipSteps(inputs, pass.method.steps, pass.method.minutes),
        ...lateAcids(inputs),
      ];
    default:
      return [
        ...before,
        ...dyeSteps(inputs),
        ...timedAcids(inputs, 'start'),
        goodsStep(inputs, intoBath(pass)),
        ...restSteps(inputs),
        ...heatedSteps(inputs),
      ];
  }
}

/** Which acid doses the set still has to bring in: a last pass without heat of its own has not been warm yet. */
export const waitsForSet = (pass: Pass, last: boolean): boolean => last && pass.heat === null;

const make = (
  { pass, prefix }: PassStepInputs,
  id: string,
  kind: Step['kind'],
  title: string,
  more: Partial<Step> = {},
): Step => makeStep({ id: `${prefix}${id}`, kind, passId: pass.id, title, ...more });

function readySteps(inputs: PassStepInputs): Step[] {
  const { pass, index, wettingMinutes } = inputs;
  const wet = index === 0 && wettingMinutes > 0 && pass.goodsGoIn === 'wet';
  const { kind, count } = pass.arrangement;
  const title = ARRANGED[kind](count);
  return [
    ...timedAcids(inputs, 'soak'),
    ...(wet
      ? [
          make(inputs, 'wet', 'wet', 'Wet out the goods in plain water with a drop of wetting agent', {
            wait: decided(wettingMinutes),
            handsOnMinutes: 5,
          }),
        ]
      : []),
    ...(index > 0 || kind !== 'open'
      ? [
          make(inputs, 'arrange', 'arrange', index > 0 ? `Lift out and squeeze. ${title}` : title, {
            handsOnMinutes: kind === 'open' || kind === 'laid flat' ? 3 : 6,
          }),
        ]
      : []),
  ];
}

function bathSteps(inputs: PassStepInputs): Step[] {
  const { pass, planned } = inputs;
  const paint = methodFacts(pass.method.kind).liquid === 'paint';
  const water =
    planned.water.value > 0
      ? [
          make(
            inputs,
            'water',
            'water',
            paint
              ? 'Measure water to fill the paint up with'
              : pass.method.kind === 'low immersion'
                ? 'Run water into the pan'
                : 'Run water into the pot',
            {
              measure: { amount: planned.water, unit: 'mL', material: { kind: 'water' } },
              handsOnMinutes: 3,
            },
          ),
        ]
      : [];
  const first = ['painting', 'blank painting', 'painted stack', 'sprinkle', 'ice', 'repeated'].includes(
    pass.method.kind,
  );
  return [...water, ...(first ? timedAcids(inputs, 'start') : [])];
}

function intoBath({ method, goodsGoIn }: Pass): string {
  if (method.kind === 'low immersion') return 'Lay the goods in, just showing; pour color in places';
  if (method.kind === 'glaze') return 'Lay the goods in and leave them untouched';
  return goodsGoIn === 'wet' ? 'Lift the goods in, open, and stir' : 'Lay the dry goods in';
}

function goodsStep(inputs: PassStepInputs, title: string): Step {
  const dry = inputs.index === 0 && inputs.wettingMinutes === 0;
  return make(inputs, 'goods', 'goods', dry && title.startsWith('Lift') ? 'Lay the dry goods in' : title, {
    handsOnMinutes: 5,
  });
}

const timedAcids = (inputs: PassStepInputs, when: AcidTime): Step[] =>
  inputs.planned.acids
    .filter((acid) => timeOf(inputs.pass, acid) === when)
    .map((acid) => acidStep(inputs, acid));

/** Acid can only go in with the powder where powder goes in dry; elsewhere it goes in at the start. */
const timeOf = (pass: Pass, acid: PlannedAcid): AcidTime =>
  acid.when === 'with powder' && pass.method.kind !== 'sprinkle' ? 'start' : acid.when;

/** An acid dose as a step. */
export function acidStep(inputs: Pick<PassStepInputs, 'pass'>, acid: PlannedAcid, onHeat = false): Step {
  const where = {
    soak: 'to the soak',
    start: methodFacts(inputs.pass.method.kind).liquid === 'paint' ? 'to the paint water' : 'to the bath',
    warm: 'to the warm bath',
    last: 'to the hot, level bath',
    'with powder': 'with the powder',
  }[acid.when];
  return makeStep({
    id: acid.stepId,
    kind: 'acid',
    passId: inputs.pass.id,
    title: `Add ${acid.label} ${where}`,
    measure: {
      amount: acid.amount,
      unit: ACIDS[acid.material].unit,
      material: {
        kind: 'acid',
        material: acid.material,
        strengthPercent: acid.strengthPercent,
      },
    },
    onHeat,
    cautions: ['acid'],
  });
}

function lateAcids(inputs: PassStepInputs): Step[] {
  if (waitsForSet(inputs.pass, inputs.last)) return [];
  // On the way to its own heat a pass has had its acid “when warm” already.
  return [...(inputs.pass.heat ? [] : timedAcids(inputs, 'warm')), ...timedAcids(inputs, 'last')];
}

function paintSectionSteps(inputs: PassStepInputs): Step[] {
  const { pass, planned } = inputs;
  const blank = pass.method.kind === 'blank painting';
  return sectionsOf(pass.method).flatMap((section) => {
    const pours = poured(planned).filter((pour) => pour.sectionId === section.id);
    const part = planned.parts.find((candidate) => candidate.id === section.id);
    if (pours.length === 0) return [];
    return [
      ...pours.flatMap((pour) => [...diluteSteps(inputs, pour), dyeStep(inputs, pour)]),
      make(
        inputs,
        `paint-${section.id}`,
        'paint',
        `Fill up to ${formatAmount(part?.paint?.value ?? 0, 'mL')} and paint ${section.name}`,
        {
          detail: `${formatAmount(section.sharePercent, '%')} of the ${blank ? 'blank' : 'hank'}. Press the color in, turn, look underneath.`,
          handsOnMinutes: 8,
        },
      ),
    ];
  });
}

function waitStep(inputs: PassStepInputs, id: string, title: string, minutes: number): Step[] {
  return minutes > 0 ? [make(inputs, id, 'wait', title, { wait: decided(minutes), handsOnMinutes: 1 })] : [];
}

function restSteps(inputs: PassStepInputs): Step[] {
  const { method } = inputs.pass;
  if (method.kind === 'cool bath')
    return waitStep(inputs, 'rest', 'Leave it in the cool bath, no heat', method.minutes);
  if (method.kind === 'glaze') return waitStep(inputs, 'rest', 'Leave the glaze untouched', method.minutes);
  return [];
}

function meltAcid(inputs: PassStepInputs): Step[] {
  const due = inputs.planned.meltAcid;
  if (!due) return [];
  return [
    make(inputs, 'acid-melt', 'acid', `Add ${due.label} for the melt water`, {
      measure: {
        amount: due.amount,
        unit: ACIDS[due.material].unit,
        material: { kind: 'acid', material: due.material, strengthPercent: due.strengthPercent },
      },
      cautions: ['acid'],
    }),
  ];
}

function repeatSteps(inputs: PassStepInputs, repeats: number, minutes: number): Step[] {
  const { pass, planned } = inputs;
  return Array.from({ length: repeats }, (_, r): Step[] => {
    const nth = `${r + 1} of ${repeats}`;
    const id = (what: string): string => (r === 0 ? what : `${what}-r${r + 1}`);
    return [
      ...(r > 0
        ? [
            make(
              inputs,
              id('retie'),
              'arrange',
              `Lift, cool to the hand, re-tie. ${ARRANGED[pass.arrangement.kind](pass.arrangement.count)}`,
              {
                handsOnMinutes: 6,
                cautions: ['scald'],
              },
            ),
          ]
        : []),
      ...poured(planned).flatMap((pour) => [
        ...(r === 0 ? diluteSteps(inputs, pour) : []),
        {
          ...dyeStep(inputs, pour, r === 0 ? pour.stepId : `${pour.stepId}-r${r + 1}`),
          detail: `Dose ${nth}.`,
        },
      ]),
      make(inputs, id('goods'), 'goods', `Goods in, dose ${nth}`, { handsOnMinutes: 2 }),
      ...(minutes > 0
        ? [
            make(inputs, id('strike'), 'hold', `Let dose ${nth} strike until the bath clears`, {
              wait: decided(minutes),
              onHeat: pass.heat !== null,
              ...(pass.heat && { toC: pass.heat.temperatureC }),
            }),
          ]
        : []),
    ];
  }).flat();
}

function dipSteps(inputs: PassStepInputs, steps: number, minutes: number): Step[] {
  const { pass } = inputs;
  const each = minutes / steps;
  return [
    ...riseSteps(inputs),
    ...Array.from({ length: steps }, (_, i): Step =>
      make(
        inputs,
        `dip-${i + 1}`,
        'hold',
        i === steps - 1
          ? `Leave the last ${Math.round(((pass.method.kind === 'dip' ? pass.method.sharePercent : 100) / steps) * 10) / 10} % in`
          : `Leave it ${i + 1} of ${steps}, then lift by one step`,
        {
          wait: figure(each, 'min', `${minutes} min ÷ ${steps} steps`),
          onHeat: pass.heat !== null,
          ...(pass.heat && { toC: pass.heat.temperatureC }),
        },
      ),
    ),
  ];
}

const heatCautions = ({ canFelt }: PassStepInputs): CautionName[] => [
  'scald',
  'unattended',
  ...(canFelt ? (['hotWool'] as const) : []),
];

/** Rise to the temperature of the pass, acid “when warm” on the way. */
function riseSteps(inputs: PassStepInputs): Step[] {
  const { pass, planned } = inputs;
  if (!pass.heat || !planned.heat) return [];
  const warm = timedAcids(inputs, 'warm');
  const total = planned.heat.rise.value;
  const cautions = heatCautions(inputs);
  const to = pass.heat.temperatureC;
  const rise = (id: string, toC: number, minutes: number, said: string): Step[] =>
    minutes > 0
      ? [
          make(inputs, id, 'heat', `Heat slowly to ${toC} °C`, {
            wait: figure(minutes, 'min', said, 'estimate', planned.heat?.rise.source ?? PRACTICE),
            toC,
            onHeat: true,
            handsOnMinutes: 3,
            cautions,
          }),
        ]
      : [];
  const fromC = to - total * pass.heat.rampCPerMin;
  if (warm.length === 0 || to <= WARM_C || fromC >= WARM_C || total === 0)
    return [...warm, ...rise('bath-heat', to, total, planned.heat.rise.because)];
  const share = Math.max(0, Math.min(1, (WARM_C - fromC) / (to - fromC)));
  return [
    ...rise('bath-warm', WARM_C, total * share, `share of ${planned.heat.rise.because}`),
    ...warm.map((step) => ({ ...step, onHeat: true })),
    ...rise('bath-heat', to, total * (1 - share), `rest of ${planned.heat.rise.because}`),
  ];
}

/** Rise, hold, turning and late acid of a pass that is led hot; late acid alone for one that is not. */
function heatedSteps(inputs: PassStepInputs): Step[] {
  const { pass } = inputs;
  if (!pass.heat) return lateAcids(inputs);
  const turns = pass.method.kind === 'low immersion' ? pass.method.turns : 0;
  return [
    ...riseSteps(inputs),
    make(inputs, 'bath-hold', 'hold', `Hold at ${pass.heat.temperatureC} °C until the bath clears`, {
      ...(turns > 0 && { detail: `Turn the goods ${turns === 1 ? 'once' : `${turns} times`}.` }),
      wait: decided(pass.heat.minutes),
      toC: pass.heat.temperatureC,
      onHeat: true,
      handsOnMinutes: 3 + 2 * turns,
      cautions: heatCautions(inputs),
    }),
    ...timedAcids(inputs, 'last').map((step) => ({ ...step, onHeat: true })),
  ];
}
