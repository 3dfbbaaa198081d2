import { formatAmount } from '../units/formatQuantity';

/** More dye than goods: no depth anybody dyes, but what a record comes to when an amount in it is wrong. */
export const ABSURD_DEPTH_PERCENT = 100;

/** A depth as the Book shows it. */
export const depthWords = (percent: number): string =>
  percent > ABSURD_DEPTH_PERCENT ? 'over 100 %' : formatAmount(percent, '%');
