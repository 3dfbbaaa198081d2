import { FieldError } from '../../figure/fieldError';
import { methodFacts } from '../../method';
import type { Plan } from '../../plan/planTypes';
import { resizeRecipe } from '../../plan/resize';
import type { AcidDose, DyeLine, Pass, Recipe } from '../../recipe/recipe';
import { scaleEntry } from '../../recipe/scale';
import { writtenAgain } from '../saidInRecord';
import type { Attempt } from './attempt';

/** What the next attempt is to be, from what really went into an earlier one. */
export type NextAttempt =
  | { kind: 'same' }
  /** All dye, so many times. */
  | { kind: 'times'; times: number }
  /** One dye, so many times; 0 leaves it out. */
  | { kind: 'dye'; dyeId: string; times: number }
  /** The same dye on twice the goods. */
  | { kind: 'half' }
  | { kind: 'paler' }
  | { kind: 'deeper' }
  /** The mean of two, dye by dye on the goods, and of acid per liter. */
  | { kind: 'between'; other: Attempt };

/** A recipe for the next attempt, with how its amounts were said. */
export interface PlannedAttempt {
  recipe: Recipe;
  asWritten: Record<string, string>;
}

/**
 * The next attempt, from what really went in.
 * @param planOf plans a recipe, for its depth on the ladder
 * @throws FieldError where no dye went in, or none would be left
 */
export function nextAttempt(
  from: Attempt,
  next: NextAttempt,
  planOf: (recipe: Recipe) => Pick<Plan, 'totals'>,
): PlannedAttempt {
  const { batch, truly } = from;
  if (!truly.version)
    throw new FieldError('attempt', `No dye went into ${batch.code}: there is nothing to go on from.`);
  const recipe = changed(truly.version.recipe, from, next, planOf);
  return { recipe, asWritten: writtenAgain(batch, recipe) };
}

function changed(
  recipe: Recipe,
  from: Attempt,
  next: NextAttempt,
  planOf: (recipe: Recipe) => Pick<Plan, 'totals'>,
): Recipe {
  switch (next.kind) {
    case 'same':
      return recipe;
    case 'times':
      checkFactor(next.times);
      return withDyes(recipe, () => next.times);
    case 'dye':
      if (next.times !== 0) checkFactor(next.times);
      return withDyes(recipe, (line) => (line.dyeId === next.dyeId ? next.times : 1));
    case 'half':
      return resizeRecipe(
        recipe,
        {
          kind: 'same dye',
          goods: recipe.goods.map((line) => ({
            ...line,
            count: line.count * 2,
            weighedGrams: line.weighedGrams === null ? null : line.weighedGrams * 2,
          })),
        },
        planOf(recipe),
      );
    case 'paler':
    case 'deeper':
      return resizeRecipe(recipe, { kind: next.kind }, planOf(recipe));
    case 'between':
      return between(recipe, from, next.other);
  }
}

function checkFactor(times: number): void {
  if (!(times > 0) || times > 20)
    throw new FieldError(
      'times',
      'Say how many times as much: a number above 0, at most 20, such as 0.5 or 1.25.',
    );
}

/** Every dye line so many times; those that come to nothing are left out. @throws FieldError where none is left */
function withDyes(recipe: Recipe, timesOf: (line: DyeLine) => number): Recipe {
  const passes = recipe.passes.flatMap((pass): Pass[] => {
    const gone = new Set(pass.dyes.filter((line) => timesOf(line) === 0).map(({ id }) => id));
    const dyes = pass.dyes
      .filter(({ id }) => !gone.has(id))
      .map((line) => ({ ...line, entry: scaleEntry(line.entry, timesOf(line), 1) }));
    return dyes.length === 0 ? [] : [{ ...pass, dyes, method: withoutLines(pass.method, gone) }];
  });
  if (passes.length === 0)
    throw new FieldError('dye', 'Without that dye nothing is left to dye with. Take less of it instead.');
  return { ...recipe, passes };
}

