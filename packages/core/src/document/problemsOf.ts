/** One thing wrong with what was sent. */
export interface Problem {
  /** Path of the field: `colorways.0.recipe.goods.1.baseId`; empty for the whole. */
  field: string;
  message: string;
}

/** What a schema has to say, as far as it is put into words here. */
interface ShapeIssue {
  path: readonly PropertyKey[];
  message: string;
  code?: string | undefined;
  expected?: string | undefined;
  origin?: string | undefined;
  minimum?: number | bigint | undefined;
  maximum?: number | bigint | undefined;
  keys?: readonly string[] | undefined;
  values?: readonly unknown[] | undefined;
}

/** Words that a schema has for itself; those of our own begin otherwise. */
const BORROWED = /^(Invalid|Too (big|small)|Unrecognized|Expected)\b/;

const TYPES: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'a set of fields',
  record: 'a set of fields',
};

/** Schema issues as problems in a dyer's words, each with its field. */
export function problemsOf(issues: readonly ShapeIssue[]): Problem[] {
  return issues.map((issue) => ({
    field: issue.path.map(String).join('.'),
    message: BORROWED.test(issue.message) ? ownWords(issue) : issue.message,
  }));
}

function ownWords({
  code,
  message,
  expected = '',
  origin,
  minimum,
  maximum,
  keys,
  values,
}: ShapeIssue): string {
  const entries = origin === 'string' ? 'characters' : 'entries';
  switch (code) {
    case 'invalid_type':
      return /received undefined$/.test(message)
        ? 'This is missing.'
        : `This must be ${TYPES[expected] ?? 'something else'}.`;
    case 'unrecognized_keys':
      return `There is no field ${(keys ?? []).map((key) => `“${key}”`).join(', ')} here.`;
    case 'invalid_value':
      return values && values.length > 0
        ? `This must be ${values.length === 1 ? '' : 'one of '}${values.map(String).join(', ')}.`
        : 'This is none of the words that are known here.';
    case 'too_big':
      return origin === 'number' || origin === 'int'
        ? `This cannot be over ${maximum}.`
        : `This can have at most ${maximum} ${entries}.`;
    case 'too_small':
      return origin === 'number' || origin === 'int'
        ? `This cannot be under ${minimum}.`
        : `This needs at least ${minimum} ${entries}.`;
    case 'invalid_union':
      return 'This is of no kind that is known here.';
    default:
      return 'This cannot be read.';
  }
}
