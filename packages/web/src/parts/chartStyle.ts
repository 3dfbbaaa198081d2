/** How every chart is drawn: in the ink of the page, no color of its own. */
export const INK = 'currentColor';

export const AXIS = {
  stroke: INK,
  tick: { fill: INK, fontSize: 12 },
  tickLine: { stroke: INK },
} as const;
