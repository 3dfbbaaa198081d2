import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  BATH_READINGS,
  clockTime,
  CORE_READINGS,
  formatAmount,
  looked,
  waitsInBath,
  type Batch,
  type RecordState,
} from '@ythrion/core';
import { QuantityField } from '../parts/QuantityField';
import { TextLine } from '../parts/TextLine';
import { PhAdviceLine } from './PhAdviceLine';
import { PhMeter } from './PhMeter';
import type { Recorder } from './useRecord';

/** What the bath looks like now, one tap each, and a note in words. */
export function CheckBar({
  recorder,
  state,
  batch,
}: {
  recorder: Recorder;
  state: RecordState;
  batch: Batch;
}) {
  const [note, setNote] = useState('');
  const [ph, setPh] = useState<number>();
  const keepPh = async (): Promise<void> => {
    if (ph === undefined) return;
    const kept = await recorder.record(looked(state.pass, 'bath', formatAmount(ph, 'pH'), ph), 'pH kept.');
    if (kept) setPh(undefined);
  };
  const keepNote = async (): Promise<void> => {
    if (note.trim() !== '' && (await recorder.record({ kind: 'noted', text: note.trim() }, 'Noted.')))
      setNote('');
  };
  return (
    <Box component="section" aria-label="Checks" sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}>
      {!(state.current?.status === 'running' && waitsInBath(state.current.line)) && (
        <Looks
          title="The bath looks"
          readings={BATH_READINGS}
          onLook={(reading) => void recorder.record(looked(state.pass, 'bath', reading), `Bath ${reading}.`)}
        />
      )}
      <Looks
        title="A squeezed drop is"
        said="drop "
        readings={BATH_READINGS}
        onLook={(reading) => void recorder.record(looked(state.pass, 'goods', reading), `Drop ${reading}.`)}
      />
      <Looks
        title="The middle of the goods"
        readings={CORE_READINGS}
        onLook={(reading) => void recorder.record(looked(state.pass, 'core', reading), `Middle: ${reading}.`)}
      />
      {state.looks.map(
        ({ id, at, act }) =>
          act.kind === 'look' && (
            <Typography variant="body2" key={id}>
              {clockTime(at)} {act.of} {act.answer}
            </Typography>
          ),
      )}
      {state.notes.map((entry) => (
        <Typography variant="body2" key={entry.id}>
          {clockTime(entry.at)} {entry.text}
        </Typography>
      ))}
      <Box
        sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr auto auto' }, mt: 1 }}
      >
        <QuantityField
          label="Measured pH"
          kind="ph"
          value={ph}
          onChange={setPh}
          onUnreadable={() => setPh(undefined)}
          onEnter={() => void keepPh()}
        />
        <PhMeter batchId={batch.id} onTake={setPh} />
        <Button variant="outlined" disabled={ph === undefined} onClick={() => void keepPh()}>
          Keep the pH
        </Button>
      </Box>
      <PhAdviceLine batch={batch} />
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', mt: 1 }}>
        <TextLine label="Note" value={note} onChange={setNote} maxLength={4000} />
        <Button variant="outlined" disabled={note.trim() === ''} onClick={() => void keepNote()}>
          Keep
        </Button>
      </Box>
    </Box>
  );
}

/** A question with its answers, one tap each. */
function Looks<T extends string>({
  title,
  said = '',
  readings,
  onLook,
}: {
  title: string;
  /** What an answer is of, for whoever hears it by itself. */
  said?: string;
  readings: readonly T[];
  onLook: (reading: T) => void;
}) {
  return (
    <>
      <Typography variant="h2">{title}</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', my: 1 }}>
        {readings.map((reading) => (
          <Button
            key={reading}
            variant="outlined"
            aria-label={`${said}${reading}`}
            sx={{ minWidth: 92 }}
            onClick={() => onLook(reading)}
          >
            {reading}
          </Button>
        ))}
      </Box>
    </>
  );
}