/** An own way without the steps of lines that are left out. */
function withoutLines(method: Pass['method'], gone: ReadonlySet<string>): Pass['method'] {
  if (method.kind !== 'own way' || gone.size === 0) return method;
  return {
    ...method,
    steps: method.steps.filter((step) => step.do !== 'dye' || step.lineId === null || !gone.has(step.lineId)),
  };
}

/** The mean of two attempts, in the way and on the goods of the first. */
function between(recipe: Recipe, from: Attempt, other: Attempt): Recipe {
  const theirs = other.truly.version?.recipe;
  if (!theirs)
    throw new FieldError(
      'other',
      `No dye went into ${other.batch.code}: there is no middle between the two.`,
    );
  const mine = new Map(from.dyes.map(({ dyeId, dos }) => [dyeId, dos.value]));
  const its = new Map(other.dyes.map(({ dyeId, dos }) => [dyeId, dos.value]));
  const scaled = withDyes(recipe, ({ dyeId }) => {
    const now = mine.get(dyeId) ?? 0;
    return now > 0 ? (now + (its.get(dyeId) ?? 0)) / 2 / now : 1;
  });
  const missing = theirs.passes
    .flatMap(({ dyes }) => dyes)
    .filter(({ dyeId }, i, all) => !mine.has(dyeId) && all.findIndex((one) => one.dyeId === dyeId) === i)
    .map((line): DyeLine => ({
      ...line,
      id: line.dyeId,
      sectionId: null,
      entry: { school: 'depth', percent: (its.get(line.dyeId) ?? 0) / 2 },
    }));
  const acid = (perL: Attempt['acidPerL']): number => perL?.value ?? 0;
  const mean = (acid(from.acidPerL) + acid(other.acidPerL)) / 2;
  return {
    ...scaled,
    passes: withAcid(
      scaled.passes.map((pass, i) => (i === 0 ? withLines(pass, missing) : pass)),
      acid(from.acidPerL) > 0 ? mean / acid(from.acidPerL) : 0,
      theirs.passes.flatMap(({ acids }) => acids),
    ),
  };
}

/** More dye lines in a pass, where an own way puts in its others. */
function withLines(pass: Pass, lines: readonly DyeLine[]): Pass {
  if (lines.length === 0) return pass;
  const { method } = pass;
  const sectionId = pass.dyes[0]?.sectionId ?? null;
  const dyes = [...pass.dyes, ...lines.map((line) => ({ ...line, sectionId }))];
  if (method.kind !== 'own way') return { ...pass, dyes };
  const at = method.steps.findLastIndex((step) => step.do === 'dye');
  const like = method.steps[at];
  // A step for each of the dyes takes these along.
  if (like?.do !== 'dye' || like.lineId === null) return { ...pass, dyes };
  const more = lines.map(({ id }) => ({ ...like, lineId: id }));
  return { ...pass, dyes, method: { ...method, steps: method.steps.toSpliced(at + 1, 0, ...more) } };
}

/** Acid so many times; where there was none, half of the other’s. */
function withAcid(passes: readonly Pass[], times: number, theirs: readonly AcidDose[]): Pass[] {
  if (times > 0)
    return passes.map((pass) => ({
      ...pass,
      acids: pass.acids.map((dose) => ({ ...dose, value: dose.value * times })),
    }));
  return passes.map((pass, i) => {
    if (i > 0 || pass.acids.length > 0) return pass;
    const { acidTimes } = methodFacts(pass.method.kind);
    const acids = theirs.map((dose) => ({
      ...dose,
      value: dose.value / 2,
      when: acidTimes.includes(dose.when) ? dose.when : (acidTimes[0] ?? 'start'),
    }));
    return { ...pass, acids, method: withAcidSteps(pass.method, acids) };
  });
}

/** An own way that puts in acid as well, after its dye. */
function withAcidSteps(method: Pass['method'], acids: readonly AcidDose[]): Pass['method'] {
  if (method.kind !== 'own way') return method;
  const at = method.steps.findLastIndex((step) => step.do === 'dye');
  const steps = acids.map(({ id }) => ({ do: 'acid' as const, acidId: id }));
  return { ...method, steps: method.steps.toSpliced(at + 1, 0, ...steps) };
}
