/** A result as it is written down, reasons in words, so that two of them can be held against each other. */
export const written = (result: unknown): unknown => JSON.parse(JSON.stringify(result));
