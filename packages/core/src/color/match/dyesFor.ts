import { weightsOf, DAYLIGHT } from '../cie/tristimulus';
import { buildUp, type DyeModel } from '../dye/dyeModel';
import type { Ground } from '../dye/dyeing';
import { SURFACE } from '../kubelkaMunk';
import { perRoot, root, type Lab } from '../lab';
import { BANDS } from '../../units/bands';
import { metricAt, squaredIn, type Metric } from '../difference/metric';

/** Doses that come nearest to a color. */
export interface Found {
  /** % of each dye, in the order that they were named. */
  doses: number[];
  lab: Lab;
  /** True where a dye is at the least that can be poured: fewer dyes do as well. */
  atLeast: boolean;
}

/** What limits the doses. */
export interface Limits {
  /** Least of a dye that is of use, %. */
  least: number;
  /** Most of all dyes together, %. */
  most: number;
}

/** How closely it is looked for. */
export interface Effort {
  /** Square of ΔE00 at which it is near enough. */
  near: number;
  /** Square of ΔE00 that is of no use any more: a choice that stays above it is given up. */
  useless: number;
  /** True where a choice with a dye at its least is of no use. */
  allNeeded: boolean;
}

/** As near as can be. */
export const CLOSELY: Effort = { near: 1e-7, useless: Number.POSITIVE_INFINITY, allNeeded: false };

/** Most dyes that are matched with at once. */
export const MOST_DYES = 6;
const MOST_ROUNDS = 40;
/** Rounds after which it shows whether a choice comes to anything. */
const SHOWS = 3;
/** How hard doses are held below their most, per % and ΔE00. */
const HELD = 60;

/**
 * Finds the doses of some dyes that come nearest to a color on a ground: Levenberg and Marquardt's way on the logarithms
 * of the doses, in the metric of CIEDE2000 around the target. All that it needs is made once: a search asks it a hundred
 * thousand times.
 */
export class DyesFor {
  private readonly metric: Metric;
  private readonly x: Float64Array;
  private readonly y: Float64Array;
  private readonly z: Float64Array;
  private readonly white: readonly [number, number, number];
  private readonly times: number;
  private readonly built = new Float64Array(MOST_DYES);
  private readonly perLog = new Float64Array(MOST_DYES);
  private readonly slope = new Float64Array(3 * MOST_DYES);
  private readonly matrix = new Float64Array(MOST_DYES * MOST_DYES);
  private readonly right = new Float64Array(MOST_DYES);
  private readonly lab = new Float64Array(3);
  private readonly factor = new Float64Array(MOST_DYES * MOST_DYES);
  private readonly step = new Float64Array(MOST_DYES);

  constructor(
    private readonly ground: Ground,
    private readonly target: Lab,
    private readonly limits: Limits,
  ) {
    this.metric = metricAt(target);
    const { x, y, z, white } = weightsOf(DAYLIGHT);
    [this.x, this.y, this.z, this.white] = [x, y, z, white];
    this.times = Math.exp(ground.affinity);
  }

