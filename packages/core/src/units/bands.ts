/** First and last wavelength of a spectrum here, and from one band to the next, nm. */
export const FIRST_NM = 400;
export const LAST_NM = 700;
export const STEP_NM = 10;

/** Bands of a spectrum. */
export const BANDS = (LAST_NM - FIRST_NM) / STEP_NM + 1;
