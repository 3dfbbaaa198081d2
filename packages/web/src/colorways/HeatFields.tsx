import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { HeatProgram, Pass } from '@ythrion/core';
import { QuantityField } from '../parts/QuantityField';
import type { Draft } from './useDraft';

/** How a pass is led hot: rise, temperature, hold, and what is topped up meanwhile. */
export function HeatFields({ draft, pass }: { draft: Draft; pass: Pass }) {
  const { heat } = pass;
  if (!heat) return null;
  const set = (changes: Partial<HeatProgram>): void =>
    draft.changePass(pass.id, (now) => ({ heat: { ...(now.heat ?? heat), ...changes } }));
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: '1fr 1fr', lg: '1fr 1fr 1fr auto' },
        alignItems: 'start',
      }}
    >
      <QuantityField
        label="Heat to"
        kind="temperature"
        value={heat.temperatureC}
        onChange={(temperatureC) => set({ temperatureC })}
      />
      <QuantityField
        label="Rise"
        kind="rampRate"
        value={heat.rampCPerMin}
        onChange={(rampCPerMin) => set({ rampCPerMin })}
      />
      <QuantityField
        label="Hold hot"
        kind="minutes"
        value={heat.minutes}
        onChange={(minutes) => set({ minutes })}
      />
      <Button onClick={() => draft.changePass(pass.id, { heat: null })}>Leave it cold</Button>
    </Box>
  );
}
