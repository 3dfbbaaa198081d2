import { broughtVessel } from '../plan/brought';
import type { Act } from '../process/act';
import { CUPS } from '../process/terms';
import { minutesOf } from '../process/amountOf';
import { apply } from '../process/apply';
import type { Impossible } from '../process/impossible';
import { isAddition } from '../process/isAddition';
import { isWait, type Wait } from '../process/isWait';
import { EVERYWHERE } from '../process/everywhere';
import { emptyState, type ListedAct, type State } from '../process/state';
import { vesselsNamed } from '../process/vesselsNamed';
import type { Batch } from './batch';
import type { CardAct } from './card';
import type { Event, EventOf } from './event';
import { A_MOMENT, afterAMoment, standing, takesOut } from './moment';
import { answersOf } from './answers';
import { isOpen } from './open/isOpen';
import { plannedDone } from './standing';
import { vesselOfPass } from './unplanned';
import { CLEAR } from './words';

/**
 * How an act came into the fold of a record: somebody entered it; it goes without saying; nobody ticked it, but
 * something later implies it; it is what a look at the bath says.
 */
export type Came = 'entered' | 'alongside' | 'presumed' | 'seen';

/** An act of a record. */
export interface RecordedAct extends ListedAct {
  came: Came;
  /** The act of the card that it does; null for what nobody planned. */
  planned: string | null;
}

/** An act that nothing can be made of: it stays in the record and changes nothing. */
export interface LeftOut extends RecordedAct {
  why: Impossible;
}

/** A wait whose clock runs. */
interface OpenWait {
  act: Wait;
  /** When its time was last counted, ms. */
  countedTo: number;
  /** Minutes counted so far. */
  spent: number;
}

/** Kinds of acts that a later one implies; what was poured or put in only its own tick says. */
const IMPLIED: readonly Act['kind'][] = [
  'bring',
  'run',
  'place',
  'split',
  'lift',
  'handle',
  'heat',
  'hold',
  'stand',
  'cool',
  'rinse',
  'wring',
  'dry',
];

/** Whether nobody needs to tick it for it to be taken as done. Topping up is only due when some is missing. */
export const mayBePresumed = ({ act }: CardAct): boolean =>
  act.purpose !== 'top up' && (IMPLIED.includes(act.kind) || (act.kind === 'move' && act.holds === null));

/** Whether it moves goods, or liquid that they lie in. */
const isDoneToGoods = ({ kind }: Act): boolean =>
  kind === 'place' || kind === 'lift' || kind === 'handle' || kind === 'split' || kind === 'move';

/** Minutes of a wait, with nothing said of what it left and no temperature that it has not come to yet. */
function lasting(act: Wait, minutes: number): Act {
  switch (act.kind) {
    case 'heat':
    case 'cool':
      return { ...act, toC: null, minutes };
    default:
      return { ...act, minutes, leaves: null };
  }
}

/** What a wait of the card leaves in the liquid; null where it does not say. */
const leavesOf = (act: Act | undefined): number | null =>
  act?.kind === 'hold' || act?.kind === 'stand' ? act.leaves : null;

/** A record while its events are done one after the other. In a record nothing is impossible. */
export class Recording {
  readonly acts: RecordedAct[] = [];
  readonly leftOut: LeftOut[] = [];
  state: State;
  private readonly lines: readonly CardAct[];
  private readonly places: ReadonlyMap<string, number>;
  /** Acts of the card that somebody entered, now or later, or said were not done, and those that were taken as done. */
  private readonly accounted: Set<string>;
  /** Lines that came in already. */
  private readonly entered = new Set<string>();
  /** Vessels that the card lays goods into. */
  private readonly dyedIn: ReadonlySet<string>;
  private readonly open = new Map<string, OpenWait>();

