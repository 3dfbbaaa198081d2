import type { BeginBatch, Colorway, Formulation } from '@ythrion/core';
import { studioNow } from '../api/studioClock';
import { newId } from '../parts/newId';

/** A batch of a saved version of a colorway that begins now. */
export const beginning = (
  { id, version, name }: Pick<Colorway, 'id' | 'version' | 'name'>,
  formulation: Formulation,
): BeginBatch => ({
  id: newId(),
  name,
  colorwayId: id,
  colorwayVersion: version,
  againOf: null,
  loadOf: null,
  startedAt: studioNow(),
  formulation,
});
