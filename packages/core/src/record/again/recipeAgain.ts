import { dyeGramsOf } from '../additions';
import { amountOf } from '../../process/amountOf';
import { depthOfShade } from '../../amounts/dyeMass';
import { methodFacts, passShare } from '../../method';
import { lineShare } from '../../recipe/entryContext';
import { lineGrams } from '../../recipe/lineGrams';
import type { DyeLine, GoodsLine, Pass, Recipe } from '../../recipe/recipe';
import { quantityKind } from '../../units/quantityKinds';
import type { Told } from '../../plan/tell';

/** Deepest that a line of a recipe can be, %. */
const [, DEEPEST] = quantityKind('dos').possible;

/**
 * The recipe that stands beside a card made from a record: its ways and words as they were, its goods as they are now,
 * its dyes as the card puts them in. The card is what is dyed.
 */
export function recipeAgain(
  then: Recipe,
  goods: GoodsLine[],
  potId: string | null,
  lines: readonly Pick<Told, 'act'>[],
): Recipe {
  const wog = goods.reduce((sum, line) => (line.catchUp ? sum : sum + lineGrams(line)), 0);
  return {
    ...then,
    goods,
    potId,
    passes: then.passes.map((pass) => ({ ...pass, dyes: dyesOn(pass, lines, wog) })),
  };
}

/** The dyes of a pass, each at the depth that it comes to on the goods its line is for. */
function dyesOn(pass: Pass, lines: readonly Pick<Told, 'act'>[], wogGrams: number): DyeLine[] {
  const found = new Map<string, DyeLine & { standard: number }>();
  for (const { act } of lines) {
    const measured = act.pass === pass.id && act.purpose !== 'dilution' ? amountOf(act) : null;
    if (measured?.material.kind !== 'dye') continue;
    const { dyeId, stockId, lotStrength } = measured.material;
    const planned =
      pass.dyes.find((line) => line.id === act.line) ?? pass.dyes.find((line) => line.dyeId === dyeId);
    const key = planned?.dyeId === dyeId ? planned.id : dyeId;
    const line = found.get(key) ?? {
      id: key,
      dyeId,
      stockId: methodFacts(pass.method.kind).dry ? null : stockId,
      sectionId: planned?.sectionId ?? null,
      entry: { school: 'depth', percent: 0 },
      standard: 0,
    };
    found.set(key, { ...line, standard: line.standard + dyeGramsOf(measured) * lotStrength });
  }
  return [...found.values()].map(({ standard, ...line }) => ({
    ...line,
    entry: {
      school: 'depth',
      percent: Math.min(
        DEEPEST,
        depthOfShade(standard, wogGrams * lineShare(pass, line, passShare(pass.method))),
      ),
    },
  }));
}
