/**
 * A dyehouse that is only reckoned: virtual dyes with hidden spectra, build-up that bends, bases that take more or less,
 * dyes that keep each other away, a surface that shines, doses and readings that are a little off. It is written apart from
 * the engine that has to find it out, and shares nothing with it but the tables of the CIE.
 */
import { ILLUMINANTS, OBSERVERS } from '../../src/color/cie/tables';

const NM = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);

/** Chance that can be had again: mulberry32, public domain. */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const bell = (next: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());

const at = (list: readonly number[] | undefined, i: number): number => list?.[i] ?? 0;

interface HiddenDye {
  id: string;
  spectrum: number[];
  bend: number;
  full: number;
  /** What more or less of it each base shows. */
  onBase: number[];
}

interface HiddenBase {
  id: string;
  white: number[];
}

export interface Put {
  id: string;
  dosPercent: number;
}

export interface DyehouseKind {
  seed: number;
  dyes?: number;
  bases?: number;
  doseNoise?: number;
  readNoise?: number;
  loss?: number;
  surface?: number;
  /** How hard its dyes are to find out: narrow bands, strong color, build-up that bends early; 0 to 1. */
  hard?: number;
}

/** What comes out of a pot. */
export interface CameOut {
  lab: [number, number, number];
  reflectance: number[];
}

export class Dyehouse {
  readonly dyes: HiddenDye[] = [];
  readonly bases: HiddenBase[] = [];
  private readonly next: () => number;
  private readonly loss: number[][];

  constructor(private readonly kind: DyehouseKind) {
    const next = chance(kind.seed);
    this.next = next;
    const count = kind.dyes ?? 12;
    const hard = kind.hard ?? 0;
    for (let b = 0; b < (kind.bases ?? 1); b += 1) {
      const high = 0.8 - 0.1 * next();
      const yellow = 0.05 + 0.15 * next();
      this.bases.push({
        id: `base${b}`,
        white: NM.map((nm) => high * (1 - yellow * Math.exp(-(((nm - 380) / 70) ** 2)))),
      });
    }
    for (let d = 0; d < count; d += 1) {
      const black = d === count - 1;
      const bands = black ? 3 : 1 + Math.floor(2 * next());
      const middle = 410 + (260 * (d + 0.5 * next())) / count;
      const parts = Array.from({ length: bands }, (_, i) => ({
        at: black ? 440 + 95 * i : middle + (i === 0 ? 0 : 60 + 70 * next()) * (next() < 0.5 ? -1 : 1),
        wide: 28 - 12 * hard + 30 * next(),
        high: (black ? 9 : 8 + (10 + 16 * hard) * next()) * (i === 0 || black ? 1 : 0.25 + 0.5 * next()),
      }));
      const floor = 0.01 + 0.03 * next();
      this.dyes.push({
        id: `dye${d}`,
        spectrum: NM.map((nm) =>
          parts.reduce(
            (sum, { at, wide, high }) => sum + high * Math.exp(-0.5 * ((nm - at) / wide) ** 2),
            floor,
          ),
        ),
        bend: 0.94 - 0.08 * hard + (0.1 + 0.08 * hard) * next(),
        full: 6 - 3.5 * hard + 14 * next(),
        onBase: this.bases.map((_, b) => (b === 0 ? 1 : 0.8 + 0.45 * next())),
      });
    }
    this.loss = this.dyes.map(() => this.dyes.map(() => (kind.loss ?? 0.04) * next()));
  }

  /** Dyes a recipe, with doses as they really fell. */
  dye(baseId: string, recipe: readonly Put[], exact = false): CameOut {
    const b = this.bases.findIndex(({ id }) => id === baseId);
    const white = this.bases[b]?.white ?? [];
    const inAll = recipe.reduce((sum, { dosPercent }) => sum + dosPercent, 0);
    const put = recipe.map(({ id, dosPercent }) => {
      const [dye, d] = this.hidden(id);
      const lost = recipe.reduce((sum, other) => {
        const [, o] = this.hidden(other.id);
        return o === d ? sum : sum + (at(this.loss[d], o) * other.dosPercent) / inAll;
      }, 0);
      const fell = exact ? 1 : Math.exp((this.kind.doseNoise ?? 0.03) * bell(this.next));
      const depth = dosPercent * fell * at(dye.onBase, b) * (1 - lost);
      // Build-up that bends, and comes to an end.
      return { dye, color: dye.full * (1 - Math.exp(-(depth ** dye.bend) / dye.full)) };
    });
    const shine = this.kind.surface ?? 0.012;
    const noise = exact ? 0 : (this.kind.readNoise ?? 0.3);
    const reflectance = white.map((bare, i) => {
      const under = (bare - shine) / (1 - shine);
      let q = (1 - under) ** 2 / (2 * under);
      for (const { dye, color } of put) q += at(dye.spectrum, i) * color;
      return shine + (1 - shine) * (1 + q - Math.sqrt(q * q + 2 * q));
    });
    const lab = labFrom(reflectance);
    return {
      lab: [
        lab[0] + noise * bell(this.next),
        lab[1] + noise * bell(this.next),
        lab[2] + noise * bell(this.next),
      ],
      // An instrument's noise, of the same size in what is seen.
      reflectance: reflectance.map((r) => Math.min(1, Math.max(0, r + noise * 0.003 * bell(this.next)))),
    };
  }

  private hidden(id: string): [HiddenDye, number] {
    const d = this.dyes.findIndex((one) => one.id === id);
    const dye = this.dyes[d];
    if (!dye) throw new Error(`No dye “${id}” in this dyehouse.`);
    return [dye, d];
  }

  /** A recipe of three dyes that nobody knows. */
  secret(): Put[] {
    const ids = this.dyes.map(({ id }) => id);
    const picked: string[] = [];
    while (picked.length < 3) {
      const id = ids[Math.floor(ids.length * this.next())] ?? '';
      if (!picked.includes(id)) picked.push(id);
    }
    return picked.map((id) => ({ id, dosPercent: 0.05 * (1.2 / 0.05) ** this.next() }));
  }

  readonly chance = (): number => this.next();
}

/** Lab under D65, 10°, from its own sum. */
function labFrom(r: readonly number[]): [number, number, number] {
  const { x, y, z } = OBSERVERS['10°'];
  const light = ILLUMINANTS.D65;
  const sum = (of: readonly number[], by: readonly number[]): number =>
    light.reduce((all, power, i) => all + power * at(of, i) * at(by, i), 0);
  const one = light.map(() => 1);
  const [X, Y, Z] = [sum(x, r), sum(y, r), sum(z, r)];
  const [wx, wy, wz] = [sum(x, one), sum(y, one), sum(z, one)];
  const f = (t: number): number => (t > 0.008856451679 ? t ** (1 / 3) : 7.787037037 * t + 4 / 29);
  const [fx, fy, fz] = [f(X / wx), f(Y / wy), f(Z / wz)];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}
