import { pureAcidGrams } from '../acid/acidDose';
import { depthOfShade } from '../amounts/dyeMass';
import { methodFacts, passShare } from '../method';
import type { PassMethod } from '../method';
import { lineShare } from '../recipe/entryContext';
import type { AcidDose, DyeLine, Pass, Recipe } from '../recipe/recipe';
import { acidTotal } from './acidTotal';
import { dyeGramsOf, liquidMl, mainJar, standardGramsOf, untickedWater, type PotAddition } from './additions';
import type { Batch } from './batch';
import { besideMeasured } from './besideMeasured';
import type { Card, CardPass } from './card';
import { weightOfGoods } from './cardGoods';

/** The recipe as it was really dyed, pass by pass, every dye as a depth. A pass that got no dye is left out. */
export function trueRecipe(batch: Batch, additions: readonly PotAddition[]): Recipe {
  const { card } = batch;
  const { recipe } = batch.formulation;
  const wog = weightOfGoods(card).value;
  const passes = recipe.passes.flatMap((pass): Pass[] => {
    const mine = additions.filter((addition) => addition.pass === pass.id);
    const lines = trueLines(pass, mine, wog);
    const planned = card.passes.find((candidate) => candidate.id === pass.id);
    return lines.length === 0 || !planned ? [] : [truePass(pass, planned, lines, mine, batch)];
  });
  const [first] = passes;
  // When the pass that ran the water got no dye, the one after it is the first now and needs a bath of its own.
  const bath = card.passes.find((pass) => pass.id === first?.id)?.bathMl ?? 0;
  return {
    ...recipe,
    passes: passes.map((pass) =>
      pass === first && pass.water.basis === 'kept'
        ? { ...pass, water: { basis: 'volume', value: bath } }
        : pass,
    ),
  };
}

/** The line that dye of a pass belongs to: the planned one it names, or for an unplanned one the first of the same dye. */
export const lineOfDye = (pass: Pass, line: string, dyeId: string): DyeLine | undefined =>
  line === ''
    ? pass.dyes.find((candidate) => candidate.dyeId === dyeId)
    : pass.dyes.find((candidate) => candidate.id === line);

/** Depth of a mass of standard dye on the goods that its line of the pass is for, %. */
export function depthOnLine(
  pass: Pass,
  line: Pick<DyeLine, 'sectionId'>,
  standardGrams: number,
  wogGrams: number,
): number {
  return depthOfShade(standardGrams, wogGrams * lineShare(pass, line, passShare(pass.method)), 1);
}

function trueLines(pass: Pass, additions: readonly PotAddition[], wogGrams: number): DyeLine[] {
  const keyed = new Map<string, PotAddition[]>();
  for (const addition of additions) {
    const { material } = addition;
    if (material.kind !== 'dye') continue;
    const key = lineOfDye(pass, addition.line ?? '', material.dyeId)?.id ?? material.dyeId;
    keyed.set(key, [...(keyed.get(key) ?? []), addition]);
  }
  return [...keyed].map(([id, mine]): DyeLine => {
    const planned = pass.dyes.find((line) => line.id === id);
    const material = mine[0]?.material;
    const line: DyeLine = {
      id,
      dyeId: planned?.dyeId ?? (material?.kind === 'dye' ? material.dyeId : ''),
      entry: { school: 'depth', percent: 0 },
      stockId: mainJar(mine),
      sectionId: planned?.sectionId ?? null,
    };
    const standard = mine.reduce((sum, addition) => sum + standardGramsOf(addition), 0);
    return { ...line, entry: { school: 'depth', percent: depthOnLine(pass, line, standard, wogGrams) } };
  });
}

function truePass(
  pass: Pass,
  planned: CardPass,
  dyes: DyeLine[],
  additions: readonly PotAddition[],
  batch: Batch,
): Pass {
  const unticked = untickedWater(batch.card, batch.events, pass.id);
  const bathMl = trueBathMl(batch.card, planned, additions, unticked);
  const { method, acids } = trueAcids(pass, additions, bathMl);
  return {
    ...pass,
    method:
      methodFacts(pass.method.kind).liquid === 'paint' ? withPickUp(method, bathMl / planned.bathMl) : method,
    dyes,
    water:
      planned.keepsBath || besideMeasured(batch.card, planned) > 0
        ? pass.water
        : { basis: 'ratio', value: bathMl / planned.goodsGrams },
    acids,
    topUpMl: 0,
  };
}

/** The bath of a pass as it was really made, mL. @param untickedMl planned water that nobody ticked */
export const trueBathMl = (
  card: Card,
  planned: CardPass,
  additions: readonly PotAddition[],
  untickedMl: number,
): number =>
  planned.keepsBath ? planned.bathMl : liquidMl(additions) + untickedMl + besideMeasured(card, planned);

/** A painting way with the pick-up that its paint really came to. @param times of the paint that was planned */
function withPickUp(method: PassMethod, times: number): PassMethod {
  if (!('pickUpMlPerG' in method)) return method;
  const pickUpMlPerG = method.pickUpMlPerG * times;
  return pickUpMlPerG > 0.1 && pickUpMlPerG <= 6 ? { ...method, pickUpMlPerG } : method;
}

/** Acid that went in, as one dose; citric that powder was cut with stays with the powder. */
function trueAcids(
  pass: Pass,
  additions: readonly PotAddition[],
  bathMl: number,
): { method: PassMethod; acids: AcidDose[] } {
  const acid = additions.filter(({ material }) => material.kind === 'acid');
  const cut = acid.filter(({ purpose }) => purpose === 'cut');
  const powder = additions.reduce((sum, addition) => sum + dyeGramsOf(addition), 0);
  const method =
    pass.method.kind === 'sprinkle'
      ? {
          ...pass.method,
          citricPerGram: powder > 0 ? cut.reduce((sum, one) => sum + pureGramsOf(one), 0) / powder : 0,
        }
      : pass.method;
  const total = acidTotal(acid.filter((one) => !cut.includes(one)));
  if (!total || bathMl <= 0) return { method, acids: [] };
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

/** Pure acid in one addition, g; zero for anything else. */
export const pureGramsOf = ({ material, amount }: PotAddition): number =>
  material.kind === 'acid' ? pureAcidGrams(amount, material.strengthPercent) : 0;
