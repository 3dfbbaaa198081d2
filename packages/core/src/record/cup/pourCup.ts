import { FieldError } from '../../figure/fieldError';
import type { Act, End } from '../../process/act';
import { parseQuantity } from '../../units/parseQuantity';
import { inSpoons, type SpoonSet } from '../../units/inSpoons';
import type { BegunBatch } from '../batch';
import { isSpokenAmount } from '../saidInRecord';
import { strikeOut, type NewEvent } from '../newEvent';
import { vesselOfPass } from '../unplanned';
import { isEmptyCup, shareOf, type Cup, type CupPart } from './cup';

/** A cup poured: what its own record says, and what that of the batch does. */
export interface CupPour {
  cup: Extract<NewEvent, { kind: 'poured' }>;
  batch: NewEvent[];
}

/** Where in a batch a cup goes: into the bath of a pass, or onto a place on its goods. */
export interface CupInto {
  batch: BegunBatch & { code: string; name: string };
  pass: string | null;
  /** A place on the goods, with what it is called; null for the bath. */
  place: { end: Extract<End, { place: unknown }>; name: string } | null;
}

/**
 * A share of a cup poured into a batch: dye for dye one addition, as large as what of it goes. Its jars gave it when it went
 * into the cup.
 * @param share above 0, at most 1 @param spoons in which amounts are said where they come out even
 * @throws FieldError of an empty cup, or of more than the whole
 */
export function pourCup(cup: Cup, share: number, into: CupInto, spoons: SpoonSet): CupPour {
  checkShare(cup, share);
  const { batch, pass, place } = into;
  const vessel = vesselOfPass(batch, pass);
  const end: End = place?.end ?? { vessel };
  const common = { pass, line: null, purpose: 'cup' } as const;
  const event = (act: Act, written: string): NewEvent => ({
    kind: 'act',
    planned: null,
    act,
    written,
    note: '',
  });
  const { name, code } = batch;
  return {
    cup: {
      kind: 'poured',
      share,
      batch: batch.id,
      into: `${name}, ${code}${place ? `: ${place.name}` : ''}`.slice(0, 200),
      entries: [],
    },
    batch: [
      ...cup.parts.map((part) => {
        const poured = shareOf(part, share);
        const { material, unit, amount } = poured;
        return event(
          material.kind === 'water'
            ? { kind: 'run', ...common, vessel, ml: amount, celsius: null }
            : { kind: 'put', ...common, material, amount, unit, into: end },
          saidOfPart(poured, spoons),
        );
      }),
      ...cup.unmeasured.map(({ material, written }) =>
        event(
          material.kind === 'water'
            ? { kind: 'run', ...common, vessel, ml: null, celsius: null }
            : { kind: 'put', ...common, material, amount: null, unit: 'mL', into: end },
          share === 1 ? written : `part of ${written}`,
        ),
      ),
    ],
  };
}

/** The rest of a cup down the drain. @throws FieldError of an empty cup */
export function pourAway(cup: Cup): NewEvent {
  checkShare(cup, 1);
  return { kind: 'poured', share: 1, batch: null, into: '', entries: [] };
}

/** @throws FieldError where so much of a cup cannot leave it */
export function checkShare(cup: Cup, share: number): void {
  if (isEmptyCup(cup))
    throw new FieldError(
      'cup',
      cup.left.length === 0
        ? 'The cup is empty. Put something in first.'
        : `The cup is empty: ${leftWords(cup)}. Mix anew, or take that back.`,
    );
  if (!(share > 0))
    throw new FieldError('share', 'Pour more than nothing: a share such as a half, or so many spoons.');
  if (share > 1 + 1e-9)
    throw new FieldError('share', 'That is more than the whole cup. Pour all of it, or less.');
}

function leftWords({ left }: Cup): string {
  const last = left.at(-1);
  if (last?.kind === 'kept') return 'what was left in it was kept';
  return last?.kind === 'poured' && last.batch !== null ? `it went into ${last.into}` : 'it was poured away';
}

/** How far spoons may be off and still say an amount, %. */
const EVEN_PERCENT = 0.05;

/** How a part is said: in the fewest spoons that come to it, as it was put in, or not at all. */
function saidOfPart({ amount, put, said }: CupPart, spoons: SpoonSet): string {
  if (said.length === 0 || !said.every(isSpokenAmount)) return '';
  const [only] = said;
  if (amount === put && said.length === 1 && only) return only;
  // By the spoons it was measured with, be it stock or powder.
  const spooned = said.reduce((sum, text) => {
    const read = parseQuantity(text, 'volume', { spoons: spoons.system });
    return sum + (read.ok ? read.value : NaN);
  }, 0);
  const spoken = inSpoons((spooned * amount) / put, spoons, EVEN_PERCENT);
  return spoken && Math.abs(spoken.offPercent) <= EVEN_PERCENT ? spoken.words : '';
}

/**
 * What takes back something that happened at a cup: at the cup itself, and in the batch that a pour went into.
 * @param eventId of the entry at the cup
 */
export function takenBack(
  { left }: Pick<Cup, 'left'>,
  eventId: string,
): { cup: NewEvent[]; batch: { id: string; events: NewEvent[] } | null } {
  const poured = left.find(({ id }) => id === eventId);
  return {
    cup: [strikeOut({ id: eventId })],
    batch:
      poured?.kind === 'poured' && poured.batch !== null && poured.entries.length > 0
        ? { id: poured.batch, events: poured.entries.map((id) => strikeOut({ id })) }
        : null,
  };
}
