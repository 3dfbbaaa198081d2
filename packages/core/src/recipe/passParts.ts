import { figure } from '../figure/figure';
import { plainNumber } from '../figure/plainNumber';
import { formatAmount } from '../units/formatQuantity';
import { sectionsOf } from './methods';
import type { PassMethod } from './methodSchema';
import { pouredMl } from './planPours';
import type { PlannedPart, PourLine } from './planTypes';
import type { Pass } from './recipe';

/** The painted sections of a pass or the layers of its stack, each with what it takes. */
export function passParts(pass: Pass, pours: readonly PourLine[], wogGrams: number): PlannedPart[] {
  const { method } = pass;
  if (method.kind === 'painted stack') return layersOf(method, pours, wogGrams);
  const pickUp = method.kind === 'painting' || method.kind === 'blank painting' ? method.pickUpMlPerG : 0;
  return sectionsOf(method).map((section) => {
    const grams = (wogGrams * section.sharePercent) / 100;
    const mine = pours.filter((pour) => pour.sectionId === section.id);
    const paint = pickUp * grams;
    const stock = mine.reduce((sum, pour) => sum + pouredMl(pour), 0);
    return {
      id: section.id,
      name: section.name,
      goods: figure(grams, 'g', `${plainNumber(section.sharePercent)} % × ${plainNumber(wogGrams)} g`),
      paint: figure(
        paint,
        'mL',
        `${plainNumber(pickUp)} mL/g × ${plainNumber(grams)} g`,
        'estimate',
        'wet pick-up: from memory, yields to your own',
      ),
      fillUp: figure(
        Math.max(0, paint - stock),
        'mL',
        `${formatAmount(paint, 'mL')} paint − ${formatAmount(stock, 'mL')} stock`,
      ),
      dos: figure(
        mine.reduce((sum, pour) => sum + pour.dos.value, 0),
        '%',
        `${mine.map((pour) => plainNumber(pour.dos.value)).join(' + ') || '0'} % on this section`,
      ),
    };
  });
}

/**
 * Layers of a stack, top first: each keeps what does not drain, the lowest keeps all that reaches it, so that the dye
 * adds up. An estimate: the drained share is the dyer's own.
 */
function layersOf(
  { layers, drainPercent, pickUpMlPerG }: Extract<PassMethod, { kind: 'painted stack' }>,
  pours: readonly PourLine[],
  wogGrams: number,
): PlannedPart[] {
  const mean = pours.reduce((sum, pour) => sum + pour.dos.value, 0);
  const drains = drainPercent / 100;
  const grams = wogGrams / layers;
  let fromAbove = 0;
  return Array.from({ length: layers }, (_, i) => {
    const given = mean + fromAbove;
    const lowest = i === layers - 1;
    fromAbove = lowest ? 0 : given * drains;
    return {
      id: `layer-${i + 1}`,
      name: i === 0 ? 'Top layer' : lowest ? 'Lowest layer' : `Layer ${i + 1}`,
      goods: figure(grams, 'g', `${plainNumber(wogGrams)} g ÷ ${layers} layers`),
      paint: figure(
        pickUpMlPerG * grams,
        'mL',
        `${plainNumber(pickUpMlPerG)} mL/g × ${plainNumber(grams)} g`,
        'estimate',
        'wet pick-up: from memory, yields to your own',
      ),
      fillUp: null,
      dos: figure(
        given - fromAbove,
        '%',
        `${plainNumber(given)} % reaches it${lowest ? ' and stays' : `, ${plainNumber(drainPercent)} % of it drains on`}`,
        'estimate',
        'mass balance on the drained share',
      ),
    };
  });
}
