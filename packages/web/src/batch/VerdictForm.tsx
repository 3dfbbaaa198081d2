import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { answered, lineDone, OUTCOMES, KEPT_STANDINGS, type NewEvent, type OpenLine } from '@ythrion/core';
import { WordToggle } from '../parts/WordToggle';
import { TextLine } from '../parts/TextLine';
import type { CloseBatchProps } from './CloseBatch';

/** The verdict that closes a batch: how it came out, whether it will be dyed again, and what closing makes of lines nobody ticked. */
export function VerdictForm({ recorder, batchId, rest }: CloseBatchProps) {
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number] | null>(null);
  const [standing, setStanding] = useState<(typeof KEPT_STANDINGS)[number]>('trial');
  const [note, setNote] = useState('');
  const [missed, setMissed] = useState(false);
  const navigate = useNavigate();
  // What closing makes of a line stands until somebody says otherwise.
  const [otherwise, setOtherwise] = useState<ReadonlySet<string>>(new Set());
  const close = async (): Promise<void> => {
    if (outcome === null) {
      setMissed(true);
      return;
    }
    const events = rest.flatMap((open) => saidOf(open, otherwise.has(open.line.id)));
    if (!(await recorder.recordAll([...events, { kind: 'closed', outcome, standing, note }]))) return;
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
      {rest.length > 0 && (
        <Box
          component="ul"
          aria-label="Lines not ticked"
          sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}
        >
          {rest.map((open) => (
            <OpenLineRow
              key={open.line.id}
              open={open}
              otherwise={otherwise.has(open.line.id)}
              onChange={(says) => {
                const next = new Set(otherwise);
                if (says) next.add(open.line.id);
                else next.delete(open.line.id);
                setOtherwise(next);
              }}
            />
          ))}
        </Box>
      )}
      <WordToggle label="How it came out" value={outcome} words={OUTCOMES} onChange={setOutcome} />
      {missed && outcome === null && (
        <Typography role="alert" variant="body2" sx={{ fontWeight: 600 }}>
          ✕ Say how it came out. A first look at the wet goods will do: judge again when they are dry.
        </Typography>
      )}
      <WordToggle label="What becomes of it" value={standing} words={KEPT_STANDINGS} onChange={setStanding} />
      <TextLine
        label="In words"
        value={note}
        onChange={setNote}
        multiline
        maxLength={4000}
        placeholder="a little deeper than the card, level"
      />
      <Button variant="contained" size="large" onClick={() => void close()}>
        Close the batch
      </Button>
    </Box>
  );
}

/** What is said of a line that was open: whether it was done, or that it went in after all. */
function saidOf({ line, done }: OpenLine, otherwise: boolean): NewEvent[] {
  if (done) return [answered(line, otherwise ? 'not done' : 'done')];
  return otherwise ? [lineDone(line)] : [];
}

const WORDS = {
  done: ['done as planned', 'not done'],
  notIn: ['did not go in', 'went in as planned'],
} as const;

function OpenLineRow({
  open,
  otherwise,
  onChange,
}: {
  open: OpenLine;
  otherwise: boolean;
  onChange: (otherwise: boolean) => void;
}) {
  const words: readonly string[] = open.done ? WORDS.done : WORDS.notIn;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gap: 0.5,
        gridTemplateColumns: { xs: '1fr', sm: '1fr 320px' },
        alignItems: 'center',
      }}
    >
      <Typography>{open.title}</Typography>
      <WordToggle
        label={open.title}
        value={words[otherwise ? 1 : 0] ?? null}
        words={words}
        onChange={(word) => onChange(word === words[1])}
      />
    </Box>
  );
}
