import { FieldError } from '../../figure/fieldError';
import { checkAmount, checkMaterial, type KnownMaterials } from '../admitEvent';
import type { Event } from '../event';
import { CUP, cupNow, type CupRecord } from './cup';
import { checkShare } from './pourCup';

/** Acts that are done at a cup. */
const AT_A_CUP: readonly string[] = ['bring', 'put', 'run', 'look'];

/**
 * Decides whether an event may join the record of a cup.
 * @param cup its record until now, empty before the first
 * @throws FieldError naming the field where it does not hold together
 */
export function admitCup(event: Event, cup: CupRecord, known: KnownMaterials): void {
  if (event.kind === 'struck') {
    const target = cup.events.find(({ id }) => id === event.event);
    if (!target)
      throw new FieldError('event', `There is no event “${event.event}” at this cup to take back.`);
    if (target.kind === 'struck')
      throw new FieldError('event', 'A taking-back cannot itself be taken back; make the entry again.');
    if (target === cup.events[0])
      throw new FieldError('event', 'The cup itself stays. Pour it away where nothing is to be kept.');
    return;
  }
  if (cup.events.length === 0) {
    const thing = event.kind === 'act' && event.act.kind === 'bring' ? event.act.thing : null;
    if (thing?.kind !== 'vessel' || thing.role !== 'mixing cup' || thing.vessel !== CUP)
      throw new FieldError('act', 'The record of a cup begins with the mixing cup itself.');
    return;
  }
  if (event.kind === 'act') {
    const { act } = event;
    if (!AT_A_CUP.includes(act.kind))
      throw new FieldError(
        'act.kind',
        `At a cup one does not ${act.kind}: it is filled, looked at and poured.`,
      );
    if (
      (act.kind === 'put' && !('vessel' in act.into && act.into.vessel === CUP)) ||
      (act.kind === 'run' && act.vessel !== CUP)
    )
      throw new FieldError('act.into', 'What is put in here goes into the cup.');
    checkMaterial(act, known);
    checkAmount(act, event.written);
    return;
  }
  if (event.kind === 'poured' || event.kind === 'kept') return checkShare(cupNow(cup), event.share);
  if (!['named', 'noted', 'sought', 'acknowledged'].includes(event.kind))
    throw new FieldError('kind', `An entry “${event.kind}” belongs to a batch, not to a cup.`);
}
