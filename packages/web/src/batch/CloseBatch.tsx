import { lazy, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { OpenLine } from '@ythrion/core';
import type { Recorder } from './useRecord';
import { AskedFor } from '../parts/AskedFor';

const VerdictForm = lazy(async () => ({ default: (await import('./VerdictForm')).VerdictForm }));

export interface CloseBatchProps {
  recorder: Recorder;
  batchId: string;
  /** Lines that nobody ticked; none when all are. */
  rest: readonly OpenLine[];
}

/** The verdict that closes a batch. With lines left unticked it stands back until it is asked for. */
export function CloseBatch(props: CloseBatchProps) {
  const [asked, setAsked] = useState(false);
  if (props.rest.length > 0 && !asked)
    return (
      <Box sx={{ px: { xs: 1.5, sm: 2 }, pt: 3 }}>
        <Button size="large" onClick={() => setAsked(true)}>
          Close without ticking the rest …
        </Button>
      </Box>
    );
  return (
    <AskedFor>
      <VerdictForm {...props} />
    </AskedFor>
  );
}
