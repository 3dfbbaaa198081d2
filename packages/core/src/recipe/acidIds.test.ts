import { recipe } from '../../test/examples';
import { colorwaySchema, passSchema, recipeSchema } from './recipe';

const VINEGAR = { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' };

test('doses from before they had ids get the ones that their places stood for, and so does what names them', () => {
  const [pass] = recipe().passes;
  const old = {
    ...pass,
    acids: [VINEGAR, { ...VINEGAR, when: 'last' }],
    method: {
      kind: 'own way',
      steps: [
        { do: 'goods in', sharePercent: 100 },
        { do: 'acid', nth: 2 },
      ],
    },
  };
  const read = passSchema.parse(old);
  expect(read.acids.map(({ id, when }) => [id, when])).toEqual([
    ['acid1', 'start'],
    ['acid2', 'last'],
  ]);
  expect(read.method).toMatchObject({ steps: [{ do: 'goods in' }, { do: 'acid', acidId: 'acid2' }] });
  // Read again they stay what they are.
  expect(passSchema.parse(read)).toEqual(read);
  const colorway = colorwaySchema.parse({
    ...{ id: 'c', name: 'x', recipe: recipe() },
    asWritten: { 'passes.p1.acid': '2 tbsp', 'passes.p1.acid.1': '3 tsp', 'passes.p1.dyes.d1': '1 g' },
  });
  expect(colorway.asWritten).toEqual({
    'passes.p1.acid.acid1': '2 tbsp',
    'passes.p1.acid.acid2': '3 tsp',
    'passes.p1.dyes.d1': '1 g',
  });
  expect(colorwaySchema.parse(colorway)).toEqual(colorway);
});

test('two doses of one id are refused', () => {
  const [pass] = recipe().passes;
  const twice = {
    ...pass,
    acids: [
      { ...VINEGAR, id: 'a' },
      { ...VINEGAR, id: 'a' },
    ],
  };
  const read = recipeSchema.safeParse({ ...recipe(), passes: [twice] });
  expect(read.error?.issues[0]?.message).toBe('Every acid dose of a pass needs an id of its own.');
});
