import { lazy, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  amountOf,
  formatAmount,
  materialName,
  type Batch,
  strikeOut,
  type RecordState,
  type ShelfResponse,
} from '@ythrion/core';
import { AskedFor } from '../parts/AskedFor';
import type { Recorder } from '../batch/useRecord';

const AdditionForm = lazy(async () => ({ default: (await import('./AdditionForm')).AdditionForm }));

export interface AlsoAddedProps {
  batch: Batch;
  shelf: ShelfResponse;
  state: RecordState;
  recorder: Recorder;
  /** True where nothing is planned: the fields stand open, and what went in is told with the rest. */
  open?: boolean;
}

/** At the foot of the card: anything that went in and was not planned. */
export function AlsoAdded(props: AlsoAddedProps) {
  const { batch, shelf, state, recorder, open: always = false } = props;
  const [asked, setOpen] = useState(false);
  const open = asked || always;
  return (
    <Box
      component="section"
      aria-label={always ? 'Put in' : 'Also added'}
      sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}
    >
      {(always ? [] : state.added).map((event) => {
        const measured = amountOf(event.act);
        return (
          measured && (
            <Box key={event.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44 }}>
              <Typography sx={{ flex: 1 }}>
                ✓ Also added <strong>{event.written || formatAmount(measured.amount, measured.unit)}</strong>
                {event.written !== '' && ` (${formatAmount(measured.amount, measured.unit)})`} of{' '}
                {materialName(measured.material, [...shelf.dyes, ...batch.formulation.dyes])}
              </Typography>
              <Button size="small" onClick={() => void recorder.record(strikeOut(event))}>
                Take back
              </Button>
            </Box>
          )
        );
      })}
      {!open && (
        <Button fullWidth variant="outlined" size="large" onClick={() => setOpen(true)}>
          Also added …
        </Button>
      )}
      {open && (
        <AskedFor>
          <AdditionForm {...props} onDone={() => setOpen(false)} />
        </AskedFor>
      )}
    </Box>
  );
}
