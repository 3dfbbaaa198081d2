import { ACIDS, pureAcidGrams, type AcidMaterial } from '../acid/acidDose';
import { depthOfShade } from '../amounts/dyeMass';
import { additionGrams } from '../amounts/tally';
import { figure, type Figure } from '../figure/figure';
import type { Plan } from '../recipe/plan';
import type { AcidDose, Formulation, Recipe } from '../recipe/recipe';
import type { Shelf } from '../recipe/materials';
import { named } from '../recipe/materials';
import { formatAmount } from '../units/formatQuantity';
import { standingEntries } from './batchState';
import type { Entry } from './entry';

/** One dye as it really went in. */
export interface ActualDye {
  dyeId: string;
  dyeName: string;
  /** The jar most of it came from; null for powder. */
  stockId: string | null;
  grams: Figure;
  dos: Figure;
  /** What the plan asked for, %; null when the dye was not in the plan. */
  plannedDos: number | null;
  /** Number of separate additions. */
  additions: number;
}

/** What a batch really was. */
export interface ActualRecipe {
  dyes: ActualDye[];
  bath: Figure;
  acidPure: { material: AcidMaterial; strengthPercent: number; grams: Figure } | null;
  /** Where the record departs from the plan, one sentence each. */
  departures: string[];
  /** The true recipe, ready to be dyed again; null while no dye has gone in. */
  recipe: Recipe | null;
}

interface DyeAddition {
  dyeId: string;
  stockId: string | null;
  unit: 'mL' | 'g';
  amount: number;
  strengthPercent: number | null;
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
  const additions = dyeAdditions(plan, standing);
  const found = actualDyes(formulation, plan, additions, dyes);
  const liquid = bathVolume(plan, standing);
  const bath = figure(liquid.ml, 'mL', liquid.because);
  const acidPure = acidTotal(plan, standing);
  return {
    dyes: found,
    bath,
    acidPure,
    departures: departures(plan, standing, found),
    recipe: found.length === 0 ? null : trueRecipe(formulation, found, bath.value, plan.wog.value, acidPure),
  };
}

function dyeAdditions(plan: Plan, standing: readonly Entry[]): DyeAddition[] {
  return standing.flatMap((entry): DyeAddition[] => {
    if (entry.kind === 'added' && entry.material.kind === 'dye')
      return [
        {
          dyeId: entry.material.dyeId,
          stockId: entry.material.stockId,
          unit: entry.unit,
          amount: entry.amount,
          strengthPercent: entry.material.strengthPercent,
        },
      ];
    if (entry.kind !== 'poured') return [];
    const material = plan.steps.find((step) => step.id === entry.stepId)?.measure?.material;
    return material?.kind === 'dye'
      ? [
          {
            dyeId: material.dyeId,
            stockId: material.stockId,
            unit: entry.unit,
            amount: entry.amount,
            strengthPercent: material.strengthPercent,
          },
        ]
      : [];
  });
}

function actualDyes(
  formulation: Formulation,
  plan: Plan,
  additions: readonly DyeAddition[],
  dyes: Shelf['dyes'],
): ActualDye[] {
  const wog = plan.wog.value;
  const planned = plan.passes.flatMap((pass) => pass.pours);
  const ids = [...new Set(additions.map((addition) => addition.dyeId))];
  return ids.map((dyeId) => {
    const mine = additions.filter((addition) => addition.dyeId === dyeId);
    const parts = mine.map((addition) =>
      additionGrams({
        unit: addition.unit,
        amount: addition.amount,
        strengthPercent: addition.strengthPercent ?? 0,
      }),
    );
    const total = parts.reduce((sum, part) => sum + part, 0);
    const largest = mine[parts.indexOf(Math.max(...parts))];
    const dye = formulation.dyes.find((known) => known.id === dyeId) ?? named(dyes, dyeId, 'dyeId', 'dye');
    const asked = planned.filter((pour) => pour.dyeId === dyeId);
    return {
      dyeId,
      dyeName: dye.name,
      stockId: largest?.stockId ?? null,
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
      plannedDos: asked.length === 0 ? null : asked.reduce((sum, pour) => sum + pour.dos.value, 0),
      additions: mine.length,
    };
  });
}

const plainAmount = (addition: DyeAddition): string =>
  addition.unit === 'mL'
    ? `${formatAmount(addition.amount, 'mL')} of ${addition.strengthPercent} %`
    : formatAmount(addition.amount, 'g');

