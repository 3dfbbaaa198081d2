import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { formatAmount } from '../units/formatQuantity';
import { panArea } from './methods';
import type { PassMethod } from './methodSchema';
import type { AcidDue, NamedFigure } from './planTypes';

/** What only one method needs to know. */
export function methodFigures(
  method: PassMethod,
  passGrams: number,
  bath: Figure,
  gPerL: number,
  meltAcid: AcidDue | null,
): NamedFigure[] {
  const named = (name: string, value: Figure): NamedFigure => ({ name, figure: value });
  switch (method.kind) {
    case 'low immersion': {
      const area = panArea(method.pan);
      const room = area * method.wallCm;
      return [
        named(
          'Pan holds to the rim',
          figure(room, 'mL', `${area.toFixed(0)} cm² × ${plainNumber(method.wallCm)} cm`),
        ),
        named(
          'Goods per area',
          figure(
            (100 * passGrams) / area,
            'g',
            `${plainNumber(passGrams)} g on ${area.toFixed(0)} cm², per 100 cm²`,
          ),
        ),
      ];
    }
    case 'dip':
      return [
        named(
          'Goods in the bath',
          figure(passGrams, 'g', `${plainNumber(method.sharePercent)} % of the length`),
        ),
        named(
          'Time in the bath per step',
          figure(
            method.minutes / method.steps,
            'min',
            `${plainNumber(method.minutes)} min ÷ ${method.steps} steps`,
          ),
        ),
      ];
    case 'ice': {
      const melt = method.iceGrams;
      const diluted = (gPerL * bath.value) / (bath.value + melt);
      return [
        named('Melt water', figure(melt, 'mL', `${plainNumber(melt)} g of ice is as many mL of water`)),
        named(
          'Acid per liter once melted',
          figure(
            diluted,
            'g/L',
            `${plainNumber(gPerL)} g/L × ${formatAmount(bath.value, 'mL')} ÷ ${formatAmount(bath.value + melt, 'mL')}`,
          ),
        ),
        ...(meltAcid ? [named('Acid for the melt water', meltAcid.amount)] : []),
      ];
    }
    case 'repeated':
      return [
        named(
          'Time between the first dose and the last',
          figure(
            method.minutes * (method.repeats - 1),
            'min',
            `${plainNumber(method.minutes)} min after each of ${method.repeats} doses but the last`,
          ),
        ),
      ];
    case 'painted stack':
    case 'painting':
    case 'blank painting':
      return [named('Paint in all', bath)];
    default:
      return [];
  }
}
