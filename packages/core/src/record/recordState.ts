import { drawnBathColor } from '../color/drawnColor';
import { amountOf, minutesOf, type MeasuredOut } from '../process/amountOf';
import type { CautionName } from '../materials/cautionNames';
import type { Dye } from '../shelf/dye';
import { additionsOf, dyeGramsOf, liquidMl } from './additions';
import type { BegunBatch } from './batch';
import type { Card, CardAct } from './card';
import { cardLines } from './cardLines';
import type { Event, EventOf } from './event';
import { inOrder } from './inOrder';
import { byLine, standingEvents, unstruck } from './standing';

/** One line of the card and how far it is. */
export interface LineState {
  line: CardAct;
  status: 'waiting' | 'running' | 'done';
  begunAt: string | null;
  /** The event that started its clock. */
  begunBy: string | null;
  doneAt: string | null;
  /** The events that say it was done, the first one first; more than one where two devices did. All are struck if it was a slip. */
  done: EventOf<'act'>[];
  /** What went in, over all of them; null for lines that measure nothing and while none has. */
  poured: { amount: number; unit: 'mL' | 'g' } | null;
}

/** Where a batch stands, told from its card and its events alone. */
export interface RecordState {
  lines: LineState[];
  /** The first line not yet done; null when all are. */
  current: LineState | null;
  /** When the running wait is over, ISO 8601; null when nothing is being waited for. */
  dueAt: string | null;
  /** When the latest event was made, ISO 8601. */
  since: string;
  /** The pass that is being dyed: that of the latest thing done in one, the first one before. */
  pass: string | null;
  /** Acts that nobody planned and that put something in. */
  added: EventOf<'act'>[];
  looks: EventOf<'act'>[];
  notes: EventOf<'noted'>[];
  /** Cautions that were acknowledged in this batch. */
  acknowledged: CautionName[];
  closed: EventOf<'closed'> | null;
  /** Events that were taken back, by id. */
  struck: ReadonlySet<string>;
  bath: { volumeMl: number; hex: string };
}

/** Reads where a batch stands. @param dyes every dye its events may name, for the color of the bath */
export function recordState(batch: BegunBatch, events: readonly Event[], dyes: readonly Dye[]): RecordState {
  const { left, struck } = unstruck(events);
  const { standing } = standingEvents(events);
  const ticked = byLine(left.filter((event) => event.kind === 'act' || event.kind === 'begun'));
  const lines = cardLines(batch.card).map((line) => lineState(line, ticked.get(line.id) ?? []));
  const current = lines.find(({ status }) => status !== 'done') ?? null;
  const acts = standing.filter((event) => event.kind === 'act');
  const minutes = current ? minutesOf(current.line.act) : null;
  const pass = acts.findLast(({ act }) => act.pass !== null)?.act.pass ?? batch.card.passes[0]?.id ?? null;
  const inOneBath = sameBath(batch.card, pass);
  return {
    lines,
    current,
    dueAt:
      current?.status === 'running' && current.begunAt && minutes !== null
        ? later(current.begunAt, minutes)
        : null,
    since: inOrder(events).at(-1)?.at ?? batch.startedAt,
    pass,
    added: acts.filter(({ planned, act }) => planned === null && act.kind !== 'look'),
    looks: acts.filter(({ act }) => act.kind === 'look'),
    notes: standing.filter((event) => event.kind === 'noted'),
    acknowledged: standing.flatMap((event) => (event.kind === 'acknowledged' ? [event.caution] : [])),
    closed: standing.filter((event) => event.kind === 'closed').at(-1) ?? null,
    struck,
    bath: bathOf(
      additionsOf(events).filter((one) => inOneBath.has(one.pass)),
      dyes,
    ),
  };
}

function lineState(line: CardAct, events: readonly (EventOf<'act'> | EventOf<'begun'>)[]): LineState {
  const done = events.filter((event) => event.kind === 'act');
  const begun = events.find(({ kind }) => kind === 'begun');
  const begunAt = begun?.at ?? null;
  return {
    line,
    status: done.length > 0 ? 'done' : begunAt === null ? 'waiting' : 'running',
    begunAt,
    begunBy: begun?.id ?? null,
    doneAt: done[0]?.at ?? null,
    done,
    poured: pouredBy(done),
  };
}

function pouredBy(done: readonly EventOf<'act'>[]): LineState['poured'] {
  const measured = done.flatMap(({ act }) => amountOf(act) ?? []);
  const [first] = measured;
  return first ? { amount: measured.reduce((sum, { amount }) => sum + amount, 0), unit: first.unit } : null;
}

const later = (iso: string, minutes: number): string =>
  new Date(Date.parse(iso) + minutes * 60_000).toISOString();

/** A pass with those before it whose bath it goes on in, and what belongs to none. */
function sameBath({ passes }: Card, pass: string | null): ReadonlySet<string | null> {
  const ids = new Set<string | null>([null]);
  let at = passes.findIndex(({ id }) => id === pass);
  for (; at >= 0; at -= 1) {
    const one = passes[at];
    if (one) ids.add(one.id);
    if (!one?.keepsBath) break;
  }
  return ids;
}

/** Level and color of the bath from what went in. Color is for drawing only. */
function bathOf(inPot: readonly MeasuredOut[], dyes: readonly Dye[]): RecordState['bath'] {
  const ice = inPot.filter(({ material }) => material.kind === 'ice');
  const volumeMl = liquidMl(inPot) + ice.reduce((sum, { amount }) => sum + amount, 0);
  if (volumeMl === 0) return { volumeMl, hex: drawnBathColor([]) };
  const colors = inPot.flatMap((one) => {
    const { material } = one;
    if (material.kind !== 'dye') return [];
    const dye = dyes.find((candidate) => candidate.id === material.dyeId);
    if (!dye) return [];
    return [
      {
        swatchHex: dye.swatchHex,
        swatchDosPercent: dye.swatchDosPercent,
        gramsPerLiter: (1000 * dyeGramsOf(one)) / volumeMl,
      },
    ];
  });
  return { volumeMl, hex: drawnBathColor(colors) };
}
