import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { actsDone, clockTime, eventWords, strikeOut, type Batch, type Reading } from '@ythrion/core';
import type { Recorder } from '../batch/useRecord';

/** What was done so far at a pot that nobody planned, in order. */
export function OpenSteps({
  batch,
  reading,
  recorder,
  closed,
}: {
  batch: Batch;
  reading: Reading;
  recorder: Recorder;
  closed: boolean;
}) {
  const done = actsDone(batch.events);
  return (
    <Box component="ol" aria-label="Done so far" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {done.map((event) => (
        <Box
          component="li"
          key={event.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            minHeight: 44,
            px: { xs: 1.5, sm: 2 },
            borderTop: 1,
            borderColor: 'divider',
          }}
        >
          <Typography sx={{ flex: 1 }}>
            {clockTime(event.at)} {eventWords(event, reading)}
          </Typography>
          {!closed && (
            <Button
              size="small"
              aria-label={`Take back: ${eventWords(event, reading)}`}
              onClick={() => void recorder.record(strikeOut(event))}
            >
              Take back
            </Button>
          )}
        </Box>
      ))}
      {done.length === 0 && (
        <Typography component="li" sx={{ px: { xs: 1.5, sm: 2 }, py: 1 }}>
          Nothing yet. Tap what goes in and what you do, as you do it: that is the recipe.
        </Typography>
      )}
    </Box>
  );
}
