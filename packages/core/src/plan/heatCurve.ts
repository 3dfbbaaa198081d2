import type { Line } from '../method/line';

/** A point of a dyeing's temperature over time. */
export interface HeatPoint {
  /** Since the work began, min. */
  minute: number;
  celsius: number;
}

/** Something that happens on the way: dye, acid, goods, a hold. */
export interface HeatMark extends HeatPoint {
  kind: 'dye' | 'acid' | 'goods' | 'hold';
  /** The line of the plan that it is. */
  lineId: string;
}

export interface HeatCurve {
  points: HeatPoint[];
  marks: HeatMark[];
}

const COOLING_POINTS = 8;

/**
 * Temperature of the bath over the whole work, with every dye, acid, entry of the goods and hold marked on it.
 * Rises are drawn straight, cooling as Newton's law bends it toward the room.
 * @param tapC water as it is run, °C
 * @param roomC the room, °C
 */
export function heatCurve(
  lines: readonly Pick<Line, 'id' | 'act' | 'hands' | 'quiet'>[],
  tapC: number,
  roomC: number,
): HeatCurve {
  let minute = 0;
  let celsius = tapC;
  const points: HeatPoint[] = [{ minute, celsius }];
  const marks: HeatMark[] = [];
  for (const { id, act, hands, quiet } of lines) {
    if (quiet) continue;
    if (act.kind === 'run' && act.purpose !== 'top up') celsius = tapC;
    const kind = markOf(act);
    if (kind) marks.push({ minute, celsius, kind, lineId: id });
    if (hands > 0) points.push({ minute: (minute += hands), celsius });
    const wait = 'minutes' in act ? (act.minutes ?? 0) : 0;
    if (wait === 0) continue;
    const to =
      act.kind === 'heat' || act.kind === 'cool'
        ? (act.toC ?? celsius)
        : act.kind === 'hold'
          ? (act.atC ?? celsius)
          : celsius;
    if (act.kind === 'cool') points.push(...cooling(minute, celsius, to, wait, Math.min(roomC, to - 1)));
    points.push({ minute: (minute += wait), celsius: (celsius = to) });
  }
  return { points: points.filter((point, i) => i === 0 || differs(point, points[i - 1])), marks };
}

function markOf(act: Line['act']): HeatMark['kind'] | null {
  if (act.kind === 'place') return 'goods';
  if (act.kind === 'hold') return 'hold';
  if (act.purpose === 'dilution') return null;
  if (act.kind === 'move') return act.holds ? 'dye' : null;
  return act.kind === 'put' && (act.material.kind === 'dye' || act.material.kind === 'acid')
    ? act.material.kind
    : null;
}

const differs = (a: HeatPoint, b: HeatPoint | undefined): boolean =>
  a.minute !== b?.minute || a.celsius !== b.celsius;

/** Newton's cooling scaled to reach `to` after `wait`. */
function cooling(from: number, fromC: number, toC: number, wait: number, roomC: number): HeatPoint[] {
  if (fromC <= toC) return [];
  const rate = Math.log((fromC - roomC) / (toC - roomC)) / wait;
  return Array.from({ length: COOLING_POINTS }, (_, i) => {
    const after = (wait * (i + 1)) / (COOLING_POINTS + 1);
    return { minute: from + after, celsius: roomC + (fromC - roomC) * Math.exp(-rate * after) };
  });
}
