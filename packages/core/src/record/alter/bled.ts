import { FieldError } from '../../figure/fieldError';
import { ACIDS } from '../../materials/acids';
import { broughtVessel } from '../../plan/brought';
import type { Act } from '../../process/act';
import { usualDose } from '../../recipe/usualDose';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { goodsOf } from '../cardGoods';
import type { Event } from '../event';
import type { NewEvent } from '../newEvent';
import { standingEvents } from '../standing';
import { altered } from './alter';
import { isSet } from './setWhere';
import { lineOfAct } from './step';
import { lineAfter } from './toCome';

/** What a rinse shows; the last answer finds nothing. */
export const RINSE_READINGS = ['bleeds', 'bleeds with soap', 'clear'] as const;

/** Water of an acid soak, mL per gram of dry goods: they lie covered (common practice, no source). */
const SOAK_ML_PER_GRAM = 10;
/** Pure acid in it, g/L: 2 US tbsp of 5 % vinegar in 8 US cups are 0.77 g/L (common practice, no source). */
const SOAK_G_PER_L = 0.77;
/** Minutes in the acid soak (15 to 20: common practice, no source). */
const SOAK_MINUTES = 20;

/**
 * What cures goods that bleed, as steps of their card: an acid soak, the set once more, a rinse.
 * @param batch as it stands @param id names the lines that come in
 * @throws FieldError where they were never set
 */
export function bledCure(batch: Batch, id: string): NewEvent {
  const { card, formulation } = batch;
  const grams = goodsOf(card).reduce((sum, line) => sum + line.grams, 0);
  const ml = SOAK_ML_PER_GRAM * grams;
  const last = formulation.recipe.passes.flatMap(({ acids }) => acids).at(-1) ?? usualDose('vinegar');
  const facts = ACIDS[last.material];
  const pure = (SOAK_G_PER_L * facts.usualGPerL * ml) / 1000;
  const amount = (100 * pure) / last.strengthPercent;
  if (amount > ml)
    throw new FieldError(
      'acid',
      `The ${facts.short} of this batch is too weak for a soak: it would take more of it than of water. Put it in by hand, as a step.`,
    );
  const vessel = `soak-${id}`;
  const set = setLines(card.acts);
  if (set.length === 0)
    throw new FieldError('set', 'These goods were never set. Add the set as steps: heat, hold, cool.');
  const rinse = card.acts.find(({ act }) => act.kind === 'rinse');
  const after = card.acts.findLast(({ act }) => act.kind === 'rinse');
  const common = { pass: null, line: null, purpose: null } as const;
  const acts: [string, Act, Partial<CardAct>][] = [
    ['bring', { kind: 'bring', ...common, thing: broughtVessel(vessel, 'soak') }, { quiet: true }],
    ['water', { kind: 'run', ...common, vessel, ml, celsius: null }, {}],
    [
      'acid',
      {
        kind: 'put',
        ...common,
        material: { kind: 'acid', acid: last.material, strengthPercent: last.strengthPercent },
        amount,
        unit: facts.unit,
        into: { vessel },
      },
      {},
    ],
    ['place', { kind: 'place', ...common, goods: [], vessel, reach: null, lies: null, wet: true }, {}],
    ['stand', { kind: 'stand', ...common, vessel, minutes: SOAK_MINUTES, leaves: null }, {}],
  ];
  return altered('bled', {
    lines: [
      ...acts.map(([name, act, more]) => lineOfAct(`${id}.${name}`, act, more)),
      ...setAgain(set, vessel, id),
      ...(rinse ? [{ ...rinse, id: `${id}.rinse` }] : []),
    ],
    before: after ? lineAfter(batch, after.id) : null,
  });
}

/** The lines of the first set of a card. */
function setLines(acts: readonly CardAct[]): CardAct[] {
  const hold = acts.findIndex((line) => isSet(line) && line.act.kind === 'hold');
  const cool = acts.findIndex((line, i) => i > hold && isSet(line) && line.act.kind === 'cool');
  return hold < 0 ? [] : acts.slice(0, Math.max(hold, cool) + 1).filter(isSet);
}

/** A set once more: away, where it was away; in the soak itself, where it was in the pot. */
function setAgain(set: readonly CardAct[], soak: string, id: string): CardAct[] {
  const away = set.some(({ act }) => act.kind === 'place');
  return set.map((line): CardAct => {
    const { act } = line;
    const inSoak = !away && (act.kind === 'heat' || act.kind === 'hold' || act.kind === 'cool');
    return { ...line, id: `${id}.${line.id}`, act: inSoak ? { ...act, vessel: soak } : act };
  });
}

/** Lines that came onto a card because a rinse bled: those without dye are no part of the dyeing. */
export const curesOf = (events: readonly Event[]): ReadonlySet<string> =>
  new Set(
    standingEvents(events).standing.flatMap((event) =>
      event.kind === 'altered' && event.change.why === 'bled' ? event.change.lines.map(({ id }) => id) : [],
    ),
  );
