import { DocumentError } from '@ythrion/core';

/** Characters that show nothing and do something: control characters but for tab and new line, and turns of direction. */
// eslint-disable-next-line no-control-regex
const HIDDEN = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u202a-\u202e\u2066-\u2069]/;

/**
 * Refuses a value in which any text holds hidden characters, the field named. What is in the record already is read as it
 * stands.
 * @param at where the value itself stands, as `batches.3`
 * @throws DocumentError
 */
export function refuseHiddenText(value: unknown, at = ''): void {
  const found = hiddenIn(value, at);
  if (found !== null)
    throw new DocumentError([
      {
        field: found,
        message:
          'This text holds a hidden character: a control character, or a mark that turns the direction of writing. Type it again.',
      },
    ]);
}

/** The path of the first text, or name of a field, with a hidden character. */
function hiddenIn(whole: unknown, at: string): string | null {
  const left: { value: unknown; path: string }[] = [{ value: whole, path: at }];
  for (let one = left.pop(); one; one = left.pop()) {
    const { value, path } = one;
    if (typeof value === 'string' && HIDDEN.test(value)) return path;
    if (value === null || typeof value !== 'object') continue;
    for (const [key, inner] of Object.entries(value)) {
      if (HIDDEN.test(key)) return path;
      left.push({ value: inner, path: path === '' ? key : `${path}.${key}` });
    }
  }
  return null;
}
