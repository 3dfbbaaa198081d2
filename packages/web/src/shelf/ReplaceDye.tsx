import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { FieldError, replaceDye, usesDye, type Colorway, type Dye, type ShelfResponse } from '@ythrion/core';
import { saidOf } from '../api/client';
import { everythingReads } from '../parts/everythingReads';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { useColorways, useSaveColorway } from '../studio/queries';

/** Another dye in the place of this one, in every colorway that uses it: each gets a new version. */
export function ReplaceDye({ dye, shelf }: { dye: Dye; shelf: ShelfResponse }) {
  const colorways = useColorways();
  const save = useSaveColorway();
  const [to, setTo] = useState('');
  const [percent, setPercent] = useState(100);
  const [working, setWorking] = useState(false);
  const using = (colorways.data ?? []).filter((colorway) => !colorway.retired && usesDye(colorway, dye.id));
  if (using.length === 0) return null;
  const others = shelf.dyes.filter((other) => other.id !== dye.id && !other.retired);
  const count = using.length === 1 ? 'one colorway' : `${using.length} colorways`;
  const replace = async (): Promise<void> => {
    if (!everythingReads()) return;
    setWorking(true);
    let done = 0;
    try {
      for (const { savedAt: _, ...colorway } of using) {
        const next: Colorway = {
          ...replaceDye(colorway, dye.id, to, percent, shelf),
          version: colorway.version + 1,
        };
        await save.mutateAsync(next);
        done += 1;
      }
      say(`Replaced in ${count}, each as a new version.`);
    } catch (error) {
      const why = error instanceof FieldError ? error.message : saidOf(error);
      say(done === 0 ? why : `Replaced in ${done} of ${using.length}. ${why}`);
    }
    setWorking(false);
  };
  return (
    <Box
      component="section"
      aria-label="Used in"
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1, display: 'grid', gap: 1 }}
    >
      <Typography variant="body2">
        Used in {count}: {using.map(({ name }) => name).join(', ')}.
      </Typography>
      <Sentence>
        Replace it with{' '}
        <SaidChoice
          label="Replace with"
          value={to}
          options={[
            { value: '', label: 'another dye' },
            ...others.map(({ id, name, code }) => ({
              value: id,
              label: `${name} ${code}`.trim(),
              said: name,
            })),
          ]}
          onChange={setTo}
        />{' '}
        at <SaidAmount label="Share of its depth" kind="dyePercent" value={percent} onChange={setPercent} />{' '}
        of its depth
      </Sentence>
      <Box>
        <Button variant="outlined" disabled={to === '' || working} onClick={() => void replace()}>
          Replace in {count}
        </Button>
      </Box>
    </Box>
  );
}
