import { calibrate, type Calibration, type MeasuredShelf } from '../color/calibrate/calibrate';
import type { MeasuredColor, Target } from '../color/calibrate/observe';
import { ladderDepth } from '../color/ladderDepth';
import { weightsOf, DAYLIGHT } from '../color/cie/tristimulus';
import { xyzOfLab, type Lab } from '../color/lab';
import { correct, REACHED } from '../color/match/correct';
import { match } from '../color/match/match';
import { predict } from '../color/predict';
import { smoothestReflectance } from '../color/reconstruct';
import { bandedSpectrum, STEP_NM, type Spectrum } from '../color/spectrum';
import type { Rgb } from '../color/srgb';
import { FieldError } from '../figure/fieldError';
import type { ColorRequest, OneColorRequest } from './colorRequest';

/** An answer to one request; what there is to know beside it are sentences. */
export type ColorAnswer = Record<string, unknown> & { notes?: string[] };

/** A color as a request says it. */
interface Said {
  lab?: Lab | undefined;
  reflectance?: readonly number[] | undefined;
  srgb?: Rgb | undefined;
}

/** Notes of one place, gathered as it is read. */
type Note = (text: string) => void;

/**
 * Answers everything that is asked of a shelf of measured dyes, in order; the shelf is calibrated once.
 * @throws FieldError naming the field where something cannot be
 */
export function answerColor({ shelf, requests }: ColorRequest): { answers: ColorAnswer[] } {
  const ofShelf: string[] = [];
  const note: Note = (text) => {
    if (!ofShelf.includes(text)) ofShelf.push(text);
  };
  const measured = measuredShelf(shelf, note);
  const calibration = calibrate(measured);
  return {
    answers: requests.map((request, i) => {
      const notes = [...ofShelf];
      const answer = answerOne(calibration, measured, request, `requests.${i}`, (text) => notes.push(text));
      return notes.length > 0 ? { ...answer, notes } : answer;
    }),
  };
}

function measuredShelf({ bases, dyes, mixtures }: ColorRequest['shelf'], note: Note): MeasuredShelf {
  unique(bases, 'shelf.bases', 'base');
  unique(dyes, 'shelf.dyes', 'dye');
  const known = (list: readonly { id: string }[], id: string, field: string, what: string): string => {
    if (!list.some((one) => one.id === id))
      throw new FieldError(field, `There is no ${what} “${id}” on this shelf.`);
    return id;
  };
  const samples = dyes.flatMap(({ id, samples: own }, d) => {
    if (own.length === 0)
      note(
        `The dye “${id}” was never measured: what is said of it rests on nothing but what is usual for a dye.`,
      );
    for (const [baseId, depths] of depthsByBase(own))
      if (new Set(depths).size < depths.length)
        note(`The dye “${id}” has several samples of one depth on “${baseId}”; each counts.`);
    return own.map((sample, s) => ({
      dyeId: id,
      baseId: known(bases, sample.baseId, `shelf.dyes.${d}.samples.${s}.baseId`, 'base'),
      dosPercent: sample.dosPercent,
      color: colorOf(sample, `shelf.dyes.${d}.samples.${s}`, note),
    }));
  });
  const shelf: MeasuredShelf = {
    bases: bases.map(({ id, ...color }, b) => ({
      id,
      reflectance: baseReflectance(color, `shelf.bases.${b}`, note),
    })),
    dyes: dyes.map(({ id }) => id),
    samples,
    mixtures: mixtures.map((mixture, m) => ({
      baseId: known(bases, mixture.baseId, `shelf.mixtures.${m}.baseId`, 'base'),
      dyes: mixture.dyes.map((dye, i) => ({
        ...dye,
        id: known(dyes, dye.id, `shelf.mixtures.${m}.dyes.${i}.id`, 'dye'),
      })),
      color: colorOf(mixture, `shelf.mixtures.${m}`, note),
    })),
  };
  sameDyes(shelf, note);
  return shelf;
}

function unique(list: readonly { id: string }[], field: string, what: string): void {
  list.forEach(({ id }, i) => {
    if (list.findIndex((one) => one.id === id) !== i)
      throw new FieldError(`${field}.${i}.id`, `The ${what} “${id}” is on this shelf twice.`);
  });
}

function depthsByBase(samples: readonly { baseId: string; dosPercent: number }[]): Map<string, number[]> {
  const depths = new Map<string, number[]>();
  for (const { baseId, dosPercent } of samples)
    depths.set(baseId, [...(depths.get(baseId) ?? []), dosPercent]);
  return depths;
}

/** Two dyes whose samples are all alike cannot be told apart: a match has no reason to take one and not the other. */
function sameDyes({ dyes, samples }: MeasuredShelf, note: Note): void {
  const all = dyes.map((id) =>
    JSON.stringify(
      samples
        .filter(({ dyeId }) => dyeId === id)
        .map(({ baseId, dosPercent, color }) => [baseId, dosPercent, color]),
    ),
  );
  all.forEach((one, i) => {
    const first = all.indexOf(one);
    if (first < i && one !== '[]')
      note(
        `The dyes “${dyes[first] ?? ''}” and “${dyes[i] ?? ''}” have the same samples: nothing tells them apart.`,
      );
  });
}

