import { formulation, recipe } from '../../test/examples';
import { planFormulation } from '../plan/plan';
import type { AcidDose } from '../recipe/recipe';
import { swapAcid } from './swapAcid';

const planned = (acids: AcidDose[]) =>
  planFormulation(formulation({ passes: [{ ...recipe().passes[0]!, acids }] })).passes[0]!;
const VINEGAR = recipe().passes[0]!.acids[0]!;

test('another acid starts at what is usual of it: 7 g of citric in 6 L become 1 g/L of vinegar, 120 mL, not 1.3 L', () => {
  const citric: AcidDose = {
    ...VINEGAR,
    material: 'citric',
    strengthPercent: 100,
    basis: 'amount',
    value: 7,
  };
  const first = planned([citric]);
  const vinegar = swapAcid(citric, 'vinegar', first.acids[0]!, first.bath.value / 1000);
  expect(vinegar).toMatchObject({ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 });
  expect(planned([vinegar]).acids[0]!.amount.value).toBeCloseTo(120, 9);
  expect(swapAcid(VINEGAR, 'formic', planned([VINEGAR]).acids[0]!, 6)).toMatchObject({ value: 0.5 });
});

test('crystals to solution are the same grams', () => {
  const crystals: AcidDose = { ...VINEGAR, material: 'citric', strengthPercent: 100, value: 0.8 };
  const first = planned([crystals]);
  const solution = swapAcid(crystals, 'citric solution', first.acids[0]!, first.bath.value / 1000);
  expect(solution).toMatchObject({ material: 'citric solution', strengthPercent: 10, value: 0.8 });
  expect(planned([solution]).acids[0]!.pureGrams.value).toBeCloseTo(first.acids[0]!.pureGrams.value, 9);
});

test('a dose of nothing keeps its number; the same acid keeps its bottle', () => {
  expect(swapAcid({ ...VINEGAR, value: 0 }, 'citric', null, 6)).toMatchObject({
    value: 0,
    strengthPercent: 100,
  });
  expect(swapAcid({ ...VINEGAR, strengthPercent: 8 }, 'vinegar', null, 6)).toMatchObject({
    strengthPercent: 8,
  });
});
