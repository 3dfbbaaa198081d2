import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { soFar, type Batch, type ShelfResponse } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';

/** The running total at a pot, in the dyer's own measure: what is in by now. */
export function InSoFar({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  const { dyes, acids } = useMemo(() => soFar(batch, shelf.dyes), [batch, shelf.dyes]);
  if (dyes.length === 0 && acids.length === 0) return null;
  return (
    <Box component="section" aria-label="In so far" sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}>
      <Typography variant="h2">In so far</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, '& button': { minHeight: 44 } }}>
        {dyes.map(({ dyeId, dyeName, poured, grams, dos, atLeast }) => (
          <li key={dyeId}>
            {dyeName} {atLeast && 'at least '}
            <FigureText figure={poured ?? grams} name={`${dyeName} so far`} px={20} />
            {' · '}
            <FigureText figure={dos} name={`Depth of ${dyeName} so far`} />
          </li>
        ))}
        {acids.map(({ name, amount }) => (
          <li key={name}>
            {name} <FigureText figure={amount} name={`${name} so far`} px={20} />
          </li>
        ))}
      </Box>
    </Box>
  );
}