function banded(readings: readonly number[], field: string, note: Note): Spectrum {
  const { spectrum, resampledFrom } = bandedSpectrum(readings, `${field}.reflectance`);
  if (resampledFrom !== null) note(`Reflectance was resampled from ${resampledFrom} nm to ${STEP_NM} nm.`);
  return spectrum;
}

function colorOf({ reflectance, lab, srgb }: Said, field: string, note: Note): MeasuredColor {
  if (reflectance) return { kind: 'reflectance', reflectance: banded(reflectance, field, note) };
  if (lab) return { kind: 'lab', lab };
  if (srgb) return { kind: 'srgb', srgb };
  throw new FieldError(field, 'A color is said as reflectance, lab or srgb.');
}

function targetOf(said: Said, field: string, note: Note): Target {
  const color = colorOf(said, field, note);
  if (color.kind === 'srgb') throw new FieldError(field, 'A target is said as lab or reflectance.');
  return color;
}

function baseReflectance({ reflectance, lab }: Said, field: string, note: Note): Spectrum {
  if (reflectance) return banded(reflectance, field, note);
  const smooth = lab && smoothestReflectance(xyzOfLab(lab, weightsOf(DAYLIGHT).white));
  if (!smooth)
    throw new FieldError(
      `${field}.lab`,
      'No surface has this color: the base must be lighter, or less strong in color.',
    );
  return smooth;
}

function answerOne(
  calibration: Calibration,
  shelf: MeasuredShelf,
  request: OneColorRequest,
  field: string,
  note: Note,
): ColorAnswer {
  const base = onShelf(calibration.baseIds, request.baseId, `${field}.baseId`, 'base');
  const dye = (id: string, at: string): string => onShelf(calibration.dyeIds, id, `${field}.${at}`, 'dye');
  switch (request.kind) {
    case 'predict': {
      request.dyes.forEach(({ id }, i) => dye(id, `dyes.${i}.id`));
      deeperThanMeasured(shelf, request.dyes, note);
      const { lab, reflectance, srgb, inGamut, spreadDE00, samples } = predict(
        calibration,
        base,
        request.dyes,
        request.pouringPercent / 100,
      );
      return { lab, reflectance: [...reflectance], srgb, inGamut, spreadDE00, samples };
    }
    case 'match': {
      const { mustUse, mustNotUse, maxDyes } = request;
      mustUse.forEach((id, i) => dye(id, `mustUse.${i}`));
      mustNotUse.forEach((id, i) => dye(id, `mustNotUse.${i}`));
      const both = mustUse.find((id) => mustNotUse.includes(id));
      if (both !== undefined)
        throw new FieldError(`${field}.mustUse`, `The dye “${both}” must be used and must not be used.`);
      if (mustUse.length > maxDyes)
        throw new FieldError(
          `${field}.maxDyes`,
          `${mustUse.length} dyes must be used, and at most ${maxDyes} may be. Raise the one or shorten the other.`,
        );
      const target = targetOf(request.target, `${field}.target`, note);
      const { candidates, combinations } = match(calibration, {
        ...request,
        baseId: base,
        target,
        pouring: request.pouringPercent / 100,
      });
      const nearest = Math.min(...candidates.map(({ deltaE00 }) => deltaE00));
      const reachable = nearest <= REACHED;
      if (combinations === 0) note('No dye may be used: nothing is left to match with.');
      else if (!reachable)
        note(`No choice of these dyes gets there: the nearest is ΔE00 ${nearest.toFixed(1)} away.`);
      return { candidates, combinations, reachable };
    }
    case 'correct': {
      request.tried.forEach(({ dyes }, t) => dyes.forEach(({ id }, i) => dye(id, `tried.${t}.dyes.${i}.id`)));
      const target = targetOf(request.target, `${field}.target`, note);
      const { dyes, lab, deltaE00, reachable, words } = correct(calibration, {
        baseId: base,
        target,
        tried: request.tried,
        addOnly: request.addOnly,
        pouring: request.pouringPercent / 100,
      });
      return { dyes, lab, deltaE00, reachable, words };
    }
    case 'depth': {
      const target = targetOf(request.target, `${field}.target`, note);
      const { dosPercent, low, high, deltaE00 } = ladderDepth(
        calibration,
        base,
        dye(request.dyeId, 'dyeId'),
        target,
      );
      if (deltaE00 > FAR)
        note(
          `This color is ΔE00 ${deltaE00.toFixed(1)} from any depth of “${request.dyeId}”: it may be another dye.`,
        );
      return { dosPercent, low, high };
    }
  }
}

/** Farther than that from a ladder, a patch is hardly of its dye, ΔE00. */
const FAR = 5;

function onShelf(list: readonly string[], id: string, field: string, what: string): string {
  if (!list.includes(id)) throw new FieldError(field, `There is no ${what} “${id}” on this shelf.`);
  return id;
}

/** A prediction beyond what was measured is said to be one. */
function deeperThanMeasured(
  { samples }: MeasuredShelf,
  dyes: readonly { id: string; dosPercent: number }[],
  note: Note,
): void {
  for (const { id, dosPercent } of dyes) {
    const deepest = Math.max(
      0,
      ...samples.flatMap((sample) => (sample.dyeId === id ? [sample.dosPercent] : [])),
    );
    if (deepest > 0 && dosPercent > 1.5 * deepest)
      note(`“${id}” was measured up to ${deepest} %; what is said of ${dosPercent} % goes beyond that.`);
  }
}
