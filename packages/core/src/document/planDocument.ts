import { formulate } from '../recipe/materials';
import { planFormulation } from '../plan/plan';
import type { Colorway } from '../recipe/recipe';
import type { StudioDocument } from './document';
import { printedPlan, type PrintedPlan } from '../words/printedPlan';
import { DocumentError } from './readDocument';

/**
 * The plan of the one colorway in a document (its newest version), or of the one named.
 * @throws DocumentError when there is none, or several and none is named
 */
export function planDocument(document: StudioDocument, colorwayId?: string): PrintedPlan {
  const colorway = pick(document, colorwayId);
  const formulation = formulate(colorway.name, colorway.recipe, document);
  return printedPlan(formulation, planFormulation(formulation));
}

function pick(document: StudioDocument, colorwayId: string | undefined): Colorway {
  const ids = [...new Set(document.colorways.map((colorway) => colorway.id))];
  const wanted = colorwayId ?? (ids.length === 1 ? ids[0] : undefined);
  if (wanted === undefined)
    throw new DocumentError([
      {
        field: 'colorways',
        message:
          ids.length === 0
            ? 'This document holds no colorway to plan.'
            : `This document holds ${ids.length} colorways. Say which: ${ids.join(', ')}.`,
      },
    ]);
  const versions = document.colorways.filter((colorway) => colorway.id === wanted);
  const newest = versions.toSorted((a, b) => b.version - a.version)[0];
  if (!newest)
    throw new DocumentError([
      { field: 'colorways', message: `There is no colorway with the id “${wanted}” in this document.` },
    ]);
  return newest;
}
