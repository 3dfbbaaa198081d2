import { depthOfShade } from '../amounts/dyeMass';
import type { Shelf } from '../recipe/materials';
import { named } from '../recipe/materials';
import { keepsBath, methodFacts, passShare } from '../recipe/methods';
import type { PassMethod } from '../recipe/methodSchema';
import { lineShare } from '../recipe/planPours';
import type { Plan } from '../recipe/planTypes';
import type { AcidDose, DyeLine, Formulation, Pass, Recipe } from '../recipe/recipe';
import { acidTotal } from './acidTotal';
import type { Entry } from './entry';
import { dyeGramsOf, mainJar, untickedWater, type PotAddition } from './potAdditions';

/**
 * The recipe as it was really dyed, pass by pass, every dye as a depth. A pass that got no dye is left out.
 * @param dyes every dye that went in
 */
export function trueRecipe(
  formulation: Formulation,
  plan: Plan,
  additions: readonly PotAddition[],
  standing: readonly Entry[],
  dyes: Shelf['dyes'],
): Recipe {
  const { recipe } = formulation;
  const passes = recipe.passes.flatMap((pass): Pass[] => {
    const mine = additions.filter((addition) => addition.passId === pass.id);
    const lines = trueLines(pass, mine, plan.wog.value, dyes);
    return lines.length === 0 ? [] : [truePass(pass, lines, mine, plan, standing)];
  });
  const [first] = passes;
  // When the pass that ran the water got no dye, the one after it is the first now and needs a bath of its own.
  const bath = plan.passes.find((pass) => pass.id === first?.id)?.bath.value ?? 0;
  return {
    ...recipe,
    passes: passes.map((pass) =>
      pass === first && pass.water.basis === 'kept'
        ? { ...pass, water: { basis: 'volume', value: bath } }
        : pass,
    ),
  };
}

function trueLines(
  pass: Pass,
  additions: readonly PotAddition[],
  wogGrams: number,
  dyes: Shelf['dyes'],
): DyeLine[] {
  const keyed = new Map<string, PotAddition[]>();
  for (const addition of additions) {
    if (addition.material.kind !== 'dye') continue;
    const key = lineOf(pass, addition)?.id ?? addition.material.dyeId;
    keyed.set(key, [...(keyed.get(key) ?? []), addition]);
  }
  return [...keyed].map(([id, mine]): DyeLine => {
    const planned = pass.dyes.find((line) => line.id === id);
    const material = mine[0]?.material;
    const dyeId = planned?.dyeId ?? (material?.kind === 'dye' ? material.dyeId : '');
    const dye = named(dyes, dyeId, 'dyeId', 'dye');
    const grams = mine.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
    const line: DyeLine = {
      id,
      dyeId,
      entry: { school: 'depth', percent: 0 },
      stockId: mainJar(mine),
      sectionId: planned?.sectionId ?? null,
    };
    const share = lineShare(pass, line, passShare(pass.method));
    return {
      ...line,
      entry: { school: 'depth', percent: depthOfShade(grams, wogGrams * share, dye.lotStrength) },
    };
  });
}

/** The planned line an addition belongs to: its own, or for an unplanned one the first of the same dye. */
function lineOf(pass: Pass, { material }: PotAddition): DyeLine | undefined {
  if (material.kind !== 'dye') return undefined;
  return 'lineId' in material
    ? pass.dyes.find((line) => line.id === material.lineId)
    : pass.dyes.find((line) => line.dyeId === material.dyeId);
}

function truePass(
  pass: Pass,
  dyes: DyeLine[],
  additions: readonly PotAddition[],
  plan: Plan,
  standing: readonly Entry[],
): Pass {
  const planned = plan.passes.find((candidate) => candidate.id === pass.id);
  const grams = planned?.goods.value ?? plan.wog.value;
  const poured = additions.reduce((sum, { unit, amount }) => sum + (unit === 'mL' ? amount : 0), 0);
  const liquid = poured + untickedWater(plan, standing, pass.id);
  const bathMl = keepsBath(pass) ? (planned?.bath.value ?? liquid) : liquid;
  const { method, acids } = trueAcids(pass, additions, dyes, bathMl);
  return {
    ...pass,
    method: methodFacts(pass.method.kind).liquid === 'paint' ? withPickUp(method, bathMl / grams) : method,
    dyes,
    water: keepsBath(pass) ? pass.water : { basis: 'ratio', value: bathMl / grams },
    acids,
    topUpMl: 0,
  };
}

function withPickUp(method: PassMethod, pickUpMlPerG: number): PassMethod {
  return 'pickUpMlPerG' in method && pickUpMlPerG > 0.1 && pickUpMlPerG <= 6
    ? { ...method, pickUpMlPerG }
    : method;
}

/** Acid that went in, one dose for each time it was planned; citric that powder was cut with stays with the powder. */
function trueAcids(
  pass: Pass,
  additions: readonly PotAddition[],
  dyes: readonly DyeLine[],
  bathMl: number,
): { method: PassMethod; acids: AcidDose[] } {
  const acid = additions.filter(({ material }) => material.kind === 'acid');
  const dry = pass.method.kind === 'sprinkle';
  const cutId = dry
    ? acid.find(({ stepId }) => stepId?.includes('acid') && isCut(pass, stepId))?.stepId
    : undefined;
  const cut = acid.filter(({ stepId }) => stepId !== null && stepId === cutId);
  const rest = acid.filter((addition) => !cut.includes(addition));
  const powder = additions.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
  const method =
    pass.method.kind === 'sprinkle'
      ? {
          ...pass.method,
          citricPerGram: powder > 0 ? cut.reduce((sum, { amount }) => sum + amount, 0) / powder : 0,
        }
      : pass.method;
  const total = acidTotal(rest);
  if (!total || bathMl <= 0 || dyes.length === 0) return { method, acids: [] };
  return {
    method,
    acids: [
      {
        material: total.material,
        strengthPercent: total.strengthPercent,
        basis: 'gPerL',
        value: total.grams.value / (bathMl / 1000),
        when: pass.acids[0]?.when ?? 'start',
      },
    ],
  };
}

/** The cut is the acid dose after all the decided ones. */
function isCut(pass: Pass, stepId: string): boolean {
  const decided = pass.acids.filter((dose) => dose.value > 0).length;
  return stepId.endsWith(decided === 0 ? 'acid' : `acid-${decided + 1}`);
}
