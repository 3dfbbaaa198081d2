import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  dyePath,
  dyeSaid,
  formatAmount,
  inkInSpoons,
  inksOf,
  jarForInk,
  jarWords,
  primariesOf,
  printOfScreen,
  spoonSetOf,
  type InkInSpoons,
  type Pass,
  type PrintValues,
  type ShelfResponse,
  type SpoonSystem,
  type Stock,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutStudio } from '../studio/queries';
import { say } from '../parts/say';
import { newId } from '../parts/newId';
import { capital } from '../sentence/capital';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidColor } from '../sentence/SaidColor';
import { Sentence } from '../sentence/Sentence';
import type { Draft } from './useDraft';

const INKS = ['cyan', 'magenta', 'yellow', 'black'] as const;

export interface FromColorProps {
  draft: Draft;
  pass: Pass;
  shelf: ShelfResponse;
  onDone: () => void;
}

/** Four primaries from print percentages, or from a color on a screen: a place to start. */
export function FromColor({ draft, pass, shelf, onDone }: FromColorProps) {
  const [hex, setHex] = useState('#4f7a6a');
  const [values, setValues] = useState<PrintValues>(() => printOfScreen('#4f7a6a'));
  const { studio } = shelf;
  const [primaries, setPrimaries] = useState(() => primariesOf(shelf.dyes, studio.habits.primaries));
  const [full, setFull] = useState<Full>({ by: 'depth', percent: pass.printDepthPercent, written: '' });
  const put = usePutStudio();
  const spoons = spoonSetOf(studio);
  const inSpoonsOf = (ink: (typeof INKS)[number]): InkInSpoons | null =>
    full.by === 'spoons' ? inkInSpoons(values[ink], full.teaspoons, spoons) : null;
  const jarOf = (ink: (typeof INKS)[number]): Stock | null => jarForInk(shelf, primaries[ink] ?? '');
  // Spoons of stock want a jar to come from.
  const inks = inksOf(values).filter(
    (ink) =>
      primaries[ink] !== null &&
      (full.by === 'depth' || (jarOf(ink) !== null && (inSpoonsOf(ink)?.said ?? null) !== null)),
  );
  const use = (): void => {
    const lines = inks.map((ink) => {
      const inSpoons = inSpoonsOf(ink);
      return {
        written: inSpoons?.said?.words ?? '',
        line: {
          id: newId(),
          dyeId: primaries[ink] ?? '',
          entry: inSpoons?.entry ?? { school: 'print' as const, inkPercent: Number(values[ink].toFixed(1)) },
          stockId: jarOf(ink)?.id ?? null,
          sectionId: pass.dyes[0]?.sectionId ?? null,
        },
      };
    });
    draft.changePass(
      pass.id,
      {
        ...(full.by === 'depth' && { printDepthPercent: full.percent }),
        dyes: lines.map(({ line }) => line),
      },
      Object.fromEntries(lines.map(({ line, written }) => [dyePath(line.id, line.entry.school), written])),
    );
    // The studio’s primaries are those it took last; a colorway is none the worse where that could not be kept.
    put
      .mutateAsync({ ...studio, habits: { ...studio.habits, primaries } })
      .catch((error: unknown) => say(saidOf(error)));
    onDone();
  };
  return (
    <Box
      component="section"
      aria-label="From print values"
      sx={{ border: 1, borderColor: 'divider', p: 1, display: 'grid', gap: 1 }}
    >
      <Sentence>
        Print values of{' '}
        <SaidColor
          label="Screen color"
          value={hex}
          onChange={(next) => {
            setHex(next);
            setValues(printOfScreen(next));
          }}
        />
        , where 100 % of an ink is{' '}
        <SaidAmount
          label="100 % ink is"
          kind={full.by === 'depth' ? 'dos' : 'teaspoons'}
          value={full.by === 'depth' ? full.percent : full.teaspoons}
          written={full.written}
          onChange={(value, written) =>
            setFull(
              full.by === 'depth'
                ? { by: 'depth', percent: value, written }
                : { by: 'spoons', teaspoons: value, written },
            )
          }
          onUnreadable={(text) => {
            const said = fullSaid(text, full.by, studio.spoons);
            if (said) setFull({ ...said, written: text });
          }}
        />{' '}
        {full.by === 'depth' ? 'depth' : 'of stock'}
      </Sentence>
      {INKS.map((ink) => (
        <Sentence key={ink}>
          {capital(ink)}{' '}
          <SaidAmount
            label={capital(ink)}
            kind="inkPercent"
            value={Number(values[ink].toFixed(1))}
            onChange={(value) => setValues((now) => ({ ...now, [ink]: value }))}
          />{' '}
          by{' '}
          <SaidChoice
            label={`Dye for ${ink}`}
            value={primaries[ink] ?? ''}
            options={[
              { value: '', label: 'none', said: 'no dye' },
              ...shelf.dyes
                .filter((dye) => !dye.retired)
                .map((dye) => ({ value: dye.id, label: `${dye.name} ${dye.code}`.trim(), said: dye.name })),
            ]}
            onChange={(id) => setPrimaries((now) => ({ ...now, [ink]: id === '' ? null : id }))}
          />
          <InkWords of={inSpoonsOf(ink)} jar={jarOf(ink)} />
        </Sentence>
      ))}
      <Button variant="contained" disabled={inks.length === 0} onClick={use} sx={{ justifySelf: 'start' }}>
        Use these as the dyes
      </Button>
      <Typography variant="body2" color="text.secondary">
        Print values round coarsely and know nothing of wool. They replace the dyes of this pass; undo brings
        those back.
      </Typography>
    </Box>
  );
}

/** What 100 % of an ink is: a depth, or so many spoons of stock. */
type Full = { written: string } & ({ by: 'depth'; percent: number } | { by: 'spoons'; teaspoons: number });

/** What 100 % is where the measure says itself which of the two it goes by. */
function fullSaid(
  text: string,
  by: Full['by'],
  spoons: SpoonSystem,
): { by: 'depth'; percent: number } | { by: 'spoons'; teaspoons: number } | null {
  const said = dyeSaid(
    text,
    {
      entry: by === 'depth' ? { school: 'depth', percent: 1 } : { school: 'stock spoons', teaspoons: 1 },
      stockId: 'stock',
    },
    { spoons },
  );
  if (said?.school === 'depth') return { by: 'depth', percent: said.percent };
  return said?.school === 'stock spoons' ? { by: 'spoons', teaspoons: said.teaspoons } : null;
}

/** An ink in spoons, with what it comes to exactly. */
function InkWords({ of, jar }: { of: InkInSpoons | null; jar: Stock | null }) {
  if (!of || of.teaspoons === 0) return null;
  return (
    <Typography component="span" variant="body2">
      {' '}
      {!jar
        ? 'no jar of it on the shelf'
        : of.said
          ? `${of.said.words} of ${jarWords(jar)}, exactly ${formatAmount(of.tablespoons, 'tbsp')}`
          : 'too little for your smallest spoon'}
    </Typography>
  );
}
