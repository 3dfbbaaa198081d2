import type { MeasuredSample, MeasuredShelf } from '../color/calibrate/calibrate';
import type { MeasuredColor, Target } from '../color/calibrate/observe';
import { DAYLIGHT, weightsOf } from '../color/cie/tristimulus';
import { xyzOfLab, type Lab } from '../color/lab';
import { smoothestReflectance } from '../color/reconstruct';
import { bandedSpectrum, type Spectrum } from '../color/spectrum';
import type { Rgb } from '../color/srgb';
import { FieldError } from '../figure/fieldError';
import { STEP_NM } from '../units/bands';
import type { ColorRequest } from './colorRequest';

/** A color as a request says it. */
interface Said {
  lab?: Lab | undefined;
  reflectance?: readonly number[] | undefined;
  srgb?: Rgb | undefined;
}

/** Notes of one place, gathered as it is read. */
export type Note = (text: string) => void;

/**
 * The shelf of a request, as it is calibrated.
 * @throws FieldError naming what is not on it, or cannot be a color
 */
export function measuredShelf({ bases, dyes, mixtures }: ColorRequest['shelf'], note: Note): MeasuredShelf {
  unique(bases, 'shelf.bases', 'base');
  unique(dyes, 'shelf.dyes', 'dye');
  const known = (list: readonly { id: string }[], id: string, field: string, what: string): string => {
    if (!list.some((one) => one.id === id))
      throw new FieldError(field, `There is no ${what} “${id}” on this shelf.`);
    return id;
  };
  const samples = dyes.flatMap(({ id, samples: own, swatch }, d): MeasuredSample[] => {
    if (own.length === 0)
      note(
        swatch
          ? `The dye “${id}” was never measured: its picked swatch stands for it, and what is said of it is of low confidence.`
          : `The dye “${id}” was never measured: what is said of it rests on nothing but what is usual for a dye.`,
      );
    if (own.length === 0 && swatch)
      return [
        {
          dyeId: id,
          baseId: known(bases, swatch.baseId, `shelf.dyes.${d}.swatch.baseId`, 'base'),
          dosPercent: swatch.dosPercent,
          color: { kind: 'swatch', srgb: swatch.srgb } as const,
        },
      ];
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

/** A color that is wanted. @throws FieldError */
export function targetOf(said: Said, field: string, note: Note): Target {
  const color = colorOf(said, field, note);
  if (color.kind !== 'lab' && color.kind !== 'reflectance')
    throw new FieldError(field, 'A target is said as lab or reflectance.');
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
