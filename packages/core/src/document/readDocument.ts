import { admitEvent, checkMaterial } from '../record/admitEvent';
import { everyLine } from '../record/alter/everyLine';
import { batchSchema, type Batch } from '../record/batch';
import type { Event } from '../record/event';
import { admitCup } from '../record/cup/admitCup';
import type { CupRecord } from '../record/cup/cup';
import { FieldError } from '../figure/fieldError';
import type { Dye } from '../shelf/dye';
import { SHELF_RESOURCES } from '../shelf/resources';
import { formulate, type Shelf } from '../recipe/materials';
import { premixChecker } from '../amounts/premix';
import { planFormulation } from '../plan/plan';
import { checkSample } from '../recipe/checkSample';
import { problemsOf, type Problem } from './problemsOf';
import { documentSchema, type StudioDocument } from './document';

/** A document that cannot be taken, with everything that is wrong with it. */
export class DocumentError extends Error {
  override readonly name = 'DocumentError';
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map(({ field, message }) => (field === '' ? message : `${field}: ${message}`)).join('\n'));
  }
}

/**
 * Reads a parsed JSON value as a document of today's version: shape, ranges, and that every id names something.
 * @param known what is already on the shelf, so that a document may refer to it
 * @throws DocumentError with every problem found
 */
export function readDocument(
  value: unknown,
  known: Shelf = { bases: [], dyes: [], stocks: [] },
): StudioDocument {
  const parsed = documentSchema.safeParse(value);
  if (!parsed.success) throw new DocumentError(problemsOf(parsed.error.issues));
  const document = parsed.data;
  const problems = [...duplicates(document), ...references(document, known)];
  if (problems.length > 0) throw new DocumentError(problems);
  return document;
}

/**
 * Reads one batch of a document by itself, as a list too long for one document brings it.
 * @param place what stands before the fields in a problem
 * @throws DocumentError with what is wrong with it
 */
export function readBatchOfDocument(value: unknown, place: string, dyes: readonly Dye[]): Batch {
  const parsed = batchSchema.safeParse(value);
  if (!parsed.success)
    throw new DocumentError(
      problemsOf(parsed.error.issues).map(({ field, message }) => ({
        field: field === '' ? place : `${place}.${field}`,
        message,
      })),
    );
  try {
    checkBatch(parsed.data, dyes);
  } catch (error) {
    if (error instanceof FieldError)
      throw new DocumentError([{ field: `${place}.${error.field}`, message: error.message }]);
    throw error;
  }
  return parsed.data;
}

function duplicates(document: StudioDocument): Problem[] {
  const found: Problem[] = [];
  const check = (list: string, keys: readonly string[]): void => {
    const seen = new Set<string>();
    keys.forEach((key, i) => {
      if (seen.has(key))
        found.push({ field: `${list}.${i}.id`, message: `The id “${key}” stands here twice.` });
      seen.add(key);
    });
  };
  for (const list of [...SHELF_RESOURCES, 'cups'] as const)
    check(
      list,
      document[list].map((item) => item.id),
    );
  check(
    'colorways',
    document.colorways.map((item) => `${item.id} version ${item.version}`),
  );
  check(
    'batches',
    document.batches.map((item) => item.id),
  );
  return found;
}

function references(document: StudioDocument, known: Shelf): Problem[] {
  const shelf: Shelf = {
    bases: [...document.bases, ...known.bases],
    dyes: [...document.dyes, ...known.dyes],
    stocks: [...document.stocks, ...known.stocks],
  };
  const problems: Problem[] = [];
  const attempt = (prefix: string, work: () => void): void => {
    try {
      work();
    } catch (error) {
      if (!(error instanceof FieldError)) throw error;
      problems.push({ field: `${prefix}.${error.field}`, message: error.message });
    }
  };
  const check = premixChecker(shelf.dyes);
  document.dyes.forEach((dye, i) => attempt(`dyes.${i}`, () => check(dye)));
  document.stocks.forEach((stock, i) => {
    if (!shelf.dyes.some((dye) => dye.id === stock.dyeId))
      problems.push({
        field: `stocks.${i}.dyeId`,
        message: `There is no dye with the id “${stock.dyeId}”. Name one that is on the shelf.`,
      });
  });
  document.samples.forEach((sample, i) => attempt(`samples.${i}`, () => checkSample(sample, shelf)));
  document.colorways.forEach((colorway, i) =>
    attempt(`colorways.${i}`, () => {
      planFormulation(formulate(colorway.name, colorway.recipe, shelf));
    }),
  );
  document.cups.forEach((cup, i) => attempt(`cups.${i}`, () => checkCup(cup, shelf.dyes)));
  document.batches.forEach((batch, i) => attempt(`batches.${i}`, () => checkBatch(batch, shelf.dyes)));
  return problems;
}

function checkCup({ id, events }: CupRecord, dyes: readonly Dye[]): void {
  checkEvents(events, (event, earlier) => admitCup(event, { id, events: [...earlier.values()] }, { dyes }));
}

function checkBatch(batch: Batch, onShelf: readonly Dye[]): void {
  const { formulation } = batch;
  formulate(batch.name, formulation.recipe, { ...formulation, pots: [], studio: undefined });
  const dyes = [...formulation.dyes, ...onShelf];
  const card = everyLine(batch.card, batch.events);
  checkEvents(batch.events, (event, earlier) => {
    if (event.of.kind !== 'batch' || event.of.id !== batch.id)
      throw new FieldError('of.id', 'This event belongs to another record.');
    admitEvent(event, card, (id) => earlier.get(id));
    if (event.kind === 'act' || event.kind === 'begun') checkMaterial(event.act, { dyes });
  });
}

/** Holds every event of a record against those before it. @throws FieldError naming the event and the field in it */
function checkEvents(
  events: readonly Event[],
  check: (event: Event, earlier: ReadonlyMap<string, Event>) => void,
): void {
  const earlier = new Map<string, Event>();
  events.forEach((event, i) => {
    try {
      if (earlier.has(event.id)) throw new FieldError('id', `The id “${event.id}” stands here twice.`);
      check(event, earlier);
    } catch (error) {
      if (error instanceof FieldError) throw new FieldError(`events.${i}.${error.field}`, error.message);
      throw error;
    }
    earlier.set(event.id, event);
  });
}
