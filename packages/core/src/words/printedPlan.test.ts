import { formulation } from '../../test/examples';
import { planFormulation } from '../plan/plan';
import { printedPlan } from './printedPlan';

test('a plan is printed with its acts in words, and without the states between them', () => {
  const made = formulation();
  const printed = printedPlan(made, planFormulation(made));
  expect(printed.lines.flatMap(({ words }) => (words ? [words.title] : []))).toEqual([
    'Wet out the goods in plain water with a drop of wetting agent',
    'Run water into the pot',
    'Pour Vault Blue 1 %',
    'Pour Bell Red 1 %',
    'Add white vinegar to the bath',
    'Lift the goods in, open, and stir',
    'Heat slowly to 88 °C',
    'Hold at 88 °C, simmer hold',
    'Cool in place to 40 °C; color is still moving onto the fiber',
    'Rinse cool, one drop of dish soap as the bleed test',
    'Spin and hang to dry',
  ]);
  const text = JSON.stringify(printed);
  expect(text).not.toMatch(/"(before|after|inBath|vessels)":/);
  expect(text.length).toBeLessThan(40_000);
});
