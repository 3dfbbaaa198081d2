import type { Formulation } from '../../recipe/recipe';
import type { BegunBatch } from '../batch';
import type { Card, CardAct } from '../card';
import type { Event } from '../event';
import { standingEvents } from '../standing';
import type { Alteration } from './alterationSchema';

/** What was told last of each batch: the screens ask for the same one again and again, and must get the same object. */
const told = new WeakMap<BegunBatch, { events: readonly Event[]; batch: BegunBatch }>();

/** What a card was before anything was changed at the pot, by the card as it stood: a batch that is told anew starts from there. */
const began = new WeakMap<Card, Pick<BegunBatch, 'card' | 'formulation'>>();

/**
 * A batch with its card as it stands after everything that was changed at the pot: what is still to come, and what was
 * done. A line that was done stays, whoever left it out. Said twice it changes nothing more.
 */
export function asItStands<B extends BegunBatch>(batch: B, events: readonly Event[]): B {
  if (!events.some(({ kind }) => kind === 'altered')) return batch;
  const last = told.get(batch);
  if (last?.events === events) return last.batch as B;
  const { standing } = standingEvents(events);
  const first = began.get(batch.card) ?? { card: batch.card, formulation: batch.formulation };
  const now = {
    ...batch,
    card: alteredCard(first.card, standing),
    formulation: alteredFormulation(first.formulation, changesIn(standing)),
  };
  began.set(now.card, first);
  told.set(batch, { events, batch: now });
  return now;
}

const changesIn = (events: readonly Event[]): Alteration[] =>
  events.flatMap((event) => (event.kind === 'altered' ? [event.change] : []));

interface Place {
  line: CardAct;
  gone: boolean;
}

/** @param events those that stand, in their order: what was done before a change stays as it was */
function alteredCard(card: Card, events: readonly Event[]): Card {
  const inTheEnd = doneIn(events);
  const done = new Set<string>();
  const places: Place[] = card.acts.map((line) => ({ line, gone: false }));
  const find = (id: string): number => places.findIndex(({ line, gone }) => line.id === id && !gone);
  for (const event of events) {
    if (event.kind === 'act' && event.planned !== null) done.add(event.planned);
    if (event.kind !== 'altered') continue;
    const { change } = event;
    for (const { id } of change.out) {
      const place = places[find(id)];
      if (place && !inTheEnd.has(id)) place.gone = true;
    }
    for (const line of change.instead) {
      const place = places[find(line.id)];
      if (place && !done.has(line.id)) place.line = line;
    }
    const coming = change.lines.filter(({ id }) => !done.has(id) || find(id) < 0);
    const before = placeBefore(places, change.before, done);
    for (const { id } of coming) {
      const place = places[find(id)];
      if (place) place.gone = true;
    }
    places.splice(before, 0, ...coming.map((line) => ({ line, gone: false })));
  }
  return {
    ...card,
    acts: places.flatMap(({ line, gone }) => (gone ? [] : [line])),
    passes: changesIn(events).reduce(
      (passes, change) =>
        insertedAll(
          passes,
          change.passes.map(({ card: pass, before }) => ({ pass, before })),
        ),
      card.passes,
    ),
  };
}

const doneIn = (events: readonly Event[]): ReadonlySet<string> =>
  new Set(events.flatMap((event) => (event.kind === 'act' && event.planned !== null ? [event.planned] : [])));

/** Where lines come in: before a line, though it has left since; where nobody knows it, before what is still to come. */
function placeBefore(places: readonly Place[], before: string | null, done: ReadonlySet<string>): number {
  if (before === null) return places.length;
  const there = [
    places.findIndex(({ line, gone }) => line.id === before && !gone),
    places.findLastIndex(({ line }) => line.id === before),
  ].find((index) => index >= 0);
  return there ?? places.findLastIndex(({ line }) => done.has(line.id)) + 1;
}

function insertedAll<P extends { id: string }>(
  passes: readonly P[],
  coming: readonly { pass: P; before: string | null }[],
): P[] {
  const list = [...passes];
  for (const { pass, before } of coming) {
    if (list.some(({ id }) => id === pass.id)) continue;
    const at = before === null ? -1 : list.findIndex(({ id }) => id === before);
    list.splice(at < 0 ? list.length : at, 0, pass);
  }
  return list;
}

function alteredFormulation<F extends Formulation>(formulation: F, alterations: readonly Alteration[]): F {
  const { recipe } = formulation;
  const known = <T extends { id: string }>(list: readonly T[], more: readonly T[]): T[] => [
    ...list,
    ...more.filter(({ id }, i) => ![...list, ...more.slice(0, i)].some((one) => one.id === id)),
  ];
  const all = <T>(of: (change: Alteration) => readonly T[]): T[] => alterations.flatMap(of);
  return {
    ...formulation,
    pot: alterations.findLast(({ pot }) => pot !== null)?.pot ?? formulation.pot,
    bases: known(
      formulation.bases,
      all(({ bases }) => bases),
    ),
    dyes: known(
      formulation.dyes,
      all(({ dyes }) => dyes),
    ),
    stocks: known(
      formulation.stocks,
      all(({ stocks }) => stocks),
    ),
    recipe: {
      ...recipe,
      goods: known(
        recipe.goods,
        all(({ goods }) => goods),
      ),
      passes: insertedAll(
        recipe.passes,
        all(({ passes }) => passes),
      ),
      set: alterations.findLast(({ set }) => set !== null)?.set ?? recipe.set,
    },
  };
}
