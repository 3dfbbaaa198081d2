/** A pH window in words, to a tenth: `4.5 to 5.5`. */
export const phRange = ([low, high]: readonly [number, number]): string =>
  `${Number(low.toFixed(1))} to ${Number(high.toFixed(1))}`;
