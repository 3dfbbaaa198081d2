import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { API, INSTRUMENTS, type ScaleReading } from '@ythrion/core';
import { ask } from '../api/client';
import { useReadings } from '../studio/useReadings';

export interface ScaleReaderProps {
  /** Powder still wished, g: what the simulated hand aims at. */
  targetGrams: number;
  /** Takes a reading that stands still. */
  onTake: (grams: number) => void;
}

/** The scale, live: tare it, lay powder on, and take what it settles on. This one is simulated, hand and all. */
export function ScaleReader({ targetGrams, onTake }: ScaleReaderProps) {
  const [on, setOn] = useState(false);
  const reading = useReadings<ScaleReading>(on ? INSTRUMENTS.scale : null);
  const hand = (grams: number | null): void => void ask(`${API.scale}/hand`, 'POST', { grams });
  const missing = reading ? targetGrams - reading.grams : targetGrams;
  if (!on)
    return (
      <Button variant="outlined" onClick={() => setOn(true)}>
        Weigh on the scale
      </Button>
    );
  return (
    <Box component="section" aria-label="Scale" sx={{ border: 2, p: 1.5, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography variant="pour" component="output" aria-live="off" sx={{ minWidth: 180 }}>
          {reading ? reading.grams.toFixed(2) : '–.––'}
          <Box component="span" sx={{ fontSize: 24, ml: 1 }}>
            g
          </Box>
        </Typography>
        <Typography role="status">
          {!reading
            ? 'Waiting for the scale.'
            : reading.stable
              ? missing > 0.005
                ? `Stands still. ${missing.toFixed(2)} g to go.`
                : missing < -0.005
                  ? `Stands still, ${(-missing).toFixed(2)} g over. Leave it: the water makes up for it.`
                  : 'Stands still, on target.'
              : 'Moving …'}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" onClick={() => void ask(`${API.scale}/tare`, 'POST', {})}>
          Tare
        </Button>
        <Button
          variant="outlined"
          disabled={missing <= 0}
          onClick={() => hand(Math.max(0.02, missing * 0.8))}
        >
          Lay powder on
        </Button>
        <Button variant="outlined" onClick={() => hand(0.05)}>
          A pinch more
        </Button>
        <Button onClick={() => hand(null)}>Clear the pan</Button>
        <Button
          variant="contained"
          disabled={!reading?.stable || reading.grams <= 0}
          onClick={() => {
            if (!reading) return;
            onTake(reading.grams);
            setOn(false);
          }}
        >
          Take this reading
        </Button>
      </Box>
      <Typography variant="caption" color="text.secondary">
        A simulated scale with a simulated hand: it drifts, shoots past and never lands quite where it aims.
      </Typography>
    </Box>
  );
}
