import { readBaseList, readDyeList } from '../shelf/readLists';
import { USUAL_POTS } from '../shelf/usualPots';
import { readDocument } from './readDocument';
import { startStudio } from './startStudio';

let count = 0;
const newId = (): string => `s${(count += 1)}`;
const DYES = readDyeList('Verdigris T1\nBell Red R1 4 %\nVerdigris', []);
const BASES = readBaseList('Tower Wool\nOdd 60% merino', []);
const start = (jars: { strengthPercent: number; volumeMl: number } | null) =>
  startStudio({ dyes: DYES, bases: BASES, pots: USUAL_POTS.slice(0, 2), jars }, newId, '2026-11-26');

test('a studio out of lists is a document that can be read; what could not be read is left out', () => {
  const made = start({ strengthPercent: 1, volumeMl: 500 });
  expect(readDocument(JSON.parse(JSON.stringify(made)))).toMatchObject({
    dyes: [{ name: 'Verdigris' }, { name: 'Bell Red' }],
  });
  expect([made.dyes, made.bases, made.pots].map(({ length }) => length)).toEqual([2, 1, 2]);
});

test('a jar for each at one strength, but where its line says another', () =>
  expect(
    start({ strengthPercent: 1, volumeMl: 500 }).stocks.map(({ strengthPercent, volumeMl, code, madeOn }) => [
      strengthPercent,
      volumeMl,
      code,
      madeOn,
    ]),
  ).toEqual([
    [1, 500, 'T1', '2026-11-26'],
    [4, 500, 'R1', '2026-11-26'],
  ]));

test('or jars only where a line says so: of 5 g, 125 mL at 4 %', () =>
  expect(start(null).stocks.map(({ strengthPercent, volumeMl }) => [strengthPercent, volumeMl])).toEqual([
    [4, 125],
  ]));
