import { sectionsOf } from '../../method';
import type { Act, End } from '../../process/act';
import type { BegunBatch } from '../batch';

/** A place on the goods that a cup can be poured onto. */
export interface CupPlace {
  id: string;
  name: string;
  end: Extract<End, { place: unknown }>;
}

/** The sections that a pass paints, with where they are, as its card says; none for a pass that dyes in a bath. */
export function cupPlaces(batch: BegunBatch, passId: string | null): CupPlace[] {
  const pass = batch.formulation.recipe.passes.find(({ id }) => id === passId);
  if (!pass) return [];
  const sections = sectionsOf(pass.method);
  const found = new Map<string, CupPlace>();
  for (const { act } of batch.card.acts) {
    const end = placeOf(act);
    // Paint goes on by its section, powder by the line of its dye.
    const section = sections.find(
      ({ id }) => id === act.line || id === pass.dyes.find((line) => line.id === act.line)?.sectionId,
    );
    if (act.pass !== passId || !end || !section || found.has(section.id)) continue;
    found.set(section.id, { id: section.id, name: section.name, end });
  }
  return [...found.values()];
}

function placeOf(act: Act): CupPlace['end'] | null {
  const end = act.kind === 'move' ? act.to : act.kind === 'put' ? act.into : null;
  return end && 'place' in end ? end : null;
}
