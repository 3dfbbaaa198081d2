/** A number as it stands in an explanation: enough figures to check the arithmetic, no trailing zeros. */
export const plainNumber = (value: number): string =>
  Number.isInteger(value) ? String(value) : String(Number(value.toPrecision(9)));
