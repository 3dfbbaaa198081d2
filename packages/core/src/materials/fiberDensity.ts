/** Density of wool-like fiber, g/mL: Morton and Hearle, Physical Properties of Textile Fibres, wool 1.31, from memory. */
export const FIBER_G_PER_ML = 1.31;
