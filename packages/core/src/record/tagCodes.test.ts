import { formulation } from '../../test/examples';
import { begunBatch } from '../../test/records';
import { codeOfTag, tagCodes } from './tagCodes';

test('one line of goods carries the code of its batch, its pieces a number', () =>
  expect(tagCodes(begunBatch(formulation()))).toEqual([
    { code: '26-001', goods: '2 × Sexton worsted', pieces: ['26-001-1', '26-001-2'] },
  ]));

test('several lines carry a letter each; one piece needs no number, hundreds are not told one by one', () => {
  const batch = begunBatch(
    formulation({
      goods: [
        { id: 'g1', baseId: 'wool', count: 1, gramsEach: 100 },
        { id: 'g2', baseId: 'sock', count: 3, gramsEach: 20 },
        { id: 'g3', baseId: 'silk', count: 200, gramsEach: 5 },
      ],
    }),
  );
  expect(tagCodes(batch)).toEqual([
    { code: '26-001-A', goods: '1 × Sexton worsted', pieces: [] },
    { code: '26-001-B', goods: '3 × Ratchet sock', pieces: ['26-001-B1', '26-001-B2', '26-001-B3'] },
    { code: '26-001-C', goods: '200 × Silk single', pieces: [] },
  ]);
});

test.each([
  ['26-014-A2', '26-014'],
  [' 26-014-b ', '26-014'],
  ['26-014-3', '26-014'],
  ['26-014', '26-014'],
  ['Vault Blue', 'Vault Blue'],
  ['26-0', '26-0'],
])('the tag “%s” is of %s', (typed, code) => expect(codeOfTag(typed)).toBe(code));

test('every code of a batch leads back to it', () => {
  const batch = begunBatch(formulation());
  for (const { code, pieces } of tagCodes(batch))
    for (const tag of [code, ...pieces]) expect(codeOfTag(tag)).toBe(batch.code);
});
