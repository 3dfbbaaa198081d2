/** A number as it stands in an explanation: enough figures to check the arithmetic, no trailing zeros. */
export const plainNumber = (value: number): string => String(Number(value.toPrecision(9)));
