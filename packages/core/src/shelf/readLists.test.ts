import { baseSchema } from './base';
import { dyeSchema } from './dye';
import { readBaseList, readDyeList } from './readLists';

test('dyes one a line, with or without code and strength', () =>
  expect(
    readDyeList(
      'Verdigris T1 1 %\n  - Bell Red R1\nGong Yellow\n4. Vault Blue, B1, 4%\n\nTower Gray #12\tG-7',
      [],
    ).map(({ name, code, strengthPercent, problem }) => [name, code, strengthPercent, problem]),
  ).toEqual([
    ['Verdigris', 'T1', 1, null],
    ['Bell Red', 'R1', null, null],
    ['Gong Yellow', '', null, null],
    ['Vault Blue', 'B1', 4, null],
    ['Tower Gray G-7', '#12', null, null],
  ]));

test('the head of a table is no dye; quotes and semicolons are no part of a name', () =>
  expect(
    readDyeList('name;code;strength\n"Bell Red";"R1";"1 %"', []).map(({ name, code }) => [name, code]),
  ).toEqual([['Bell Red', 'R1']]));

test('a name is drawn in the color it speaks of; any other in gray', () => {
  const [red, odd] = readDyeList('Bell Red\nNumber Nine', []);
  expect(red!.swatchHex).toBe('#b0202c');
  expect(odd!.swatchHex).toBe('#8a8a8a');
});

test('what is there already is not put there twice', () => {
  const listed = readDyeList('bell red\nVault Blue\nvault blue', ['Bell Red']);
  expect(listed.map(({ problem }) => problem === null)).toEqual([false, true, false]);
  expect(listed[0]!.problem).toMatch(/“bell red” is on the shelf or in the list already/);
});

test('bases with their fibers, and what was taken as usual', () =>
  expect(
    readBaseList(
      'Ratchet Sock 75% merino 25% nylon superwash 100 g\nTower Wool\nBell Silk, 100 % silk, 2 oz\nPendulum Lace non-superwash merino 50g L2',
      [],
    ).map(({ name, code, fibers, superwash, putUpGrams, taken }) => ({
      name,
      code,
      fibers: fibers.map(({ fiber, percent }) => `${percent} ${fiber}`).join(),
      superwash,
      grams: Math.round(putUpGrams),
      taken: taken.join(),
    })),
  ).toEqual([
    { name: 'Ratchet Sock', code: '', fibers: '75 merino,25 nylon', superwash: true, grams: 100, taken: '' },
    {
      name: 'Tower Wool',
      code: '',
      fibers: '100 wool',
      superwash: false,
      grams: 100,
      taken: '100 g a piece',
    },
    { name: 'Bell Silk', code: '', fibers: '100 silk', superwash: false, grams: 57, taken: '' },
    {
      name: 'Pendulum Lace merino',
      code: 'L2',
      fibers: '100 merino',
      superwash: false,
      grams: 50,
      taken: '',
    },
  ]));

test.each([
  ['Odd 60% merino 30% nylon', /add up to 90 %, not 100 %/],
  ['Odd 100% unobtainium', /“unobtainium” is no fiber known here/],
  ['75% merino 25% nylon', /has no name/],
])('“%s” is refused in words', (line, why) => expect(readBaseList(line, [])[0]!.problem).toMatch(why));

test('whatever is read without a problem can stand on the shelf', () => {
  for (const { name, code, swatchHex, problem } of readDyeList('Bell Red R1\nA\n' + 'x'.repeat(80), []))
    if (problem === null) expect(dyeSchema.safeParse({ id: 'd', name, code, swatchHex }).success).toBe(true);
  for (const { name, code, fibers, superwash, putUpGrams, problem } of readBaseList(
    'Tower Wool\nSock 80/20 90% wool 10% silk',
    [],
  ))
    if (problem === null)
      expect(baseSchema.safeParse({ id: 'b', name, code, fibers, superwash, putUpGrams }).success).toBe(true);
});