/** Liquid in the pot; the planned water stands in when nobody ticked it. */
function bathVolume(plan: Plan, standing: readonly Entry[]): { ml: number; because: string } {
  const water = standing.some((entry) => entry.kind === 'poured' && entry.stepId === 'water');
  const poured = standing.reduce(
    (sum, entry) =>
      sum + ((entry.kind === 'poured' || entry.kind === 'added') && entry.unit === 'mL' ? entry.amount : 0),
    0,
  );
  const plannedWater = plan.passes[0]?.water.value ?? 0;
  return water
    ? { ml: poured, because: 'everything liquid that was poured' }
    : {
        ml: poured + plannedWater,
        because: `${formatAmount(poured, 'mL')} poured + ${formatAmount(plannedWater, 'mL')} planned water, which was not ticked`,
      };
}

/** All acid as grams of the acid most of it came from, other acids by equal equivalents. */
function acidTotal(plan: Plan, standing: readonly Entry[]): ActualRecipe['acidPure'] {
  const doses = standing.flatMap((entry) => {
    const material =
      entry.kind === 'added'
        ? entry.material
        : entry.kind === 'poured'
          ? plan.steps.find((step) => step.id === entry.stepId)?.measure?.material
          : undefined;
    if (material?.kind !== 'acid' || !('amount' in entry)) return [];
    const pure = pureAcidGrams(entry.amount, material.strengthPercent);
    return [
      {
        material: material.material,
        strengthPercent: material.strengthPercent,
        pure,
        equivalents: (pure * ACIDS[material.material].protons) / ACIDS[material.material].molarMass,
      },
    ];
  });
  const main = doses.toSorted((a, b) => b.equivalents - a.equivalents)[0];
  if (!main) return null;
  const facts = ACIDS[main.material];
  const grams = (doses.reduce((sum, dose) => sum + dose.equivalents, 0) * facts.molarMass) / facts.protons;
  const mixed = doses.some((dose) => dose.material !== main.material);
  return {
    material: main.material,
    strengthPercent: main.strengthPercent,
    grams: figure(
      grams,
      'g',
      mixed ? 'two acids, added up by equal equivalents' : `sum of ${doses.length} additions`,
      mixed ? 'estimate' : 'exact',
    ),
  };
}

function departures(plan: Plan, standing: readonly Entry[], found: readonly ActualDye[]): string[] {
  const poured = new Map(
    standing.flatMap((entry) => (entry.kind === 'poured' ? [[entry.stepId, entry] as const] : [])),
  );
  const lines = plan.steps.flatMap((step): string[] => {
    if (!step.measure) return [];
    const entry = poured.get(step.id);
    if (!entry) return step.kind === 'dye' ? [`${step.title}: not ticked, so it did not go in.`] : [];
    const asked = step.measure.amount.value;
    if (Math.abs(entry.amount - asked) <= 0.005 * asked) return [];
    return [
      `${step.title}: ${formatAmount(entry.amount, entry.unit)} instead of ${formatAmount(asked, entry.unit)}.`,
    ];
  });
  for (const entry of standing) {
    if (entry.kind !== 'added') continue;
    const what =
      entry.material.kind === 'dye'
        ? (found.find((dye) => dye.dyeId === (entry.material.kind === 'dye' ? entry.material.dyeId : ''))
            ?.dyeName ?? 'dye')
        : entry.material.kind === 'acid'
          ? ACIDS[entry.material.material].label
          : 'water';
    lines.push(`Also added: ${formatAmount(entry.amount, entry.unit)} of ${what}.`);
  }
  return lines;
}

function trueRecipe(
  formulation: Formulation,
  found: readonly ActualDye[],
  bathMl: number,
  wog: number,
  acid: ActualRecipe['acidPure'],
): Recipe {
  const { recipe } = formulation;
  const pass = recipe.passes[0];
  const dose: AcidDose | null = acid
    ? {
        material: acid.material,
        strengthPercent: acid.strengthPercent,
        basis: 'gPerL',
        value: acid.grams.value / (bathMl / 1000),
        when: pass?.acid?.when ?? 'start',
      }
    : null;
  return {
    ...recipe,
    passes: [
      {
        id: pass?.id ?? 'p1',
        method: 'immersion',
        dyes: found.map((dye) => ({
          id: pass?.dyes.find((line) => line.dyeId === dye.dyeId)?.id ?? dye.dyeId,
          dyeId: dye.dyeId,
          dosPercent: dye.dos.value,
          stockId: dye.stockId,
        })),
        water: { basis: 'ratio', value: bathMl / wog },
        acid: dose,
      },
    ],
  };
}
