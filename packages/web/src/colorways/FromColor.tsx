import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  inksOf,
  jarFor,
  likelyPrimaries,
  printOfScreen,
  type Pass,
  type PrintValues,
  type ShelfResponse,
} from '@ythrion/core';
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
  const [primaries, setPrimaries] = useState(() => likelyPrimaries(shelf.dyes));
  const [full, setFull] = useState(pass.printDepthPercent);
  const inks = inksOf(values).filter((ink) => primaries[ink] !== null);
  const use = (): void => {
    draft.changePass(pass.id, {
      printDepthPercent: full,
      dyes: inks.map((ink) => ({
        id: newId(),
        dyeId: primaries[ink] ?? '',
        entry: { school: 'print' as const, inkPercent: Number(values[ink].toFixed(1)) },
        stockId: jarFor(shelf, primaries[ink] ?? ''),
        sectionId: pass.dyes[0]?.sectionId ?? null,
      })),
    });
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
        <SaidAmount label="100 % ink is" kind="dos" value={full} onChange={setFull} /> depth
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
