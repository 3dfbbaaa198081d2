import { threeFigures } from '../units/threeFigures';
import { formatAmount } from '../units/formatQuantity';
import type { OwnStep } from './ownStep';

/** What a step names, in words. */
export interface StepNames {
  /** The dye of a line; null for one that is not there. */
  dye(lineId: string): string | null;
  /** The acid of a dose; null for one that is not there. */
  acid(acidId: string): string | null;
}

const until = (minutes: number, untilClear: boolean): string =>
  untilClear ? `until the bath clears, about ${formatAmount(minutes, 'min')}` : formatAmount(minutes, 'min');

/** A step of an own way as a sentence. */
export function ownStepWords(step: OwnStep, names: StepNames): string {
  switch (step.do) {
    case 'water':
      return step.sharePercent === 100
        ? 'Run the water.'
        : `Run ${threeFigures(step.sharePercent)} % of the water.`;
    case 'dye':
      return step.lineId === null
        ? 'Put a dose of every dye in.'
        : `Put a dose of ${names.dye(step.lineId) ?? 'a dye that is no longer here'} in.`;
    case 'acid':
      return `Add ${names.acid(step.acidId) ?? 'an acid dose that is no longer here'}.`;
    case 'goods in':
      return step.sharePercent === 100
        ? 'Lay the goods in.'
        : `Hang the goods in, ${threeFigures(step.sharePercent)} % of the length.`;
    case 'lift':
      return 'Lift the goods out.';
    case 'turn':
      return 'Turn the goods.';
    case 're-tie':
      return 'Tie the goods anew.';
    case 'heat':
      return `Heat to ${formatAmount(step.temperatureC, '°C')}.`;
    case 'hold':
      return `Hold it hot ${until(step.minutes, step.untilClear)}.`;
    case 'stand':
      return `Leave it to stand ${until(step.minutes, step.untilClear)}.`;
  }
}
