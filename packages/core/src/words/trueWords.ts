import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { methodFacts, sectionsOf } from '../method';
import { liesWords } from '../method/arranged';
import type { Stretch } from '../process/state';
import { dyeName } from '../record/dyeTotals';
import type { TrueDye, TruePass, TrueRecipe, TrueWait } from '../record/trueRecipe/trueRecipe';
import { isOpen } from '../record/open/isOpen';
import { formatAmount } from '../units/formatQuantity';
import { titleOf, type Reading } from './lineWords';

/** One line of a record summed up: what, how much, and a word beside it. */
export interface TrueLine {
  key: string;
  what: string;
  figure: Figure | null;
  note: string | null;
}

/** A pass of a record, or its set, in words. */
export interface TruePart {
  key: string;
  title: string;
  lines: TrueLine[];
}

/** A record summed up, pass by pass, and the heat that set it. */
export function trueWords({ passes, catchUp, set }: TrueRecipe, reading: Reading): TruePart[] {
  const waits = set.waits.flatMap((wait) => waitLines(wait, reading));
  return [
    ...passes.map((pass, i) => passPart(pass, passes.length > 1 ? `Pass ${i + 1}, ` : '', reading)),
    ...catchUp.map(({ name, grams, dyes }, i): TruePart => ({
      key: `catch-up ${i}`,
      title: `${name}, ${formatAmount(grams, 'g')}, to catch what was left`,
      lines:
        dyes.length === 0
          ? [{ key: 'none', what: 'Nothing was said to be left for it', figure: null, note: null }]
          : dyes.map((dye) => ({
              key: dye.dyeId,
              what: dyeName(dye.dyeId, reading.dyes),
              figure: dye.grams,
              note: 'counts in no depth',
            })),
    })),
    ...(waits.length === 0 ? [] : [{ key: 'set', title: 'Set', lines: waits }]),
  ];
}

function passPart(pass: TruePass, which: string, reading: Reading): TruePart {
  const lies = pass.lies && liesWords(pass.lies);
  const title = `${which}${methodFacts(pass.kind).label}${lies === null ? '' : `, ${lies}`}`;
  return {
    key: pass.id,
    title: title.charAt(0).toUpperCase() + title.slice(1),
    lines: [
      ...pass.waits.filter(isSoak).flatMap((wait) => waitLines(wait, reading)),
      ...pass.dyes.flatMap((dye, i): TrueLine[] => {
        const where = placeWords(dye, pass.id, reading);
        // On all the goods of the only pass its depth is told already.
        if (which === '' && where === null) return [];
        return [
          {
            key: `dye ${i}`,
            what: `${dyeName(dye.dyeId, reading.dyes)}${where === null ? '' : `, ${where}`}`,
            figure: dye.depth,
            note: dye.line === null && !isOpen(reading.batch.card) ? 'not planned' : null,
          },
        ];
      }),
      ...amountLine('Water', pass.water),
      ...pass.acids.map(({ line, amount, additions }, i): TrueLine => ({
        key: `acid ${i}`,
        what: titleOf(line, reading),
        figure: amount,
        note: additions > 1 ? `${additions} additions` : null,
      })),
      ...amountLine('Topped up with water', pass.toppedUp),
      ...pass.waits.filter((wait) => !isSoak(wait)).flatMap((wait) => waitLines(wait, reading)),
      ...(pass.toCome.length === 0
        ? []
        : [
            {
              key: 'to come',
              what: `Still to come: ${pass.toCome.map((line) => titleOf(line, reading)).join('; ')}`,
              figure: null,
              note: null,
            },
          ]),
    ],
  };
}

const isSoak = ({ line }: TrueWait): boolean => line.act.purpose === 'soak';

const amountLine = (what: string, amount: Figure | null): TrueLine[] =>
  amount ? [{ key: what, what, figure: amount, note: null }] : [];

/** The place a dye reached: its section by name, or how much of the goods; null for all of them. */
function placeWords({ line, stretch }: TrueDye, passId: string, { batch }: Reading): string | null {
  const pass = batch.formulation.recipe.passes.find(({ id }) => id === passId);
  const sections = pass ? sectionsOf(pass.method) : [];
  const planned = pass?.dyes.find(({ id }) => id === line);
  const section = sections.find(({ id }) => id === planned?.sectionId);
  if (section && stretch) return section.name;
  return stretch && stretchWords(stretch);
}

function stretchWords({ axis, from, to }: Stretch): string {
  const percent = (share: number): string => plainNumber(Math.round(1000 * share) / 10);
  const span = from === 0 ? `${percent(to)} %` : `${percent(from)} to ${percent(to)} %`;
  return axis === 'along'
    ? `${span} of the length`
    : axis === 'layer'
      ? `${span} of the pile`
      : `${span} of the goods`;
}

/** A wait with what was meant of it, and the time by the clock where that was another. */
function waitLines({ line, more, meant, real }: TrueWait, reading: Reading): TrueLine[] {
  const minutes = meant ?? real;
  if (line.quiet || minutes === null) return [];
  const clock = real !== null && meant !== null && Math.abs(real - meant) >= 0.5;
  return [
    {
      key: line.id,
      what: more && !isOpen(reading.batch.card) ? 'Waited longer' : titleOf(line, reading),
      figure: figure(minutes, 'min', () => (meant === null ? 'by the clock' : 'as it was meant')),
      note: clock ? `${formatAmount(real, 'min')} by the clock` : null,
    },
  ];
}
