import { inSpoons, type SpoonSet } from '../units/inSpoons';
import { spoonMl } from '../units/conversions';
import { parseQuantity, type ParseContext } from '../units/parseQuantity';
import { editText } from '../units/formatQuantity';
import { passShare } from '../method';
import { convertLine, type ConvertedPass } from './convertLine';
import { dyePath, entryAmount, entryIn, SCHOOLS } from './dyeEntry';
import type { School } from './dyeEntrySchema';
import { entryContext } from './entryContext';
import type { Formulation, Pass } from './recipe';

/** What it takes to say a dye in another school. */
export interface ToSay {
  pass: Pass;
  lineId: string;
  /** All the goods of the recipe, g. */
  wogGrams: number;
  from: Pick<Formulation, 'dyes' | 'stocks' | 'spoons'>;
  /** What was typed, by the paths of the colorway. */
  written: Readonly<Record<string, string>>;
  /** How an amount of the dye is read. */
  reading: ParseContext;
  spoons: SpoonSet;
}

/** A pass in which one line is said in another school, and what its fields then read. */
export interface SaidInSchool {
  pass: ConvertedPass;
  written: Record<string, string>;
}

/** As near as nobody would measure better, of the amount. */
const AS_GOOD_AS = 0.01;
/** Spoons farther off than this are said as a number, %. */
const SPOON_PERCENT = 2;

/**
 * Says one dye of a pass in another school, with an amount that a dyer would write: what was written there before if it comes
 * within a hundredth, spoons as the studio has them, or a number of three figures.
 * @returns null where the school cannot say it, such as stock without a jar
 */
export function sayDyeIn(
  to: School,
  { pass, lineId, wogGrams, from, written, reading, spoons }: ToSay,
): SaidInSchool | null {
  const line = pass.dyes.find(({ id }) => id === lineId);
  if (!line) return null;
  const context = entryContext(pass, line, wogGrams, passShare(pass.method), from);
  const converted = convertLine(pass, lineId, to, context);
  const exact = converted?.dyes.find(({ id }) => id === lineId);
  if (!converted || !exact) return null;
  const said = asWritten(entryAmount(exact.entry), to, {
    text: written[dyePath(lineId, to)],
    reading,
    spoons,
  });
  const here = dyePath(lineId, line.entry.school);
  return {
    // What stands is kept as it is written, so that it comes back when the school does.
    written: {
      [here]: written[here] ?? editText(entryAmount(line.entry)),
      [dyePath(lineId, to)]: said.written,
    },
    pass: {
      ...converted,
      dyes: converted.dyes.map((other) =>
        other.id === lineId ? { ...other, entry: entryIn(to, said.amount) } : other,
      ),
    },
  };
}

function asWritten(
  exact: number,
  to: School,
  { text, reading, spoons }: { text: string | undefined } & Pick<ToSay, 'reading' | 'spoons'>,
): { amount: number; written: string } {
  const before = text === undefined ? null : parseQuantity(text, SCHOOLS[to].kind, reading);
  if (text !== undefined && before?.ok && Math.abs(before.value - exact) <= AS_GOOD_AS * exact)
    return { amount: before.value, written: text };
  if (SCHOOLS[to].kind === 'teaspoons') {
    const teaspoon = spoonMl('tsp', spoons.system);
    const said = inSpoons(exact * teaspoon, spoons);
    if (said && Math.abs(said.offPercent) <= SPOON_PERCENT)
      return { amount: said.ml / teaspoon, written: said.words };
    if (exact >= 0.01 && exact < 1) return { amount: Number(exact.toFixed(2)), written: '' };
  }
  // Parts share one depth, so that a rounded one would shift the others.
  return { amount: Number(exact.toPrecision(to === 'parts' || to === 'print' ? 9 : 3)), written: '' };
}
