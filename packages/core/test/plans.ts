import type { Line, Plan } from '../src';

/** The lines of a plan that have a line of their own on the card. */
export const linesOf = (plan: Plan): Plan['lines'] => plan.lines.filter(({ quiet }) => !quiet);
/** Their ids, in order. */
export const idsOf = (plan: Plan): string[] => linesOf(plan).map(({ id }) => id);
/** What kinds of acts a plan is, the quiet ones too; goods and vessels coming in are left out. */
export const kindsOf = (plan: Plan): string[] =>
  plan.lines.filter(({ act }) => act.kind !== 'bring').map(({ act }) => act.kind);
/** Minutes that a line waits. */
export const minutesOfLine = ({ act }: Pick<Line, 'act'>): number | null =>
  'minutes' in act ? act.minutes : null;
