import type { Act } from '../../process/act';
import { vesselsNamed } from '../../process/vesselsNamed';
import type { Card, CardAct } from '../card';
import { lineOfAct } from '../alter/step';
import { cardAct } from '../cardLines';
import { isOpen } from '../open/isOpen';
import { CLEAR } from '../words';
import type { RecordedAct } from '../recording';

/** An act of a record that is done again: as it was, and its line as the card had it. */
export interface Repeated {
  id: string;
  /** As it was done; what nobody planned with the purpose that it had. */
  act: Act;
  /** Its line of the card; for what nobody planned, a plain one of its own. */
  line: CardAct;
}

/** What is not done again, and why. */
export interface NotAgain {
  id: string;
  act: Act;
  line: CardAct;
  why: 'cure' | 'empty dilution';
}

/** Acts of a record in the order in which they are done again. */
export interface DoneAgain {
  repeated: Repeated[];
  left: NotAgain[];
}

const isDye = (act: Act): boolean =>
  (act.kind === 'put' && act.material.kind === 'dye') || (act.kind === 'move' && act.holds?.kind === 'dye');

/**
 * Which acts of a record are done again. Looks are answers, not acts; time that was counted on the way is part of a wait.
 * A cure without dye, made because a rinse bled, is none of the dyeing; water for a dilution that no dye went into
 * neither.
 * @param acts as far as the goods hanging dry
 * @param cures lines that came onto the card because a rinse bled
 */
export function doneAgain(
  acts: readonly RecordedAct[],
  card: Card,
  cures: ReadonlySet<string> = new Set(),
): DoneAgain {
  const left: NotAgain[] = [];
  const dyed = new Set(
    acts.flatMap(({ act }) =>
      act.kind === 'put' && isDye(act) && 'vessel' in act.into ? [act.into.vessel] : [],
    ),
  );
  const done: RecordedAct[] = [];
  let bled = false;
  for (const recorded of acts) {
    const { id, act, planned, came } = recorded;
    if (act.kind === 'look') {
      if (act.of === 'rinse') bled = act.answer !== CLEAR;
      continue;
    }
    if (planned === null && (came === 'alongside' || came === 'seen') && act.kind !== 'bring') continue;
    const cure = planned === null ? bled && came === 'entered' : cures.has(planned);
    if (cure && !isDye(act)) left.push({ id, act, line: lineOf(recorded, card), why: 'cure' });
    else if (act.kind === 'run' && act.purpose === 'dilution' && !dyed.has(act.vessel))
      left.push({ id, act, line: lineOf(recorded, card), why: 'empty dilution' });
    else done.push(recorded);
  }
  const hot = new Set<string>();
  const repeated = inOrder(done, card).map((recorded): Repeated => {
    const { id, act } = recorded;
    const heated = vesselsNamed(act).some((vessel) => hot.has(vessel));
    if (act.kind === 'heat') hot.add(act.vessel);
    return { id, act: { ...act, purpose: purposeOf(act, heated) }, line: lineOf(recorded, card) };
  });
  return { repeated, left };
}

/**
 * As it was done. What nobody ticked, and something later told of, comes no later than what the card has after it: water
 * always, other acts as long as nothing was done meanwhile to a vessel that goods lie in, for that decides what they met.
 */
function inOrder(acts: readonly RecordedAct[], card: Card): RecordedAct[] {
  const places = new Map(card.acts.map(({ id }, i) => [id, i]));
  const placeOf = ({ planned }: RecordedAct): number => (planned === null ? -1 : (places.get(planned) ?? -1));
  const dyedIn = new Set(acts.flatMap(({ act }) => (act.kind === 'place' ? [act.vessel] : [])));
  const isAtGoods = ({ act }: RecordedAct): boolean =>
    act.kind !== 'bring' &&
    (vesselsNamed(act).length === 0 || vesselsNamed(act).some((vessel) => dyedIn.has(vessel)));
  const list: RecordedAct[] = [];
  for (const one of acts) {
    const before = one.came === 'entered' ? -1 : list.findIndex((other) => placeOf(other) > placeOf(one));
    const mayMove = before >= 0 && (one.act.kind === 'run' || !list.slice(before).some(isAtGoods));
    list.splice(mayMove ? before : list.length, 0, one);
  }
  return list;
}

/** What something was added for though nobody planned it. @param heated whether its vessel had been heated before */
function purposeOf(act: Act, heated: boolean): Act['purpose'] {
  if (act.purpose !== 'unplanned' && act.purpose !== 'cup') return act.purpose;
  if (act.kind === 'run') return heated ? 'top up' : 'bath';
  if (act.kind === 'put' && act.material.kind === 'acid') return heated ? 'late' : 'bath';
  return isDye(act) ? 'dose' : null;
}

/** The line of the card that an act does; one of its own for what nobody planned. */
function lineOf({ id, act, planned, came }: RecordedAct, card: Card): CardAct {
  const line = cardAct(card, planned);
  // What somebody entered by itself has a line of its own, though it went without saying then. So have goods that nobody
  // had planned to lift in: whoever does it again has to be told.
  if (line)
    return came === 'entered' || (act.kind === 'place' && isOpen(card)) ? { ...line, quiet: false } : line;
  // How long a rise takes is told anew where nobody said.
  return lineOfAct(id, act, { estimated: act.kind === 'heat' && act.minutes === null });
}
