import { formulation, recipe } from '../../test/examples';
import { planFormulation } from '../plan/plan';
import type { AcidDose } from '../recipe/recipe';
import { swapAcid } from './swapAcid';

const planned = (acids: AcidDose[]) =>
  planFormulation(formulation({ passes: [{ ...recipe().passes[0]!, acids }] })).passes[0]!;
const VINEGAR = recipe().passes[0]!.acids[0]!;

test('vinegar to citric and back is the same pH both ways', () => {
  const first = planned([VINEGAR]);
  const citric = swapAcid(VINEGAR, 'citric', first.acids[0]!, first.bath.value / 1000);
  const second = planned([citric]);
  expect(second.acids[0]!.pH.value).toBeCloseTo(first.acids[0]!.pH.value, 2);
  expect(citric).toMatchObject({
    material: 'citric',
    strengthPercent: 100,
    basis: 'gPerL',
    when: VINEGAR.when,
  });
  const back = swapAcid(citric, 'vinegar', second.acids[0]!, second.bath.value / 1000);
  expect(back.value).toBeCloseTo(1, 1);
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
