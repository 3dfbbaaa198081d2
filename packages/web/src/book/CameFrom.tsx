import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  actualRecipe,
  bathOf,
  depthWords,
  earlierBatches,
  SOURCE_QUESTION,
  takenOver,
  takenOverWords,
  type Batch,
  type Dye,
} from '@ythrion/core';
import { useBatch, useWentInto } from '../studio/queries';
import type { Recorder } from '../batch/useRecord';

/** What a batch has of earlier ones: the bath it was begun in, and what its goods had on them. */
export function CameFrom({
  batch,
  dyes,
  recorder,
}: {
  batch: Batch;
  dyes: readonly Dye[];
  recorder: Recorder;
}) {
  const bath = bathOf(batch);
  const goods = earlierBatches(batch);
  if (bath === null && goods.length === 0) return null;
  return (
    <Box component="section" aria-label="From earlier batches" sx={{ mt: 1.5 }}>
      <Typography variant="h2">From earlier batches</Typography>
      {bath && <Bath batch={batch} from={bath.from.batch} dyes={dyes} recorder={recorder} />}
      {goods.map(({ line, name, batch: from, guest }) => (
        <Goods key={line} name={name} from={from} guest={guest} dyes={dyes} />
      ))}
    </Box>
  );
}

function Bath({
  batch,
  from,
  dyes,
  recorder,
}: {
  batch: Batch;
  from: string;
  dyes: readonly Dye[];
  recorder: Recorder;
}) {
  const source = useBatch(from).data;
  const taken = useMemo(() => (source ? takenOver(batch, source) : null), [batch, source]);
  if (!source || !taken) return null;
  return (
    <>
      {takenOverWords(taken, source.code, dyes).map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
      <Typography variant="body2">
        <Link to={`/book/${source.id}`}>Batch {source.code}</Link>
      </Typography>
      {taken.changed && !taken.kept && (
        <Button
          variant="outlined"
          onClick={() =>
            void recorder.record(
              { kind: 'answered', question: SOURCE_QUESTION, answer: 'kept' },
              'The figures stay.',
            )
          }
        >
          Keep what was taken over
        </Button>
      )}
    </>
  );
}

/** What the goods had on them: it counts in no depth of this batch. */
function Goods({
  name,
  from,
  guest,
  dyes,
}: {
  name: string;
  from: string;
  guest: boolean;
  dyes: readonly Dye[];
}) {
  const earlier = useBatch(from).data;
  const found = useMemo(() => (earlier ? actualRecipe(earlier, dyes).dyes : []), [earlier, dyes]);
  if (!earlier) return null;
  if (guest)
    return (
      <Typography>
        {name} of <Link to={`/book/${earlier.id}`}>batch {earlier.code}</Link>, {earlier.name}, was a guest in
        its set.
      </Typography>
    );
  return (
    <Typography>
      {name} comes from <Link to={`/book/${earlier.id}`}>batch {earlier.code}</Link>
      {found.length > 0 &&
        `, with ${found.map(({ dyeName, dos }) => `${depthWords(dos.value)} ${dyeName}`).join(', ')} on it already`}
      .
    </Typography>
  );
}

/** What later batches have of one: its goods that went on there, and its bath. */
export function WentInto({ batchId }: { batchId: string }) {
  const into = useWentInto(batchId).data ?? [];
  if (into.length === 0) return null;
  return (
    <Box component="section" aria-label="Into later batches" sx={{ mt: 1.5 }}>
      <Typography variant="h2">Into later batches</Typography>
      {into.map(({ id, code, name, gave }) => (
        <Typography key={`${id} ${gave.what}`}>
          {gave.what === 'bath'
            ? 'Its bath went into'
            : `${gave.names.join(', ')} ${gave.what === 'guests' ? 'was set together with' : 'went into'}`}{' '}
          <Link to={`/book/${id}`}>batch {code}</Link>, {name}.
        </Typography>
      ))}
    </Box>
  );
}
