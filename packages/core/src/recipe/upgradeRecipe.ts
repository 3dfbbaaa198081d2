type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A recipe as version 1 wrote it (one immersion pass, one acid, depths only), in today's shape. What is today's
 * already, or no recipe at all, comes back as it is: the schema says what is wrong with it.
 */
export function upgradeRecipe(recipe: unknown): unknown {
  if (!isFields(recipe) || !Array.isArray(recipe.passes)) return recipe;
  return { ...recipe, passes: recipe.passes.map(upgradePass) };
}

function upgradePass(pass: unknown): unknown {
  if (!isFields(pass)) return pass;
  const { acid, ...rest } = pass;
  return {
    ...rest,
    ...(typeof pass.method === 'string' && { method: { kind: pass.method } }),
    ...('acid' in pass && !('acids' in pass) && { acids: acid === null ? [] : [acid] }),
    ...(Array.isArray(pass.dyes) && { dyes: pass.dyes.map(upgradeLine) }),
  };
}

function upgradeLine(line: unknown): unknown {
  if (!isFields(line) || !('dosPercent' in line) || 'entry' in line) return line;
  const { dosPercent, ...rest } = line;
  return { ...rest, entry: { school: 'depth', percent: dosPercent } };
}
