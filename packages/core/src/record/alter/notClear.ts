import type { Figure } from '../../figure/figure';
import type { AcidMaterial } from '../../materials/acids';
import type { Act } from '../../process/act';
import { isWait } from '../../process/isWait';
import { fiberFacts } from '../../shelf/fibers';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { goodsOf } from '../cardGoods';
import { lineDone, looked, type NewEvent } from '../newEvent';
import { acidForClearing } from '../phAdvice';
import { standingEvents } from '../standing';
import { vesselOfPass } from '../unplanned';
import { altered } from './alter';
import { longer, onceMore } from './longer';
import { lineOfAct } from './step';
import { lineAfter, nextToCome } from './toCome';

/** Minutes that a bath gets once more, °C by which it gets hotter (common practice, no source). */
const MORE_MINUTES = 10;
const HOTTER_BY = 5;

/** What can be done where a bath does not clear, in the order in which it is tried: common practice, no source. */
export type Cure =
  | { what: 'time'; minutes: number; events: Make }
  | { what: 'heat'; toC: number; events: Make }
  | { what: 'acid'; material: AcidMaterial; add: Figure; measured: boolean; events: Make }
  | { what: 'spare' }
  | { what: 'accept' };

/**
 * Makes the entries of a cure, once it is chosen.
 * @param elapsed minutes since the clock of the wait was started, while it runs; null once it is over
 * @param id names what comes in
 */
type Make = (elapsed: number | null, id: string) => NewEvent[];

/** What is open to a bath that does not clear. */
export interface NotClear {
  cures: Cure[];
  /** The one to try now: the first that was not tried in this pass. */
  next: Cure['what'];
}

/**
 * What to do about a bath that does not clear: more time, then more heat, then so much acid, then spare goods, or to let
 * it be.
 * @param batch as it stands @param wait the wait after which somebody looked
 */
export function notClear(batch: Batch, wait: CardAct): NotClear {
  const { pass } = wait.act;
  const tried = triedIn(batch, pass);
  const cures: Cure[] = [
    {
      what: 'time',
      minutes: MORE_MINUTES,
      events: (elapsed, id) => [
        elapsed === null ? onceMore(batch, wait, MORE_MINUTES, `${id}.again`) : longer(wait, MORE_MINUTES),
      ],
    },
    ...heatCure(batch, wait),
    ...acidCure(batch, wait),
    { what: 'spare' },
    { what: 'accept' },
  ];
  return { cures, next: cures.find(({ what }) => !tried.has(what))?.what ?? 'accept' };
}

/** What is done, and then another wait; one that runs is over first. */
function stepsThenWait(
  why: 'not clear' | 'pale inside',
  batch: Batch,
  wait: CardAct,
  elapsed: number | null,
  id: string,
  lines: readonly CardAct[],
  then: Act,
): NewEvent[] {
  const before = elapsed === null ? (nextToCome(batch)?.before ?? null) : lineAfter(batch, wait.id);
  const again: CardAct = {
    ...wait,
    id: `${id}.again`,
    estimated: false,
    act: { ...then, minutes: MORE_MINUTES } as Act,
  };
  return [
    ...(elapsed === null ? [] : [lineDone(wait, { minutes: elapsed })]),
    altered(why, { lines: [...lines, again], before }),
  ];
}

function heatCure(batch: Batch, wait: CardAct): Cure[] {
  const { act } = wait;
  if (act.kind !== 'hold' || act.atC === null) return [];
  const toC = Math.min(act.atC + HOTTER_BY, hottestFor(batch));
  if (toC <= act.atC) return [];
  const heat: Act = {
    kind: 'heat',
    pass: act.pass,
    line: null,
    purpose: act.purpose === 'set' ? 'set' : 'bath',
    vessel: act.vessel,
    toC,
    rampCPerMin: null,
    minutes: MORE_MINUTES / 2,
  };
  const events: Make = (elapsed, id) =>
    stepsThenWait('not clear', batch, wait, elapsed, id, [lineOfAct(`${id}.heat`, heat)], {
      ...act,
      atC: toC,
    });
  return [{ what: 'heat', toC, events }];
}

function acidCure(batch: Batch, wait: CardAct): Cure[] {
  const acid = acidForClearing(batch);
  if (!acid) return [];
  const { pass } = wait.act;
  const { material, strengthPercent, add, measured } = acid;
  const put: Act = {
    kind: 'put',
    pass,
    line: null,
    purpose: 'late',
    material: { kind: 'acid', acid: material, strengthPercent },
    amount: add.value,
    unit: add.unit as 'mL' | 'g',
    into: { vessel: isWait(wait.act) ? wait.act.vessel : vesselOfPass(batch, pass) },
  };
  const events: Make = (elapsed, id) =>
    stepsThenWait('not clear', batch, wait, elapsed, id, [lineOfAct(`${id}.acid`, put)], wait.act);
  return [{ what: 'acid', material, add, measured, events }];
}

/** The hottest that all of the goods are set at as a rule, °C. */
function hottestFor({ card, formulation }: Batch): number {
  const windows = goodsOf(card).flatMap(
    ({ baseId }) =>
      formulation.bases
        .find(({ id }) => id === baseId)
        ?.fibers.flatMap(({ fiber }) => fiberFacts(fiber).setWindow?.[1] ?? []) ?? [],
  );
  return Math.min(98, ...windows);
}

/** What was tried in a pass already. */
function triedIn({ events }: Batch, pass: string | null): ReadonlySet<Cure['what']> {
  const tried = new Set<Cure['what']>();
  for (const event of standingEvents(events).standing) {
    if (event.kind === 'act' && event.act.kind === 'place' && event.act.purpose === 'catch up')
      tried.add('spare');
    if (event.kind !== 'altered') continue;
    const { why, lines, instead } = event.change;
    if (![...lines, ...instead].some(({ act }) => act.pass === pass)) continue;
    if (why === 'longer' || why === 'again') tried.add('time');
    if (why === 'not clear') tried.add(lines.some(({ act }) => act.kind === 'put') ? 'acid' : 'heat');
  }
  return tried;
}

/** A tint that stays: which dye never clears, by its line in the pass. @param pass the one being dyed */
export const tintStays = (pass: string | null, dyeName: string): NewEvent =>
  looked(pass, 'bath', `tinted, ${dyeName} stays`);

/** Goods whose middle is pale: turned, and given more time. @param id names what comes in */
export function paleInside(batch: Batch, wait: CardAct, elapsed: number | null, id: string): NewEvent[] {
  const turn = lineOfAct(`${id}.turn`, {
    kind: 'handle',
    pass: wait.act.pass,
    line: null,
    purpose: null,
    goods: [],
    what: 'turn',
    lies: null,
  });
  return stepsThenWait('pale inside', batch, wait, elapsed, id, [turn], wait.act);
}
