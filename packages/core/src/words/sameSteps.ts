import { MUST_ACKNOWLEDGE } from '../materials/cautionNames';
import { amountOf, minutesOf } from '../process/amountOf';
import { titleOf, type Reading } from './lineWords';
import type { Batch } from '../record/batch';
import { minutesSince } from '../record/clock';
import { lineBegun, lineDone, type NewEvent } from '../record/newEvent';
import type { LineState, RecordState } from '../record/recordState';

/** A pot as it stands: its batch, its state, and what its card is read with. */
export interface StandingPot {
  batch: Batch;
  state: RecordState;
  reading: Reading;
}

/** How a step is entered: what is measured is poured, a wait begins and is over, everything else is done. */
export type StepKey = 'pour' | 'begin' | 'end' | 'do';

/** Several pots whose next step reads the same. */
export interface SameStep {
  title: string;
  doing: StepKey;
  pots: (StandingPot & { line: LineState })[];
}

/** Acts that want a look at each pot by itself. */
const BY_ITSELF: readonly string[] = ['look', 'rinse'];

/**
 * Pots that stand at the same step, so that it can be done in all of them by one tap. Left to its own card is what wants a
 * word or a look at each pot: open powder nobody has acknowledged, what nobody measured, a bath that is to clear, a rinse.
 * @returns steps that two pots or more stand at, in the order of the pots
 */
export function sameSteps(pots: readonly StandingPot[]): SameStep[] {
  const steps = new Map<string, SameStep>();
  for (const pot of pots) {
    const line = pot.state.closed === null ? pot.state.current : null;
    const doing = line && doingOf(line, pot.state);
    if (!line || !doing) continue;
    const title = titleOf(line.line, pot.reading);
    const key = JSON.stringify([title, doing, line.line.act.kind]);
    const step = steps.get(key) ?? { title, doing, pots: [] };
    step.pots.push({ ...pot, line });
    steps.set(key, step);
  }
  return [...steps.values()].filter((step) => step.pots.length > 1);
}

function doingOf({ line, status }: LineState, { acknowledged }: RecordState): StepKey | null {
  const { act, cautions } = line;
  if (cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE)) return null;
  if (BY_ITSELF.includes(act.kind)) return null;
  if (amountOf(act)) return 'pour';
  if (act.kind === 'put') return null;
  if ((minutesOf(act) ?? 0) === 0) return 'do';
  if (status === 'waiting') return 'begin';
  return act.kind === 'hold' && act.untilClear ? null : 'end';
}

/** The step of a pot as it is entered into its record, as planned. @param now ms */
export function doneTogether({ doing, pots }: SameStep, now: number): { batch: Batch; event: NewEvent }[] {
  return pots.map(({ batch, line }) => ({
    batch,
    event:
      doing === 'begin'
        ? lineBegun(line.line)
        : doing === 'pour'
          ? lineDone(line.line, { amount: amountOf(line.line.act)?.amount ?? 0 })
          : lineDone(line.line, { minutes: minutesSince(line.begunAt, now) }),
  }));
}