  /**
   * @param there of each dye that is in already and can only grow, %
   * @param start doses to begin with, %, above what is there
   * @param deepest most of each dye, %, beside what limits them together; none where it is left out
   */
  nearest(
    dyes: readonly DyeModel[],
    start: readonly number[],
    there: readonly number[] = [],
    { near, useless, allNeeded }: Effort = CLOSELY,
    deepest: readonly number[] = [],
  ): Found {
    const n = dyes.length;
    const { least, most } = this.limits;
    const low = Math.log(least);
    const highs = start.map((_, i) =>
      Math.log(Math.max(least, Math.min(most, deepest[i] ?? Number.POSITIVE_INFINITY))),
    );
    const logs = Float64Array.from(start, (dose, i) =>
      Math.min(highs[i] as number, Math.max(low, Math.log(Math.max(dose, least)))),
    );
    const doses = new Float64Array(n);
    const dosesOf = (of: Float64Array): void => {
      for (let i = 0; i < n; i += 1) doses[i] = (there[i] ?? 0) + Math.exp(of[i] as number);
    };
    dosesOf(logs);
    let cost = this.colored(dyes, doses);
    let damped = 1e-3;
    const next = new Float64Array(n);
    for (let round = 0; round < MOST_ROUNDS && cost > near; round += 1) {
      const before = cost;
      this.normal(n, logs, doses, there);
      let moved = 0;
      let better = false;
      for (let tries = 0; tries < 6 && !better; tries += 1) {
        const step = this.solved(n, damped);
        moved = 0;
        for (let i = 0; i < n; i += 1) {
          const by = Math.max(-1.5, Math.min(1.5, step[i] as number));
          const to = Math.min(highs[i] as number, Math.max(low, (logs[i] as number) - by));
          moved = Math.max(moved, Math.abs(to - (logs[i] as number)));
          next[i] = to;
        }
        dosesOf(next);
        const then = this.colored(dyes, doses);
        if (then < cost) {
          [better, cost] = [true, then];
          logs.set(next);
          damped = Math.max(1e-9, damped / 8);
        } else damped = Math.max(damped * 8, 1e-6);
      }
      if (!better || moved < 1e-5) break;
      if (round < SHOWS) continue;
      // What hardly gets nearer, or wants less of a dye than there can be, comes to nothing.
      if (cost > useless && cost > 0.5 * before) break;
      if (allNeeded && isAtLow(logs, low)) break;
    }
    dosesOf(logs);
    this.colored(dyes, doses);
    return {
      doses: [...doses],
      lab: [this.lab[0] as number, this.lab[1] as number, this.lab[2] as number],
      atLeast: isAtLow(logs, low),
    };
  }

  /** The color of some doses, with its slopes. @returns the square of what it is off, and what is over the most */
  private colored(dyes: readonly DyeModel[], doses: Float64Array): number {
    const { ground, x, y, z, white, built, perLog, slope } = this;
    const n = dyes.length;
    let inAll = 0;
    for (let i = 0; i < n; i += 1) inAll += doses[i] as number;
    for (let i = 0; i < n; i += 1) {
      const dose = doses[i] as number;
      const depth = dose * this.times * (1 - ground.loss * (1 - dose / inAll));
      const { value, perDepth } = buildUp(dyes[i] as DyeModel, depth);
      built[i] = value;
      // With the logarithm of the dose itself, what is there among it.
      perLog[i] = perDepth * depth;
    }
    slope.fill(0);
    let [sx, sy, sz] = [0, 0, 0];
    for (let band = 0; band < BANDS; band += 1) {
      let q = ground.absorption[band] as number;
      for (let i = 0; i < n; i += 1) q += ((dyes[i] as DyeModel).k[band] as number) * (built[i] as number);
      const rooted = Math.sqrt(q * (q + 2));
      const inside = (1 - SURFACE) / (1 + q + rooted);
      const r = SURFACE + inside;
      const fall = -inside / rooted;
      const [wx, wy, wz] = [x[band] as number, y[band] as number, z[band] as number];
      sx += wx * r;
      sy += wy * r;
      sz += wz * r;
      for (let i = 0; i < n; i += 1) {
        const by = fall * ((dyes[i] as DyeModel).k[band] as number) * (perLog[i] as number);
        slope[3 * i] = (slope[3 * i] as number) + wx * by;
        slope[3 * i + 1] = (slope[3 * i + 1] as number) + wy * by;
        slope[3 * i + 2] = (slope[3 * i + 2] as number) + wz * by;
      }
    }
    return this.toLab(n, sx / white[0], sy / white[1], sz / white[2], inAll);
  }

  private toLab(n: number, x: number, y: number, z: number, inAll: number): number {
    const { white, slope, lab, target } = this;
    const [fx, fy, fz] = [root(x), root(y), root(z)];
    const [dx, dy, dz] = [perRoot(x, fx) / white[0], perRoot(y, fy) / white[1], perRoot(z, fz) / white[2]];
    lab[0] = 116 * fy - 16;
    lab[1] = 500 * (fx - fy);
    lab[2] = 200 * (fy - fz);
    for (let i = 0; i < n; i += 1) {
      const [px, py, pz] = [
        dx * (slope[3 * i] as number),
        dy * (slope[3 * i + 1] as number),
        dz * (slope[3 * i + 2] as number),
      ];
      slope[3 * i] = 116 * py;
      slope[3 * i + 1] = 500 * (px - py);
      slope[3 * i + 2] = 200 * (py - pz);
    }
    const over = Math.max(0, inAll - this.limits.most) * HELD;
    return (
      squaredIn(
        this.metric,
        (lab[0] as number) - target[0],
        (lab[1] as number) - target[1],
        (lab[2] as number) - target[2],
      ) +
      over * over
    );
  }

