import { lchOf, type Lab } from '../lab';

const DEGREE = Math.PI / 180;

/**
 * Color difference CMC(l:c), of a sample from its standard; the two are not alike.
 * Source: ISO 105-J03:2009; F. J. J. Clarke, R. McDonald, B. Rigg, J. Soc. Dyers Colour. 100, 128 (1984).
 * @param lightness 2 for textiles @param chroma 1
 */
export function cmc(standard: Lab, sample: Lab, lightness = 2, chroma = 1): number {
  const [l1, c1, h1] = lchOf(standard);
  const [l2, c2] = lchOf(sample);
  const [da, db] = [sample[1] - standard[1], sample[2] - standard[2]];
  const dH2 = Math.max(0, da * da + db * db - (c2 - c1) ** 2);
  const f = Math.sqrt(c1 ** 4 / (c1 ** 4 + 1900));
  const t =
    h1 >= 164 && h1 <= 345
      ? 0.56 + Math.abs(0.2 * Math.cos((h1 + 168) * DEGREE))
      : 0.36 + Math.abs(0.4 * Math.cos((h1 + 35) * DEGREE));
  const sL = l1 < 16 ? 0.511 : (0.040975 * l1) / (1 + 0.01765 * l1);
  const sC = (0.0638 * c1) / (1 + 0.0131 * c1) + 0.638;
  const sH = sC * (f * t + 1 - f);
  return Math.sqrt(((l2 - l1) / (lightness * sL)) ** 2 + ((c2 - c1) / (chroma * sC)) ** 2 + dH2 / sH ** 2);
}
