import { actCautions } from '../../method/actCautions';
import type { Act } from '../../process/act';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { PLAIN_LINE } from '../cardLines';
import type { NewEvent } from '../newEvent';
import { altered } from './alter';
import type { AlteredFor } from './alteredFor';
import { nextToCome } from './toCome';

/** An act as a line of its own. */
export const lineOfAct = (id: string, act: Act, more: Partial<CardAct> = {}): CardAct => ({
  ...PLAIN_LINE,
  id,
  act,
  cautions: actCautions(act),
  estimated: act.kind === 'heat',
  ...more,
});

/** A single step that is to be done next. @param batch as it stands @param id of the line that comes in */
export const stepNext = (batch: Batch, act: Act, id: string, why: AlteredFor = 'step'): NewEvent =>
  altered(why, { lines: [lineOfAct(id, act)], before: nextToCome(batch)?.before ?? null });
