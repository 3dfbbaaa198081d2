import type { Figure } from '../figure/figure';
import { formatAmount } from '../units/formatQuantity';
import type { CautionName } from './cautionNames';
import { methodFacts } from './methods';
import type { PassStepInputs } from './passSteps';
import type { PlannedPass, PourLine } from './planTypes';
import { makeStep, withTool, type Step } from './steps';

/** What there is to pour or weigh; a line of nothing, as a print value of 0 %, is no step. */
export const poured = ({ pours }: PlannedPass): PourLine[] =>
  pours.filter((pour) => amountToMeasure(pour).value > 0);

const amountToMeasure = ({ dilution, measured, each }: PourLine): Figure =>
  dilution?.pour ?? measured?.reading ?? each;

/** Every pour of a pass, each after the working dilution it may need. */
export const dyeSteps = (inputs: PassStepInputs): Step[] =>
  poured(inputs.planned).flatMap((pour) => [...diluteSteps(inputs, pour), dyeStep(inputs, pour)]);

/** The working dilution that a pour too small to read is made from; none for the others. */
export function diluteSteps(inputs: PassStepInputs, pour: PourLine): Step[] {
  const { dilution } = pour;
  if (!dilution || pour.stockId === null || pour.strengthPercent === null) return [];
  return [
    makeStep({
      id: `${pour.stepId}-dilute`,
      kind: 'dilute',
      passId: inputs.pass.id,
      title: `Take ${pour.dyeName} ${pour.strengthPercent} % and make it up to ${formatAmount(dilution.makeUp.value, 'mL')}`,
      detail: `1 part in ${dilution.ratio}: the pour alone is too small to read. Label it ${Number(dilution.strengthPercent.toPrecision(3))} %.`,
      measure: {
        amount: dilution.take,
        unit: 'mL',
        material: {
          kind: 'dilution',
          dyeId: pour.dyeId,
          stockId: pour.stockId,
          strengthPercent: pour.strengthPercent,
        },
        tool: `${withTool(dilution.takeWith.name, dilution.takeWith.fills)}, made up in the ${dilution.makeUpWith}`,
      },
      handsOnMinutes: 4,
    }),
  ];
}

/** One pour or weighing, with the tool it is measured with. @param id of the step, for doses after the first */
export function dyeStep(inputs: PassStepInputs, pour: PourLine, id = pour.stepId): Step {
  const strength = pour.dilution ? pour.dilution.strengthPercent : pour.strengthPercent;
  const amount = amountToMeasure(pour);
  const tool = pour.dilution
    ? withTool(pour.dilution.pourWith.name, pour.dilution.pourWith.fills)
    : pour.measured
      ? withTool(pour.measured.toolName, pour.measured.fills)
      : undefined;
  const dry = methodFacts(inputs.pass.method.kind).dry;
  const cut = pour.cut
    ? `Stir it with ${formatAmount(pour.cut.value, 'g')} of the citric crystals first, so that it sticks on contact.`
    : undefined;
  const powder: CautionName[] = dry ? ['powder'] : ['powder', 'scald'];
  return makeStep({
    id,
    kind: 'dye',
    passId: inputs.pass.id,
    title: pour.volume
      ? pour.dilution
        ? `Pour the diluted ${pour.dyeName}`
        : `Pour ${pour.dyeName} ${pour.strengthPercent} %`
      : dry
        ? inputs.pass.method.kind === 'ice'
          ? `Sprinkle ${pour.dyeName} powder on the ice`
          : `Sprinkle ${pour.dyeName} powder`
        : `Weigh ${pour.dyeName} powder and dissolve it in hot water`,
    ...(cut !== undefined && { detail: cut }),
    measure: {
      amount,
      unit: pour.volume ? 'mL' : 'g',
      material: {
        kind: 'dye',
        dyeId: pour.dyeId,
        lineId: pour.lineId,
        stockId: pour.stockId,
        strengthPercent: strength,
        lotStrength: pour.lotStrength,
        diluted: pour.dilution !== null,
      },
      ...(tool !== undefined && { tool }),
    },
    handsOnMinutes: pour.volume ? 2 : 5,
    cautions: pour.volume ? [] : powder,
  });
}
