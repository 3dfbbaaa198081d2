import type { Card } from '../card';

/** Whether a batch was begun without a plan: its card has no line of its own. */
export const isOpen = ({ acts }: Pick<Card, 'acts'>): boolean => acts.every(({ quiet }) => quiet);
