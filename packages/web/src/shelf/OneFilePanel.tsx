import { useRef } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { API } from '@ythrion/core';
import { saidOf } from '../api/client';
import { say } from '../parts/say';
import { Stopped, useComingIn, useTakeIn } from '../studio/takeIn';

/** All of the studio taken out or in as one file. What is on its way in is counted, and can be stopped. */
export function OneFilePanel() {
  const { take, stop, isPending } = useTakeIn();
  const batches = useComingIn();
  const file = useRef<HTMLInputElement>(null);
  const takeIn = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    try {
      const report = await take(chosen);
      say(`Taken in: ${report.added} new, ${report.unchanged} already here.`);
    } catch (error) {
      say(
        error instanceof Stopped
          ? 'Stopped: nothing was taken in.'
          : `Nothing was taken in. ${saidOf(error)}`,
      );
    }
  };
  return (
    <Box component="section" aria-label="All of it as one file" sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">All of it as one file</Typography>
      <Typography variant="body2">
        A zip with every dye, jar, base, pot, colorway and batch as open JSON, one on a line. Taking one in
        (or a single JSON document) is all or nothing and never rewrites a record.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button component="a" href={API.archive} download variant="outlined">
          Take out
        </Button>
        {isPending ? (
          <Button variant="outlined" onClick={stop}>
            Stop taking in
          </Button>
        ) : (
          <Button variant="outlined" disabled={batches !== null} onClick={() => file.current?.click()}>
            Take in …
          </Button>
        )}
        <input
          ref={file}
          type="file"
          accept="application/zip,.zip,application/json,.json"
          hidden
          aria-label="File to take in"
          onChange={(event) => {
            void takeIn(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </Box>
      <Typography variant="body2" role="status">
        {(isPending || batches !== null) &&
          `Being taken in: ${batches ?? 0} batches read so far. What is entered meanwhile, on any device, waits for its end.`}
      </Typography>
    </Box>
  );
}
