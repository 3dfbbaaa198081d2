import { lazy, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { dropped, type Batch } from '@ythrion/core';
import { AskedFor } from '../parts/AskedFor';
import type { Change } from '../batch/useChange';
import type { Recorder } from '../batch/useRecord';
import type { ChangeProps } from './changeProps';

// Planning is loaded when somebody changes a plan: the card does without it.
const AddPass = lazy(async () => ({ default: (await import('./AddPass')).AddPass }));
const AddStep = lazy(async () => ({ default: (await import('./AddStep')).AddStep }));
const ShareSet = lazy(async () => ({ default: (await import('./ShareSet')).ShareSet }));
const PanMap = lazy(async () => ({ default: (await import('../batch/PanMap')).PanMap }));
const OtherVessel = lazy(async () => ({ default: (await import('./OtherVessel')).OtherVessel }));

const CHANGES = {
  step: 'A step more',
  pass: 'A pass more',
  vessel: 'Other vessel or set',
  share: 'Share the set',
  map: 'Who lies where',
  drop: 'Begun by mistake',
} as const;
type What = keyof typeof CHANGES;

export interface ChangePlanProps extends Omit<ChangeProps, 'onDone'> {
  recorder: Recorder;
  onGoodsIn: () => void;
}

/** What can be changed about what is still to come, besides its steps one by one. */
export function ChangePlan({ batch, state, shelf, change, recorder, onGoodsIn }: ChangePlanProps) {
  const [what, setWhat] = useState<What | null>(null);
  const done = (): void => setWhat(null);
  const common = { batch, state, shelf, change, onDone: done };
  return (
    <Box component="section" aria-label="Change the plan" sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}>
      <Typography variant="h2">Change the plan</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        <Button variant="outlined" onClick={onGoodsIn}>
          More goods
        </Button>
        {(Object.keys(CHANGES) as What[]).map((one) => (
          <Button
            key={one}
            variant={one === what ? 'contained' : 'outlined'}
            aria-expanded={one === what}
            onClick={() => setWhat(one === what ? null : one)}
          >
            {CHANGES[one]}
          </Button>
        ))}
      </Box>
      <AskedFor key={what}>
        {what === 'step' && <AddStep {...common} />}
        {what === 'pass' && <AddPass {...common} />}
        {what === 'vessel' && <OtherVessel {...common} />}
        {what === 'share' && <ShareSet {...common} />}
        {what === 'map' && <PanMap batch={batch} recorder={recorder} onDone={done} />}
      </AskedFor>
      {what === 'drop' && <Drop batch={batch} change={change} />}
    </Box>
  );
}

/** A batch that should never have been begun. */
function Drop({ batch, change }: { batch: Batch; change: Change }) {
  const navigate = useNavigate();
  const poured = batch.events.some(({ kind }) => kind === 'act');
  const drop = async (): Promise<void> => {
    if (await change(() => dropped(batch), `${batch.name}: dropped.`)) void navigate('/pots');
  };
  return (
    <Box>
      <Typography sx={{ mb: 1 }}>
        {poured
          ? 'Every pour of this batch is taken back and its jars get it back: only if nothing really went in. Goods that are wet with dye are better closed as not right.'
          : 'Nothing was poured. It leaves the pots; its number stays in the Book as dropped.'}
      </Typography>
      <Button variant="contained" size="large" onClick={() => void drop()}>
        Drop this batch
      </Button>
    </Box>
  );
}
