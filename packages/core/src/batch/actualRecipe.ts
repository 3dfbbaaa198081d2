import { acidTotal, type ActualAcid } from './acidTotal';
import { depthOfShade } from '../amounts/dyeMass';
import { figure, type Figure } from '../figure/figure';
import type { Plan } from '../recipe/planTypes';
import type { Formulation, Recipe } from '../recipe/recipe';
import type { Shelf } from '../recipe/materials';
import { named } from '../recipe/materials';
import { formatAmount } from '../units/formatQuantity';
import { departures } from './departures';
import type { Entry } from './entry';
import { dyeGramsOf, mainJar, potAdditions, untickedWater, type PotAddition } from './potAdditions';
import { standingEntries } from './batchState';
import { trueRecipe } from './trueRecipe';

/** One dye as it really went in. */
export interface ActualDye {
  dyeId: string;
  dyeName: string;
  /** The jar most of it came from; null for powder. */
  stockId: string | null;
  grams: Figure;
  /** On all the goods. */
  dos: Figure;
  /** What the plan asked for on all the goods, %; null when the dye was not in the plan. */
  plannedDos: number | null;
  /** Number of separate additions. */
  additions: number;
}

/** What a batch really was. */
export interface ActualRecipe {
  dyes: ActualDye[];
  bath: Figure;
  acidPure: ActualAcid | null;
  /** Where the record departs from the plan, one sentence each. */
  departures: string[];
  /** The true recipe, ready to be dyed again; null while no dye has gone in. */
  recipe: Recipe | null;
}

/**
 * The inverse of the plan: from what was really poured back to % depth of shade.
 * Every standing entry counts once, each in its own unit; a planned line that was never ticked did not go in.
 * @param dyes every dye the entries may name
 */
export function actualRecipe(
  formulation: Formulation,
  plan: Plan,
  entries: readonly Entry[],
  dyes: Shelf['dyes'],
): ActualRecipe {
  const { standing } = standingEntries(entries);
  const additions = potAdditions(plan, standing);
  const known = [...formulation.dyes, ...dyes];
  const found = actualDyes(plan, additions, known);
  return {
    dyes: found,
    bath: bathInAll(plan, additions, standing),
    acidPure: acidTotal(additions),
    departures: departures(plan, standing, found),
    recipe: found.length === 0 ? null : trueRecipe(formulation, plan, additions, standing, known),
  };
}

function actualDyes(plan: Plan, additions: readonly PotAddition[], dyes: Shelf['dyes']): ActualDye[] {
  const wog = plan.wog.value;
  const planned = plan.passes.flatMap((pass) => pass.pours);
  const poured = additions.filter((addition) => addition.material.kind === 'dye');
  const ids = [
    ...new Set(poured.flatMap(({ material }) => (material.kind === 'dye' ? [material.dyeId] : []))),
  ];
  return ids.map((dyeId) => {
    const mine = poured.filter(({ material }) => material.kind === 'dye' && material.dyeId === dyeId);
    const parts = mine.map(dyeGramsOf);
    const total = parts.reduce((sum, part) => sum + part, 0);
    const dye = named(dyes, dyeId, 'dyeId', 'dye');
    const asked = planned.filter((pour) => pour.dyeId === dyeId);
    return {
      dyeId,
      dyeName: dye.name,
      stockId: mainJar(mine),
      grams: figure(
        total,
        'g',
        mine
          .map((addition, i) => `${plainAmount(addition)} = ${formatAmount(parts[i] ?? 0, 'g')}`)
          .join(' + '),
      ),
      dos: figure(
        depthOfShade(total, wog, dye.lotStrength),
        '%',
        `100 × ${formatAmount(total, 'g')} ÷ ${formatAmount(wog, 'g')} of goods`,
      ),
      plannedDos:
        asked.length === 0
          ? null
          : asked.reduce((sum, pour) => sum + depthOfShade(pour.grams.value, wog, pour.lotStrength), 0),
      additions: mine.length,
    };
  });
}

function plainAmount({ unit, amount, material }: PotAddition): string {
  return unit === 'mL' && material.kind === 'dye'
    ? `${formatAmount(amount, 'mL')} of ${material.strengthPercent} %`
    : formatAmount(amount, unit);
}

/** Liquid that went into the pot, over every pass; planned water stands in where nobody ticked it. */
function bathInAll(plan: Plan, additions: readonly PotAddition[], standing: readonly Entry[]): Figure {
  const poured = additions.reduce((sum, { unit, amount }) => sum + (unit === 'mL' ? amount : 0), 0);
  const missing = untickedWater(plan, standing);
  return missing === 0
    ? figure(poured, 'mL', 'everything liquid that was poured')
    : figure(
        poured + missing,
        'mL',
        `${formatAmount(poured, 'mL')} poured + ${formatAmount(missing, 'mL')} planned water, which was not ticked`,
      );
}
