import { parseQuantity, type ParseContext } from '../units/parseQuantity';
import type { Water } from './recipe';

/** Water that is given by an amount, and not by the bath before. */
export type GivenWater = Exclude<Water, { basis: 'kept' }>;

/** The water of a bath where the measure says itself what it goes by: `9 L` is a volume, `1:30` or `15 mL/g` a liquor ratio. */
export function waterSaid(
  text: string,
  { basis }: Pick<Water, 'basis'>,
  reading: ParseContext,
): Water | null {
  if (!/[a-z:]/i.test(text)) return null;
  const other = basis === 'ratio' ? 'volume' : 'ratio';
  const read = parseQuantity(text, other === 'ratio' ? 'liquorRatio' : 'volume', reading);
  return read.ok ? { basis: other, value: read.value } : null;
}

/** A bath said by the other of the two, to three figures. @param bath as it is planned */
export const waterIn = (
  basis: GivenWater['basis'],
  { liquorRatio, bath }: { liquorRatio: { value: number }; bath: { value: number } },
): GivenWater => ({
  basis,
  value: Number((basis === 'ratio' ? liquorRatio : bath).value.toPrecision(3)),
});
