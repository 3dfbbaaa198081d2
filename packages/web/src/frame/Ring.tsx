import { memo, useEffect } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { dueOf, heard, kindWord, type BatchResponse, type Due } from '@ythrion/core';
import { usePot } from '../batch/usePot';
import { useRecord } from '../batch/useRecord';
import { Notice } from '../parts/Notice';
import { useNow } from '../parts/useNow';
import { showNote } from '../pots/notify';
import { ring } from './bell';

/** Rings for a pot whose wait is over, on every screen, until somebody says on any device that they heard. */
export const Ring = memo(function Ring({ batch }: { batch: BatchResponse }) {
  const { state } = usePot(batch);
  const due = dueOf(batch, state, useNow(5));
  return due ? <Ringing key={due.begunBy} batch={batch} due={due} /> : null;
});

function Ringing({ batch, due }: { batch: BatchResponse; due: Due }) {
  const recorder = useRecord(batch);
  const what = `${batch.name}: ${kindWord(due.line.line)}`;
  useEffect(() => {
    const quiet = ring();
    const takeNote = showNote(`Due now. ${what}`, due.begunBy);
    return () => {
      quiet();
      takeNote();
    };
  }, [due.begunBy, what]);
  return (
    <Notice>
      <Box
        role="alert"
        sx={{
          bgcolor: 'background.default',
          borderTop: 5,
          borderColor: (theme) => theme.vars?.palette.due,
          px: { xs: 1.5, sm: 2 },
          py: 1,
          display: 'flex',
          gap: 1,
          alignItems: 'center',
          flexWrap: 'wrap',
        }}
      >
        <Typography sx={{ flex: '1 1 200px' }}>
          <strong>Due now.</strong> <Link to={`/pots/${batch.id}`}>{what}</Link>
        </Typography>
        <Button variant="contained" size="large" onClick={() => void recorder.record(heard(due))}>
          I hear it
        </Button>
      </Box>
    </Notice>
  );
}
