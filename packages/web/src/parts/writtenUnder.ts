/** What was typed, by the path of its field. */
type Written = Record<string, string>;

/** What was typed for the fields of one thing, by their names. @param under how the paths of all of them begin */
export const writtenUnder = (under: string, all: Written): Written =>
  Object.fromEntries(
    Object.entries(all).flatMap(([path, as]) =>
      path.startsWith(under) ? [[path.slice(under.length), as]] : [],
    ),
  );

/** The other way: what was typed by the names of the fields, as paths. */
export const writtenAs = (under: string, typed: Partial<Written>): Written =>
  Object.fromEntries(Object.entries(typed).map(([name, as]) => [`${under}${name}`, as ?? '']));
