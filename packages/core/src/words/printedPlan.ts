import type { Line } from '../method/line';
import type { Plan } from '../plan/planTypes';
import type { Formulation } from '../recipe/recipe';
import { lineWords, type LineWords } from './lineWords';
import { spoken, type SpokenNotice } from './noticeWords';
import { planReading } from './runSheet';

/** An act of a plan as it is printed: what it is, and what to do in words; null for what goes without saying. */
export type PrintedLine = Line & { words: LineWords | null };

/** A plan to be written down: its acts in words, without the states between them. */
export type PrintedPlan = Omit<Plan, 'lines' | 'passes' | 'notices'> & {
  notices: SpokenNotice[];
  passes: Omit<Plan['passes'][number], 'inBath' | 'decidedMl' | 'said'>[];
  lines: PrintedLine[];
};

/** Writes a plan out for whoever reads it as text. */
export function printedPlan(formulation: Formulation, plan: Plan): PrintedPlan {
  const reading = planReading(formulation, plan);
  return {
    ...plan,
    notices: plan.notices.map(spoken),
    passes: plan.passes.map(({ inBath: _, decidedMl: __, said: ___, ...pass }) => pass),
    lines: plan.lines.map(({ before: _, after: __, impossible: ___, ...line }) => ({
      ...line,
      words: line.quiet ? null : lineWords(line, reading),
    })),
  };
}
