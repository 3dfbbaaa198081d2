import { useState } from 'react';
import Button from '@mui/material/Button';
import { INSTRUMENTS, type PhReading } from '@ythrion/core';
import { useReadings } from '../studio/useReadings';

/** The pH meter, live, its electrode in this pot; pressed again once it stands still, its reading is taken. */
export function PhMeter({ batchId, onTake }: { batchId: string; onTake: (ph: number) => void }) {
  const [on, setOn] = useState(false);
  const reading = useReadings<PhReading>(on ? INSTRUMENTS.phMeter(batchId) : null);
  if (!on)
    return (
      <Button variant="outlined" onClick={() => setOn(true)}>
        Read the meter
      </Button>
    );
  return (
    <Button
      variant={reading?.stable ? 'contained' : 'outlined'}
      disabled={!reading?.stable}
      onClick={() => {
        if (!reading) return;
        onTake(reading.pH);
        setOn(false);
      }}
    >
      {!reading
        ? 'Waiting for the meter'
        : reading.stable
          ? `Take pH ${reading.pH.toFixed(2)}`
          : `pH ${reading.pH.toFixed(2)}, moving`}
    </Button>
  );
}
