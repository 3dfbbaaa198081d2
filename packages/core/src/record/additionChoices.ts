import { threeFigures } from '../units/threeFigures';
import { ACID_MATERIALS, ACIDS } from '../materials/acids';
import type { Shelf } from '../recipe/materials';
import type { Formulation } from '../recipe/recipe';
import type { Dye } from '../shelf/dye';
import type { MeasuredOut } from '../process/amountOf';

/** One thing that could go into a pot unplanned, and how it is measured. */
export interface AdditionChoice {
  key: string;
  label: string;
  unit: 'mL' | 'g';
  material: MeasuredOut['material'];
}

/** Everything at hand that could be added: this recipe's jars first, then the other jars, powders, acids and water. */
export function additionChoices(shelf: Shelf, formulation: Pick<Formulation, 'stocks'>): AdditionChoice[] {
  const planned = new Set(formulation.stocks.map((stock) => stock.id));
  const jars = shelf.stocks
    .filter((stock) => !stock.retired)
    .toSorted((a, b) => Number(planned.has(b.id)) - Number(planned.has(a.id)));
  const dyeOf = (id: string): Dye | undefined => shelf.dyes.find((dye) => dye.id === id);
  return [
    ...jars.map((jar): AdditionChoice => ({
      key: `jar-${jar.id}`,
      label: `${dyeOf(jar.dyeId)?.name ?? ''} ${threeFigures(jar.strengthPercent)} %`,
      unit: 'mL',
      material: {
        kind: 'dye',
        dyeId: jar.dyeId,
        stockId: jar.id,
        strengthPercent: jar.strengthPercent,
        lotStrength: dyeOf(jar.dyeId)?.lotStrength ?? 1,
      },
    })),
    { key: 'water', label: 'water', unit: 'mL', material: { kind: 'water' } },
    ...ACID_MATERIALS.map((material): AdditionChoice => ({
      key: material,
      label: ACIDS[material].label,
      unit: ACIDS[material].unit,
      material: { kind: 'acid', acid: material, strengthPercent: ACIDS[material].usualStrength },
    })),
    ...shelf.dyes
      .filter((dye) => !dye.retired)
      .map((dye): AdditionChoice => ({
        key: `powder-${dye.id}`,
        label: `${dye.name} powder`,
        unit: 'g',
        material: {
          kind: 'dye',
          dyeId: dye.id,
          stockId: null,
          strengthPercent: null,
          lotStrength: dye.lotStrength,
        },
      })),
  ];
}
