import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { ANSWERS, answered, titleOf, type Question, type Reading } from '@ythrion/core';
import type { Recorder } from '../batch/useRecord';

/** Lines that nobody ticked and nobody has said anything of since: whether they were done, one tap each. */
export function AskedLines({
  questions,
  reading,
  recorder,
}: {
  questions: readonly Question[];
  reading: Reading;
  recorder: Recorder;
}) {
  const open = questions.filter(({ answer }) => answer === null);
  if (open.length === 0) return null;
  return (
    <Box component="section" aria-label="Was it done?" sx={{ mt: 1.5 }}>
      <Typography variant="h2">Was it done?</Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {open.map(({ line }) => (
          <Box
            component="li"
            key={line.id}
            sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}
          >
            <Typography sx={{ flex: '1 1 220px' }}>{titleOf(line, reading)}</Typography>
            {ANSWERS.map((answer) => (
              <Button
                key={answer}
                variant="outlined"
                aria-label={`${titleOf(line, reading)}: ${answer}`}
                onClick={() => void recorder.record(answered(line, answer), `Kept: ${answer}.`)}
              >
                {answer}
              </Button>
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