  /** @param unclear waits after which somebody saw that dye was left, by their events */
  constructor(
    private readonly batch: Batch,
    private readonly unclear: ReadonlySet<string>,
  ) {
    const { card, formulation } = batch;
    const { place, water } = formulation;
    this.lines = card.acts;
    this.dyedIn = new Set(card.acts.flatMap(({ act }) => (act.kind === 'place' ? [act.vessel] : [])));
    this.places = new Map(card.acts.map(({ id }, i) => [id, i]));
    this.accounted = plannedDone(batch.events);
    for (const [line, answer] of answersOf(batch.events)) if (answer === 'not done') this.accounted.add(line);
    this.state = emptyState(
      { tapC: place.tapC, roomC: place.roomC, alkalinityMgPerL: water.alkalinityMgPerL },
      card.passes.map(({ id }) => id),
    );
    // The goods are there before anything is done to them; what was thrown in later came later.
    const laidIn = card.acts.findIndex(({ act }) => act.kind === 'place');
    this.presume(
      laidIn < 0 ? card.acts.length : laidIn,
      ({ act }) => act.kind === 'bring' && act.thing.kind === 'goods',
    );
  }

  /** One more event that stands, in the order of their instants. */
  add(event: Event): void {
    if (event.kind === 'begun' && event.planned !== null && isWait(event.act))
      this.open.set(event.planned, { act: event.act, countedTo: Date.parse(event.at), spent: 0 });
    if (event.kind === 'act') this.addAct(event);
  }

  /** Everything that nobody ticked and that may be presumed, as the card says. */
  takeRestAsDone(): void {
    this.presume(this.lines.length, mayBePresumed);
  }

  private addAct({ id, planned, act, at }: EventOf<'act'>): void {
    const place = planned === null ? undefined : this.places.get(planned);
    this.passTime(Date.parse(at), planned);
    if (place !== undefined) this.imply(place, act);
    else this.implyGoods(act);
    const really = isWait(act)
      ? this.asItWas(act, planned, !this.unclear.has(id))
      : planned === null
        ? this.ontoGoods(act)
        : act;
    // A line that was entered twice went in twice, each under a name of its own.
    const again = planned !== null && this.entered.has(planned);
    if (planned !== null) this.entered.add(planned);
    this.do({ id: again ? id : (planned ?? id), act: really, came: 'entered', planned });
    if (act.kind === 'look' && act.of === 'bath' && act.answer === CLEAR) this.seenClear(id, act.pass);
  }

  /** Where nobody planned anything, a wait or what is done to goods says that they were laid in before. */
  private implyGoods(act: Act): void {
    if (!isOpen(this.batch.card)) return;
    // Somebody says how they were laid: then they were not laid otherwise.
    if (act.kind === 'place')
      for (const { id, act: line } of this.lines) if (line.kind === 'place') this.accounted.add(id);
    const isToGoods = isWait(act) || (isDoneToGoods(act) && act.kind !== 'place' && act.kind !== 'move');
    if ((isToGoods || takesOut(act)) && act.kind !== 'place')
      this.presume(this.lines.length, (line) => line.act.kind === 'place');
  }

  /** Time passes in the vessels whose clock runs, until something else is done. @param planned the act that is done now */
  private passTime(now: number, planned: string | null): void {
    for (const [id, wait] of this.open) {
      const minutes = (now - wait.countedTo) / 60_000;
      if (id === planned || !(minutes > 0)) continue;
      this.open.set(id, { act: wait.act, countedTo: now, spent: wait.spent + minutes });
      this.imply(this.places.get(id) ?? 0, wait.act);
      this.do({ id: `${id}.so-far`, act: lasting(wait.act, minutes), came: 'alongside', planned: null });
    }
  }

  /**
   * A wait with the minutes that are not counted yet; where nobody knows them, those of the card. One that the card lets
   * last until the bath clears has cleared it, unless somebody saw otherwise.
   */
  private asItWas(act: Wait, planned: string | null, clears: boolean): Act {
    const place = planned === null ? undefined : this.places.get(planned);
    if (planned === null || place === undefined) return act;
    const card = this.lines[place]?.act;
    const minutes = act.minutes ?? (card ? minutesOf(card) : null);
    const spent = this.open.get(planned)?.spent ?? 0;
    this.open.delete(planned);
    const lasted = minutes === null ? null : Math.max(A_MOMENT, minutes - spent);
    if (act.kind === 'heat' || act.kind === 'cool') return { ...act, minutes: lasted };
    return { ...act, minutes: lasted, leaves: act.leaves ?? (clears ? leavesOf(card) : null) };
  }

