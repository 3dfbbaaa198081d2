import { weighedSpoon } from './weighedSpoon';

test('ten level teaspoons of 28.4 g are 2.84 g each', () => {
  const one = weighedSpoon(28.4, 10);
  expect(one).toMatchObject({ value: 2.84, unit: 'g', sureness: 'exact' });
  expect(one.because).toBe('28.4 g ÷ 10 level teaspoons = 2.84 g');
});
