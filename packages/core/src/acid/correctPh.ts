import { ACIDS, type AcidMaterial } from '../materials/acids';
import { acidForPh, bathPh, strongBaseAt } from './bathPh';
import { acidName, molarAcids, type AcidsInBath } from './expectedPh';
import { figure, type Figure } from '../figure/figure';

/** What a measured pH asks for. */
export interface PhCorrection {
  /** Acid to add for the wished pH; zero when the bath is that acid already. mL of a liquid, g of crystals. */
  add: Figure;
  /** What the bath will then show, if it behaves as it just did. */
  after: Figure;
}

/**
 * From a measured pH to the acid still missing: the measurement tells what water and fiber really take up, and the
 * charge balance says how much acid is due on top. An estimate that rests on the measurement, not on the expected pH.
 * @param measured pH read in the bath, 0 to 14
 * @param wished pH to reach
 * @param acids pure acids already in the bath, g
 * @param liters bath, L
 */
export function correctPh(
  measured: number,
  wished: number,
  acids: AcidsInBath,
  liters: number,
  material: AcidMaterial,
  strengthPercent: number,
): PhCorrection {
  const weak = molarAcids(acids, liters);
  const strongBase = strongBaseAt(measured, { acids: weak });
  const molar = measured <= wished ? 0 : acidForPh(acidName(material), wished, { acids: weak, strongBase });
  const facts = ACIDS[material];
  const add = (100 * molar * liters * facts.molarMass) / strengthPercent;
  const because = (): string =>
    `pH ${measured.toFixed(2)} measured means ${(1000 * strongBase).toFixed(1)} meq/L taken up by water and goods; ${(1000 * molar).toFixed(1)} mmol/L more ${facts.acid} brings it to pH ${wished.toFixed(2)}`;
  return {
    add: figure(add, facts.unit, because, 'estimate', 'charge balance from the measured pH'),
    after: figure(
      bathPh({ acids: [...weak, { name: acidName(material), molar }], strongBase }),
      'pH',
      because,
      'estimate',
      'charge balance from the measured pH',
    ),
  };
}