  /** The matrix and right side of the next step, from the slopes where it stands. */
  private normal(n: number, logs: Float64Array, doses: Float64Array, there: readonly number[]): void {
    const { slope, metric, matrix, right, lab, target } = this;
    const [ex, ey, ez] = [
      (lab[0] as number) - target[0],
      (lab[1] as number) - target[1],
      (lab[2] as number) - target[2],
    ];
    const m = (i: number): number => metric[i] as number;
    let inAll = 0;
    for (let i = 0; i < n; i += 1) inAll += doses[i] as number;
    const over = Math.max(0, inAll - this.limits.most);
    for (let i = 0; i < n; i += 1) {
      // Slopes are with the logarithm of the dose; the step is in that of what is added to it.
      const added = Math.exp(logs[i] as number);
      const part = there[i] ? added / (doses[i] as number) : 1;
      for (let k = 0; k < 3; k += 1) slope[3 * i + k] = (slope[3 * i + k] as number) * part;
    }
    for (let i = 0; i < n; i += 1) {
      const [a, b, c] = [slope[3 * i] as number, slope[3 * i + 1] as number, slope[3 * i + 2] as number];
      const ma = m(0) * a + m(1) * b + m(2) * c;
      const mb = m(3) * a + m(4) * b + m(5) * c;
      const mc = m(6) * a + m(7) * b + m(8) * c;
      const mine = over > 0 ? HELD * Math.exp(logs[i] as number) : 0;
      right[i] = ma * ex + mb * ey + mc * ez + mine * HELD * over;
      for (let j = 0; j <= i; j += 1) {
        const his = over > 0 ? HELD * Math.exp(logs[j] as number) : 0;
        matrix[i * MOST_DYES + j] =
          ma * (slope[3 * j] as number) +
          mb * (slope[3 * j + 1] as number) +
          mc * (slope[3 * j + 2] as number) +
          mine * his;
      }
    }
  }

  /** The step for a damping: Cholesky's way, in place on a copy. */
  private solved(n: number, damped: number): Float64Array {
    const [a, b] = [this.factor, this.step];
    for (let i = 0; i < n; i += 1) {
      b[i] = this.right[i] as number;
      for (let j = 0; j <= i; j += 1) a[i * MOST_DYES + j] = this.matrix[i * MOST_DYES + j] as number;
    }
    for (let i = 0; i < n; i += 1) {
      const at = i * MOST_DYES;
      a[at + i] = (a[at + i] as number) * (1 + damped) + damped * 1e-3 + 1e-9;
      for (let j = 0; j <= i; j += 1) {
        let sum = a[at + j] as number;
        for (let k = 0; k < j; k += 1) sum -= (a[at + k] as number) * (a[j * MOST_DYES + k] as number);
        a[at + j] = i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / (a[j * MOST_DYES + j] as number);
      }
    }
    for (let i = 0; i < n; i += 1) {
      let sum = b[i] as number;
      for (let k = 0; k < i; k += 1) sum -= (a[i * MOST_DYES + k] as number) * (b[k] as number);
      b[i] = sum / (a[i * MOST_DYES + i] as number);
    }
    for (let i = n - 1; i >= 0; i -= 1) {
      let sum = b[i] as number;
      for (let k = i + 1; k < n; k += 1) sum -= (a[k * MOST_DYES + i] as number) * (b[k] as number);
      b[i] = sum / (a[i * MOST_DYES + i] as number);
    }
    return b;
  }
}

function isAtLow(logs: Float64Array, low: number): boolean {
  for (let i = 0; i < logs.length; i += 1) if ((logs[i] as number) <= low + 1e-9) return true;
  return false;
}