  /** What nobody planned and what goes to where goods only lie above, as on a rack or in a wrap, goes onto them. */
  private ontoGoods(act: Act): Act {
    if (act.kind !== 'put' || !('vessel' in act.into)) return act;
    const { vessel } = act.into;
    if (CUPS.includes(this.state.vessels.get(vessel)?.role ?? 'pot')) return act;
    const inLiquid = this.lines.some(
      (line) => line.act.kind === 'place' && line.act.vessel === vessel && line.act.reach !== 'none',
    );
    return inLiquid || this.state.pieces.values().length === 0
      ? act
      : { ...act, into: { place: EVERYWHERE } };
  }

  /** The bath of a pass was seen clear: what waited in it is on the goods. */
  private seenClear(event: string, pass: string | null): void {
    const vessel = vesselOfPass(this.batch, pass);
    if (this.state.vessels.has(vessel))
      this.do({ id: `${event}.clear`, act: standing(vessel, 0, 0), came: 'seen', planned: null });
  }

  /** Takes as done what an act says was done before it. */
  private imply(place: number, act: Act): void {
    if (!isAddition(act)) {
      this.presume(place, mayBePresumed);
      return;
    }
    const vessels = vesselsNamed(act);
    // A pour out of a dilution says that it was made, dye and all.
    if (act.kind === 'move')
      this.presume(
        place,
        (line) =>
          line.act.purpose === 'dilution' &&
          vesselsNamed(line.act).some((vessel) => vessels.includes(vessel)),
      );
    // What goes to where goods lie says that what was to be done to them before it, and goes without saying, is done.
    if (vessels.length > 0 && !vessels.some((vessel) => this.dyedIn.has(vessel))) return;
    const last = this.lines.slice(0, place).findLastIndex((line) => line.quiet && isDoneToGoods(line.act));
    this.presume(last + 1, mayBePresumed);
  }

  /** Does the acts of the card before a place that nobody entered, those of a kind, as planned. */
  private presume(before: number, isMeant: (line: CardAct) => boolean): void {
    for (const line of this.lines.slice(0, before)) {
      if (this.accounted.has(line.id) || !isMeant(line)) continue;
      this.accounted.add(line.id);
      const act = isWait(line.act)
        ? { ...line.act, minutes: Math.max(A_MOMENT, line.act.minutes ?? 0) }
        : line.act;
      this.do({
        id: line.id,
        act: act as Act,
        came: line.quiet ? 'alongside' : 'presumed',
        planned: line.id,
      });
    }
  }

  /** Brings the vessels that an act names and that are not there yet. */
  private bringVessels(act: Act): void {
    for (const vessel of vesselsNamed(act)) {
      if (this.state.vessels.has(vessel)) continue;
      this.presume(
        this.lines.length,
        (line) =>
          line.act.kind === 'bring' && line.act.thing.kind === 'vessel' && line.act.thing.vessel === vessel,
      );
      if (this.state.vessels.has(vessel)) continue;
      const thing = broughtVessel(vessel, 'pot');
      const bring: Act = { kind: 'bring', pass: null, line: null, purpose: null, thing };
      this.do({ id: `bring.vessel.${vessel}`, act: bring, came: 'alongside', planned: null });
    }
  }

  private do(recorded: RecordedAct): void {
    this.bringVessels(recorded.act);
    if (takesOut(recorded.act)) this.state = afterAMoment(this.state);
    let listed = recorded;
    let { state, impossible } = apply(this.state, listed);
    const other = impossible && insteadOf(listed.act, impossible);
    if (other) {
      listed = { ...recorded, act: other };
      ({ state, impossible } = apply(this.state, listed));
    }
    this.state = state;
    if (!impossible) this.acts.push(listed);
    // What nobody entered is nobody’s loss.
    else if (recorded.came === 'entered') this.leftOut.push({ ...recorded, why: impossible });
  }
}

/**
 * What a move that cannot be was all the same: all that is there, or from a vessel of which nobody said what went in,
 * what its own line says that it held.
 */
function insteadOf(act: Act, why: Impossible): Act | null {
  if (act.kind !== 'move' || act.ml === null) return null;
  if (why.code === 'less there' && why.thereMl > 0) return { ...act, ml: why.thereMl };
  if (why.code !== 'nothing there' || act.holds === null || act.to === null) return null;
  const { pass, line, purpose, holds: material, ml: amount, to: into } = act;
  return { kind: 'put', pass, line, purpose, material, amount, unit: 'mL', into };
}
