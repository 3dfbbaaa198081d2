import { z } from 'zod';
import { inventedBase, inventedDyeing, labOf, type Sample, type Spectrum } from '@ythrion/core';

const spectraSchema = z.strictObject({
  about: z.string(),
  bases: z.array(
    z.strictObject({
      baseId: z.string(),
      top: z.number(),
      drop: z.number(),
      over: z.number(),
      affinity: z.number(),
    }),
  ),
  dyes: z.array(
    z.strictObject({
      dyeId: z.string(),
      bands: z.array(z.strictObject({ nm: z.number(), width: z.number(), strength: z.number() })),
      everywhere: z.number(),
      power: z.number(),
      saturation: z.number(),
      /** What an instrument read of it: which base, and at which depths. */
      samples: z.array(
        z.strictObject({
          baseId: z.string(),
          as: z.enum(['reflectance', 'lab']),
          dosPercent: z.array(z.number()),
        }),
      ),
    }),
  ),
});

const NOTE = 'Invented for the demo: nobody dyed or measured this.';

/** The measured samples of the demo, made from the spectra that were invented for it. */
export function demoSamples(value: unknown): Sample[] {
  const { bases, dyes } = spectraSchema.parse(value);
  const goods = new Map(bases.map((base) => [base.baseId, { ...base, reflectance: inventedBase(base) }]));
  return [
    ...[...goods.values()].map(({ baseId, reflectance }) =>
      sample(`${baseId}-undyed`, baseId, [], { kind: 'reflectance', reflectance: rounded(reflectance) }),
    ),
    ...dyes.flatMap(({ dyeId, samples, ...dye }) =>
      samples.flatMap(({ baseId, as, dosPercent }) =>
        dosPercent.flatMap((dos) => {
          const base = goods.get(baseId);
          if (!base) return [];
          const read = inventedDyeing(dye, base.reflectance, base.affinity, dos);
          const color: Sample['color'] =
            as === 'lab'
              ? { kind: 'lab', lab: labRounded(read) }
              : { kind: 'reflectance', reflectance: rounded(read) };
          const id = `${dyeId}-${baseId}-${dos}`.replace('.', '_');
          return sample(id, baseId, [{ dyeId, dosPercent: dos }], color);
        }),
      ),
    ),
  ];
}

const sample = (id: string, baseId: string, dyes: Sample['dyes'], color: Sample['color']): Sample => ({
  id,
  baseId,
  dyes,
  color,
  invented: true,
  note: NOTE,
  retired: false,
});

/** What instruments show: reflectance to four places, Lab to two. */
const rounded = (spectrum: Spectrum): number[] => spectrum.map((r) => Number(r.toFixed(4)));
function labRounded(spectrum: Spectrum): [number, number, number] {
  const [L, a, b] = labOf(spectrum);
  return [Number(L.toFixed(2)), Number(a.toFixed(2)), Number(b.toFixed(2))];
}
