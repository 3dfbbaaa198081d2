import type { Pan } from '../shelf/pan';

/** Base of a pan, cm². */
export const panArea = (pan: Pan): number =>
  pan.shape === 'round' ? (Math.PI * pan.diameterCm ** 2) / 4 : pan.lengthCm * pan.widthCm;
