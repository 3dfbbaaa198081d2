import { threeFigures } from '../units/threeFigures';
import { phRange } from '../acid/phRange';
import type { Figure } from '../figure/figure';
import { setMethodFacts } from '../heat/setMethods';
import { methodFacts } from '../method';
import { FORM_WORDS } from '../shelf/forms';
import type { Notice, Saying } from '../plan/notices';
import type { Measured, PourLine } from '../plan/planTypes';
import { formatAmount } from '../units/formatQuantity';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A notice put into words. */
export interface SpokenNotice extends Pick<Notice, 'about' | 'passId' | 'blocks' | 'asks' | 'jarId'> {
  code: Notice['code'];
  text: string;
}

/** A notice with its sentence, and where it belongs. */
export const spoken = (notice: Notice): SpokenNotice => ({
  code: notice.code,
  about: notice.about,
  passId: notice.passId,
  text: noticeWords(notice),
  ...(notice.blocks !== undefined && { blocks: notice.blocks }),
  ...(notice.asks !== undefined && { asks: notice.asks }),
  ...(notice.jarId !== undefined && { jarId: notice.jarId }),
});

/** What a colleague would say of it, with the reason. */
export function noticeWords(said: Saying): string {
  switch (said.code) {
    case 'nothing takes dye':
      return 'Nothing in these goods takes acid dye.';
    case 'part takes no dye':
      return `${formatAmount(said.grams, 'g')} of ${said.names.join(', ')} takes no acid dye and stays undyed.`;
    case 'hardly visible':
      return `At ${formatAmount(said.percent, '%')} there is little to see on an undyed base.`;
    case 'deeper than black':
      return `${formatAmount(said.percent, '%')} in all is deeper than a black; expect dye left in the bath.`;
    case 'coarse reading':
      return `${coarseReading(said.pour, said.measured)} No dilution with these tools does better: take a finer tool${said.pour.volume ? ', or a jar weighed weaker' : ''}.`;
    case 'over deepest':
      return `${said.dye}: ${formatAmount(said.percent, '%')} is deeper than the ${formatAmount(said.deepestPercent, '%')} you know it takes.`;
    case 'breaks when sprinkled':
      return `${said.dye} breaks into its parts when it is sprinkled: expect its colors one beside the other.`;
    case 'slow for a glaze':
      return `${said.dye} strikes slowly. A glaze wants fast-striking dyes.`;
    case 'never clears':
      return `${said.dye} never quite clears: hold by the clock, and let the set or a spare skein take the rest.`;
    case 'clears later':
      return `${said.dye} takes about ${formatAmount(said.clearsMinutes, 'min')} to clear; this pass holds ${formatAmount(said.heldMinutes, 'min')}.`;
    case 'bleeds':
      return `${said.dye} bleeds: plan a cool acid soak after the rinse, and keep it off white.`;
    case 'no tool':
      return `${said.dye}: no tool on the shelf can measure ${formatAmount(said.amount, said.unit)}${said.stock ? '; use a weaker stock' : ''}.`;
    case 'spoon not weighed':
      return `${said.dye} was never weighed by the spoon: its grams are a guess until it is.`;
    case 'jar short':
      return `${said.dye}: the jar holds ${formatAmount(said.holdsMl, 'mL')}, ${formatAmount(said.shortMl, 'mL')} less than you need. Make more.`;
    case 'jar gone':
      return `${said.dye}: the ${said.jar} jar is off the shelf. Pour from another, or weigh the powder.`;
    case 'jar old':
      return `${said.dye} ${said.jar}: this jar is ${said.days} days old. Warm it, shake it, and test it before you rely on it.`;
    case 'never twisted':
      return `${capital(FORM_WORDS[said.form as keyof typeof FORM_WORDS])} are never twisted or wrung. Lay them in loops or flat.`;
    case 'more than bath':
      return `Stock and acid come to ${formatAmount(said.ml, 'mL')}, more than the ${formatAmount(said.decidedMl, 'mL')} ${said.paint ? 'of paint the goods take up' : 'bath'}. Take ${said.paint ? 'a stronger stock' : 'more water or a stronger stock'}.`;
    case 'of its way':
      return methodFacts(said.kind).words.notice(said.notice);
    case 'pot too small':
      return `${said.pot} holds ${formatAmount(said.holdsMl, 'mL')}; bath and goods need about ${formatAmount(said.needsMl, 'mL')}. Take a larger pot or less water.`;
    case 'less to take over':
      return `${formatAmount(said.askedMl, 'mL')} of the bath before were to go on into this pass; only ${formatAmount(said.thereMl, 'mL')} are there, and water makes up the rest.`;
    case 'kept bath without acid':
      return 'The bath that is kept has no acid in it.';
    case 'no acid':
      return 'No acid: most acid dyes will stay in the bath.';
    case 'acid does not dissolve':
      return `${formatAmount(said.bathMl, 'mL')} of water cannot hold ${formatAmount(said.amount, said.unit)} of ${said.acid}. Take more water or less acid.`;
    case 'very acid':
      return `About ${formatAmount(said.pH, 'pH')} is more acid than usual: expect a fast, less even strike. ${usualPh(said.window)}`;
    case 'not acid enough':
      return `About ${formatAmount(said.pH, 'pH')} may leave dye in the bath. ${usualPh(said.window)}`;
    case 'over boiling':
      return `Water boils at ${said.boilingC.toFixed(1)} °C at ${said.altitudeM} m: ${formatAmount(said.celsius, '°C')} cannot be reached.`;
    case 'hard on the fiber':
      return `Over ${said.window.high} °C is hard on ${said.window.limitedBy}. ${usualHeat(said.window)}`;
    case 'too cool for the fiber':
      return `Under ${said.window.low} °C may leave dye unset on ${said.window.limitedBy}. ${usualHeat(said.window)}`;
    case 'left in the bath':
      return `Nothing heats this pass: most of its dye is still in the bath when the goods ${said.next === null ? 'go to the steam' : `come out for pass ${said.next}`}. Heat it${said.next === null ? '' : ', or let the next pass go on in its bath'}.`;
    case 'ring too weak':
      return `${said.pot ?? 'This pot'} loses heat as fast as its ring gives it before ${formatAmount(said.celsius, '°C')}. Put a lid on, take a stronger ring or a smaller bath.`;
    case 'rise too fast':
      return `${said.base} is not superwash: rise at most ${said.mostCPerMin} °C/min and do not stir above 60 °C.`;
    case 'set out of range': {
      const { label, range } = setMethodFacts(said.method);
      return `A ${label} runs from ${range[0]} to ${range[1]} °C, not ${formatAmount(said.celsius, '°C')}.`;
    }
    case 'what the set is worth':
      return setMethodFacts(said.method).confidence;
    case 'sealed in the microwave':
      return 'Never seal a bag for the microwave: the steam bursts it. Leave a vent.';
    case 'painted goods simmered':
      return 'Painted goods lie in no bath to simmer in: steam them, or take the oven or the microwave.';
    case 'no hold':
      return 'No hold at all: the dye is not set.';
    case 'middle stays cold':
      return `The middle of a ${threeFigures(said.bundleCm)} cm bundle is hot after about ${formatAmount(said.minutes, 'min')}, longer than the hold. Steam longer, or lay it thinner.`;
  }
}

const usualPh = (window: readonly [number, number]): string => `Usual for these dyes is ${phRange(window)}.`;

const usualHeat = ({ low, high }: { low: number; high: number }): string => `Usual is ${low} to ${high} °C.`;

/** What a tool that is too coarse makes of a pour: another depth, or the same only more or less. */
function coarseReading(pour: PourLine, { reading, toolName, error, realDos }: Measured): string {
  const shown = (of: Figure): string => formatAmount(of.value, of.unit);
  const read = `${pour.dyeName}: ${shown(pour.each)} is read as ${shown(reading)} on the ${toolName}, to within ${shown(error)};`;
  return shown(realDos) === shown(pour.dos)
    ? `${read} ${shown(pour.dos)} may come out as ${formatAmount((1 - error.value / 100) * pour.dos.value, '%')} or ${formatAmount((1 + error.value / 100) * pour.dos.value, '%')}.`
    : `${read} that makes it ${shown(realDos)}, not ${shown(pour.dos)}.`;
}
