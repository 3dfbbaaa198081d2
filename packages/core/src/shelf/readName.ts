/** Characters that a name has at most. */
export const LONGEST_NAME = 80;

/** The name that a text is, without the blanks around it; null where it is none. */
export function readName(text: string): string | null {
  const name = text.trim();
  return name === '' || name.length > LONGEST_NAME ? null : name;
}
