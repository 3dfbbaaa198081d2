import { figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { methodFacts, sectionsOf } from '../method';
import { pickUpOf } from '../method/painted';
import { layerOf } from '../method/paintedStack';
import { receivedBy } from '../process/depths';
import { formatAmount } from '../units/formatQuantity';
import { stockPouredMl } from './pours';
import type { PlannedPart } from './planTypes';
import type { ToldPass } from './story';

const PICK_UP = 'wet pick-up: from memory, yields to your own';

/** The painted sections of a pass or the layers of its stack, each with what it takes. */
export function passParts(told: ToldPass, wogGrams: number): PlannedPart[] {
  const { pass, pours, scene } = told;
  const { method } = pass;
  if (method.kind === 'painted stack' && method.sections.length === 0)
    return layersOf(told, method, wogGrams);
  const painted = methodFacts(method.kind).liquid === 'paint';
  return sectionsOf(method).map((section) => {
    const grams = (wogGrams * section.sharePercent) / 100;
    const mine = pours.filter((pour) => pour.sectionId === section.id);
    const stock = stockPouredMl(mine);
    const { paintMl = 0, fillUpMl = 0 } = scene.parts.find(({ id }) => id === section.id) ?? {};
    return {
      id: section.id,
      name: section.name,
      goods: figure(grams, 'g', () => `${plainNumber(section.sharePercent)} % × ${plainNumber(wogGrams)} g`),
      paint: painted
        ? figure(
            paintMl,
            'mL',
            () => `${plainNumber(pickUpOf(method, section))} mL/g × ${plainNumber(grams)} g`,
            'estimate',
            PICK_UP,
          )
        : null,
      fillUp: painted
        ? figure(
            fillUpMl,
            'mL',
            () => `${formatAmount(paintMl, 'mL')} paint − ${formatAmount(stock, 'mL')} stock`,
          )
        : null,
      dos: figure(
        mine.reduce((sum, pour) => sum + pour.dos.value, 0),
        '%',
        () => `${mine.map((pour) => plainNumber(pour.dos.value)).join(' + ') || '0'} % on this section`,
      ),
    };
  });
}

/** Layers of a stack, top first, each with the dye that stays in it once all has drained. */
function layersOf(
  { pass, end }: ToldPass,
  { layers, drainPercent, pickUpMlPerG }: { layers: number; drainPercent: number; pickUpMlPerG: number },
  wogGrams: number,
): PlannedPart[] {
  const grams = wogGrams / layers;
  const got = receivedBy(end, { pass: pass.id }).filter(({ stretch }) => stretch.axis === 'layer');
  return Array.from({ length: layers }, (_, i) => {
    const { from, to } = layerOf(layers, i);
    const middle = (from + to) / 2;
    const dye = got
      .filter(({ stretch }) => stretch.from <= middle && middle < stretch.to)
      .reduce(
        (sum, { standardGrams, stretch }) =>
          sum + (standardGrams * (to - from)) / (stretch.to - stretch.from),
        0,
      );
    const lowest = i === layers - 1;
    return {
      id: `layer-${i + 1}`,
      name: i === 0 ? 'Top layer' : lowest ? 'Lowest layer' : `Layer ${i + 1}`,
      goods: figure(grams, 'g', () => `${plainNumber(wogGrams)} g ÷ ${layers} layers`),
      paint: figure(
        pickUpMlPerG * grams,
        'mL',
        () => `${plainNumber(pickUpMlPerG)} mL/g × ${plainNumber(grams)} g`,
        'estimate',
        PICK_UP,
      ),
      fillUp: null,
      dos: figure(
        (100 * dye) / grams,
        '%',
        () =>
          `${formatAmount(dye, 'g')} on ${formatAmount(grams, 'g')}: ${lowest ? 'all that reaches it stays' : `${plainNumber(drainPercent)} % of what reaches it drains on`}`,
        'estimate',
        'mass balance on the drained share',
      ),
    };
  });
}
