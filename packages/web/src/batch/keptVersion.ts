import {
  colorwaySchema,
  problemsOf,
  writtenAgain,
  type Batch,
  type Colorway,
  type VersionOf,
} from '@ythrion/core';

/**
 * What was really dyed, as the next version of its colorway or as one of its own.
 * @param newest version there is; left out for a colorway of its own, under the id and name given
 * @returns the problem, where it cannot be kept as a recipe
 */
export function keptVersion(
  batch: Batch,
  version: VersionOf,
  newest: Colorway | undefined,
  own: { id: string; name: string },
): { colorway: Colorway; problem: null } | { colorway: null; problem: string } {
  const { success, data, error } = colorwaySchema.safeParse({
    id: newest?.id ?? own.id,
    code: newest?.code ?? '',
    name: newest?.name ?? own.name,
    note: `As batch ${batch.code} was really dyed.`,
    version: (newest?.version ?? 0) + 1,
    recipe: version.recipe,
    // What was said by the spoon stays so in the version that comes of it.
    asWritten: writtenAgain(batch, version.recipe),
  });
  return success
    ? { colorway: data, problem: null }
    : {
        colorway: null,
        problem: problemsOf(error.issues)[0]?.message ?? 'This cannot be kept as a recipe.',
      };
}
