import { isDeepStrictEqual } from 'node:util';

/** Whether two records say the same once written as JSON: the order of fields and where an array was made do not count. */
export function sameContent(a: unknown, b: unknown): boolean {
  return isDeepStrictEqual(JSON.parse(JSON.stringify(a)), JSON.parse(JSON.stringify(b)));
}
