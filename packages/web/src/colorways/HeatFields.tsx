import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { HeatProgram, Pass } from '@ythrion/core';
import { DraftAmount } from './DraftAmount';
import type { Draft, Written } from './useDraft';

/** How a pass is led hot: rise, temperature, hold, and what is topped up meanwhile. */
export function HeatFields({ draft, pass }: { draft: Draft; pass: Pass }) {
  const { heat } = pass;
  if (!heat) return null;
  const set = (changes: Partial<HeatProgram>, written: Written): void =>
    draft.changePass(pass.id, (now) => ({ heat: { ...(now.heat ?? heat), ...changes } }), written);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: '1fr 1fr', lg: '1fr 1fr 1fr auto' },
        alignItems: 'start',
      }}
    >
      <DraftAmount
        label="Heat to"
        kind="temperature"
        draft={draft}
        path={`passes.${pass.id}.heat.temperatureC`}
        value={heat.temperatureC}
        onChange={(temperatureC, written) => set({ temperatureC }, written)}
      />
      <DraftAmount
        label="Rise"
        kind="rampRate"
        draft={draft}
        path={`passes.${pass.id}.heat.rampCPerMin`}
        value={heat.rampCPerMin}
        onChange={(rampCPerMin, written) => set({ rampCPerMin }, written)}
      />
      <DraftAmount
        label="Hold hot"
        kind="minutes"
        draft={draft}
        path={`passes.${pass.id}.heat.minutes`}
        value={heat.minutes}
        onChange={(minutes, written) => set({ minutes }, written)}
      />
      <Button onClick={() => draft.changePass(pass.id, { heat: null })}>Leave it cold</Button>
    </Box>
  );
}
