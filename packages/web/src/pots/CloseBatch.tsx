import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { OUTCOMES, STANDINGS } from '@ythrion/core';
import { WordToggle } from '../parts/WordToggle';
import { TextLine } from '../parts/TextLine';
import type { useRecord } from './useRecord';

/** The verdict that closes a batch: how it came out, and whether it will be dyed again. */
export function CloseBatch({
  recorder,
  batchId,
}: {
  recorder: ReturnType<typeof useRecord>;
  batchId: string;
}) {
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number] | null>(null);
  const [standing, setStanding] = useState<(typeof STANDINGS)[number]>('trial');
  const [note, setNote] = useState('');
  const navigate = useNavigate();
  const close = async (): Promise<void> => {
    if (outcome !== null && (await recorder.record({ kind: 'closed', outcome, standing, note })))
      void navigate(`/book/${batchId}`);
  };
  return (
    <Box
      component="section"
      aria-label="Verdict"
      sx={{ px: { xs: 1.5, sm: 2 }, pt: 3, display: 'grid', gap: 1.5 }}
    >
      <Typography variant="h1" component="h2">
        Judge it dry, beside its target
      </Typography>
      <Typography variant="body2">
        Wet wool looks one to two steps darker. You can close now and judge again later.
      </Typography>
      <WordToggle label="How it came out" value={outcome} words={OUTCOMES} onChange={setOutcome} />
      <WordToggle label="What becomes of it" value={standing} words={STANDINGS} onChange={setStanding} />
      <TextLine
        label="In words"
        value={note}
        onChange={setNote}
        multiline
        maxLength={4000}
        placeholder="a little deeper than the card, level"
      />
      <Button
        variant="contained"
        size="large"
        disabled={outcome === null || recorder.busy}
        onClick={() => void close()}
      >
        Close the batch
      </Button>
    </Box>
  );
}
