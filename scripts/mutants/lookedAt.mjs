/**
 * Numbers that no test need notice, looked at one by one: moved by a fifth, nothing that anybody sees is different.
 * @type {readonly { file: string; line: RegExp; why: string }[]}
 */
export const LOOKED_AT = [
  {
    file: 'acid/bathPh.ts',
    line: /STRENGTH_ROUNDS|NEWTON_ROUNDS|TOLERANCE|FIRST_GUESS|LONGEST_STEP|near [-+] 0\.12|< 1e-10/,
    why: 'how the search for the balance goes; where it ends is the same to 1e-9',
  },
  {
    file: 'acid/bathPh.ts',
    line: /spread [-+]=/,
    why: 'the slope that the search steps by; where it ends is the same',
  },
  {
    file: 'acid/bracketedRoot.ts',
    line: /0\.5|200|2 \*|\/ 2|\*\* 2/,
    why: 'how the search halves; where it ends is the same',
  },
  { file: 'amounts/chooseTool.ts', line: /MOST_FILLS = 4/, why: '4.8 whole fills are four' },
  { file: 'amounts/chooseTool.ts', line: /1e-9/, why: 'dust of binary numbers, far below any mark' },
  { file: 'amounts/chooseTool.ts', line: /0 \| 1 \| 2|\? 2 :/, why: 'only the order of the three matters' },
  { file: 'process/give.ts', line: /1e-9|1e-12/, why: 'dust of binary numbers' },
  { file: 'process/take.ts', line: /1e-9/, why: 'dust of binary numbers' },
  { file: 'method/painted.ts', line: /1e-9/, why: 'dust of binary numbers' },
  {
    file: 'heat/bundle.ts',
    line: /halving < 24|high = 10|fourier < 0\.02/,
    why: 'how the search goes; below the least that is reckoned the center has not noticed, to 0.007',
  },
  { file: 'heat/planHeat.ts', line: /1e-9/, why: 'dust of binary numbers' },
];

/**
 * Lines that Stryker leaves alone, looked at one by one: turned round, a search takes other steps to the same place, and
 * explanations put nothing else into the world.
 * @type {readonly { file: string; line: RegExp; why: string }[]}
 */
export const NOT_TURNED = [
  { file: 'acid/bracketedRoot.ts', line: /./, why: 'how the search halves; where it ends is held to 1e-9' },
  {
    file: 'acid/bathPh.ts',
    line: /settled|_ROUNDS|spread [-+]=|LOWEST_PH|HIGHEST_PH|airCo2 > 0|near [-+]|TOLERANCE/,
    why: 'how the search for the balance goes; no carbon dioxide is none either way',
  },
  { file: 'heat/bundle.ts', line: /halving|> wanted|fourier < 0\.02/, why: 'how the search halves' },
  { file: 'acid/expectedPh.ts', line: /^\s*\(\) =>/, why: 'words' },
];
