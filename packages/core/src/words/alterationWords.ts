import { methodFacts } from '../method';
import { setMethodFacts } from '../heat/setMethods';
import { amountOf } from '../process/amountOf';
import type { Alteration } from '../record/alter/alterationSchema';
import type { Lesson } from '../record/alter/lessons';
import type { CardAct } from '../record/card';
import { formatAmount } from '../units/formatQuantity';
import { titleOf, type Reading } from './lineWords';

/** A change of what was still to come, as a sentence. */
export function alterationWords(change: Alteration, reading: Reading): string {
  const { why, about, minutes, out, instead, lines, passes, set } = change;
  const titles = (list: readonly CardAct[]): string =>
    list
      .filter(({ quiet }) => !quiet)
      .map((line) => titleOf(line, reading))
      .join('; ');
  const time = minutes === null ? '' : formatAmount(minutes, 'min');
  switch (why) {
    case 'longer':
      return `${titles(instead)}: ${time} longer`;
    case 'again':
      return `${titles(lines)}: once more, ${time}`;
    case 'left out':
      return `Left out: ${about === '' ? titles(out) : about}`;
    case 'order':
      return about === '' ? `Comes earlier: ${titles(lines)}` : `Comes earlier: ${about}`;
    case 'step':
      return `Put in: ${titles(lines)}`;
    case 'pass': {
      const kinds = passes.map(({ pass }) => methodFacts(pass.method.kind).label).join(', ');
      return `Put in: a pass, ${kinds}`;
    }
    case 'goods':
      return `Came in: ${about}`;
    case 'vessel':
      return `From here on in: ${about}`;
    case 'set':
      return set === null ? 'Set otherwise' : `Set by ${setMethodFacts(set.method).label}`;
    case 'shared':
      return `Set together with ${about}, which is a guest here`;
    case 'set elsewhere':
      return `Set together with ${about}, in whose record it is waited for`;
    case 'not clear':
      return `The bath was not clear. Put in: ${titles(lines.length > 0 ? lines : instead)}`;
    case 'pale inside':
      return `The middle was pale. Put in: ${titles(lines)}`;
    case 'bled':
      return `It bled. Put in: ${titles(lines)}`;
    case 'learned':
      return about;
  }
}

/** What a pot that ran ahead taught, as a sentence. */
export function lessonWords(lesson: Lesson, reading: Reading): string {
  if (lesson.what === 'changed') return alterationWords(lesson.change, reading);
  const { line, poured, asked } = lesson;
  const unit = amountOf(line.act)?.unit ?? 'mL';
  return `${titleOf(line, reading)}: ${formatAmount(poured, unit)} instead of ${formatAmount(asked, unit)}`;
}
