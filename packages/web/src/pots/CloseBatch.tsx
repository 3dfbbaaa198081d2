import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { OUTCOMES, STANDINGS } from '@ythrion/core';
import { WordToggle } from '../parts/WordToggle';
import { TextLine } from '../parts/TextLine';
import type { useRecord } from './useRecord';

/**
 * The verdict that closes a batch: how it came out, and whether it will be dyed again. With lines left unticked it stands
 * back until it is asked for, and says what closing makes of them.
 */
export function CloseBatch({
  recorder,
  batchId,
  rest,
}: {
  recorder: ReturnType<typeof useRecord>;
  batchId: string;
  /** What closing makes of lines that nobody ticked, in words; none when all are. */
  rest: readonly string[];
}) {
  const [asked, setAsked] = useState(false);
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number] | null>(null);
  const [standing, setStanding] = useState<(typeof STANDINGS)[number]>('trial');
  const [note, setNote] = useState('');
  const navigate = useNavigate();
  const close = async (): Promise<void> => {
    if (outcome !== null && (await recorder.record({ kind: 'closed', outcome, standing, note })))
      void navigate(`/book/${batchId}`);
  };
  if (rest.length > 0 && !asked)
    return (
      <Box sx={{ px: { xs: 1.5, sm: 2 }, pt: 3 }}>
        <Button size="large" onClick={() => setAsked(true)}>
          Close without ticking the rest …
        </Button>
      </Box>
    );
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
      {rest.map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
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
