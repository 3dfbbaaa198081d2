import { FieldError } from '../../figure/fieldError';
import { keepsBath } from '../../method';
import { planFormulation } from '../../plan/plan';
import { formulate, type Shelf } from '../../recipe/materials';
import type { Pass } from '../../recipe/recipe';
import { withThen } from '../again/shelfOfThen';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { cardOf } from '../cardOf';
import type { NewEvent } from '../newEvent';
import { plannedDone } from '../standing';
import { altered } from './alter';
import { lastDyedIn, setIn } from './setWhere';
import { isSetDone, toCome } from './toCome';

/** A pass where it comes in: before a pass that is still to come, or after all of them. */
export interface Coming {
  pass: Pass;
  /** The pass it comes before; null: after all, before the set. */
  before: string | null;
}

/** The pass that one that is added now comes before: the first that nobody has begun; null: it is the last. */
export function nextPass(batch: Batch): string | null {
  const done = plannedDone(batch.events);
  const begun = new Set(batch.card.acts.flatMap(({ id, act }) => (done.has(id) ? [act.pass] : [])));
  const coming = toCome(batch).find(({ act }) => act.pass !== null && !begun.has(act.pass));
  return coming?.act.pass ?? null;
}

/**
 * A pass that nobody had planned, put in among those that are still to come: planned as any other, with its water, acid
 * and tools, after the passes it follows.
 * @param batch as it stands
 * @param shelf dyes and jars it may name
 * @throws FieldError where it is set already, a later pass would lose its bath, or the pass cannot be planned
 */
export function addPass(batch: Batch, { pass, before }: Coming, shelf: Shelf): NewEvent {
  const { card, formulation } = batch;
  if (isSetDone(batch))
    throw new FieldError(
      'pass',
      'These goods are set. Dye over them in a batch of their own: its goods come from this one.',
    );
  const passes = formulation.recipe.passes;
  const at = before === null ? passes.length : passes.findIndex(({ id }) => id === before);
  const follower = passes[at];
  if (follower && keepsBath(follower) && !keepsBath(pass))
    throw new FieldError(
      'pass',
      `Pass ${at + 1} goes on in the bath of the one before it. Let the new pass go on in that bath as well, or put it after pass ${at + 1}.`,
    );
  if (passes.length >= 12) throw new FieldError('pass', 'A batch can have at most 12 passes.');
  const recipe = { ...formulation.recipe, passes: [...passes.slice(0, at), pass, ...passes.slice(at)] };
  const known = { ...withThen(shelf, formulation), tools: formulation.tools, studio: undefined };
  const told = {
    ...formulate(batch.name, recipe, known, formulation.pot),
    place: formulation.place,
    water: formulation.water,
    tools: formulation.tools,
    spoons: formulation.spoons,
  };
  const planned = cardOf(told, planFormulation(told));
  const lines = withVessels(planned.acts, pass.id, card.acts);
  const own = planned.passes.find(({ id }) => id === pass.id);
  if (!own) throw new FieldError('pass', 'This pass cannot be planned.');
  const rest = toCome(batch);
  return altered('pass', {
    lines,
    before: (before === null ? firstOfSet(rest) : rest.find(({ act }) => act.pass === before))?.id ?? null,
    instead: before === null ? setIn(rest, lastDyedIn(card.acts), lastDyedIn(lines)) : [],
    passes: [{ pass, card: own, before }],
    dyes: told.dyes.filter(({ id }) => !formulation.dyes.some((dye) => dye.id === id)),
    stocks: told.stocks.filter(({ id }) => !formulation.stocks.some((jar) => jar.id === id)),
  });
}

/** The lines of a pass, with the vessels it brings that are not there. */
function withVessels(planned: readonly CardAct[], passId: string, onCard: readonly CardAct[]): CardAct[] {
  const there = new Set(onCard.map(({ id }) => id));
  const list: CardAct[] = [];
  let bringing: CardAct[] = [];
  for (const line of planned) {
    if (line.act.kind === 'bring') {
      if (line.act.thing.kind === 'vessel' && !there.has(line.id)) bringing.push(line);
      continue;
    }
    if (line.act.pass === passId) list.push(...bringing, line);
    bringing = [];
  }
  return list;
}

/** Where the set begins among what is still to come. */
const firstOfSet = (rest: readonly CardAct[]): CardAct | undefined =>
  rest.find(({ act }) => act.pass === null && act.kind !== 'bring');
