import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  learn,
  lessonsOf,
  lessonWords,
  standingEvents,
  weightOfGoods,
  type Batch,
  type NewEvent,
  type Reading,
} from '@ythrion/core';
import { useRunning } from '../studio/queries';
import type { Change } from '../batch/useChange';

/** What another pot of the same colorway that runs ahead has taught, for what is still to come here: one tap takes it over. */
export function Lessons({ batch, reading, change }: { batch: Batch; reading: Reading; change: Change }) {
  const running = useRunning().data;
  const ahead = useMemo(
    () =>
      (running ?? []).filter(
        (other) =>
          other.id !== batch.id &&
          other.colorwayId !== null &&
          other.colorwayId === batch.colorwayId &&
          other.colorwayVersion === batch.colorwayVersion &&
          doneIn(other) > doneIn(batch),
      ),
    [running, batch],
  );
  return ahead.map((other) => (
    <FromPot key={other.id} batch={batch} ahead={other} reading={reading} change={change} />
  ));
}

const doneIn = ({ events }: Batch): number => events.filter(({ kind }) => kind === 'act').length;

function FromPot({
  batch,
  ahead,
  reading,
  change,
}: {
  batch: Batch;
  ahead: Batch;
  reading: Reading;
  change: Change;
}) {
  const lessons = useMemo(() => {
    const known = new Set(
      standingEvents(batch.events).standing.flatMap((event) =>
        event.kind === 'altered' && event.change.why === 'learned' ? [event.change.about] : [],
      ),
    );
    return lessonsOf(ahead).flatMap((lesson): { about: string; event: NewEvent }[] => {
      const about = `As in ${ahead.code}: ${lessonWords(lesson, { ...reading, batch: ahead })}`;
      const event = known.has(about) ? null : learn(batch, ahead, lesson, about);
      return event ? [{ about, event }] : [];
    });
  }, [batch, ahead, reading]);
  if (lessons.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label={`What ${ahead.code} taught`}
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1.5, borderTop: 2, borderColor: 'text.primary' }}
    >
      <Typography sx={{ fontWeight: 700 }}>
        {ahead.code}, {weightOfGoods(ahead.card).value} g, runs ahead of this pot
      </Typography>
      <Box component="ul" sx={{ m: 0, my: 0.5, pl: 2.5 }}>
        {lessons.map(({ about }) => (
          <li key={about}>{about.slice(about.indexOf(': ') + 2)}</li>
        ))}
      </Box>
      <Button
        variant="contained"
        sx={{ mr: 1 }}
        onClick={() => void change(() => lessons.map(({ event }) => event), `As in ${ahead.code}.`)}
      >
        The same here
      </Button>
      <Button component={Link} to={`/book/${ahead.id}`}>
        Keep it as a version, in its record
      </Button>
    </Box>
  );
}
