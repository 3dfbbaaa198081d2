import { Fragment, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  alterationWords,
  LONGER_BY,
  minutesOf,
  onceMore,
  standingEvents,
  strikeOut,
  titleOf,
  type Batch,
  type EventOf,
  type LineState,
} from '@ythrion/core';
import { Later } from '../parts/Later';
import type { Change } from '../batch/useChange';
import { PastLine } from './PastLine';
import { StepLine, type StepLineProps } from './StepLine';

type Rest = Omit<StepLineProps, 'line' | 'current'>;
type Entry = { at: string; line: LineState } | { at: string; change: EventOf<'altered'> };

/** What is done, and what was changed about the plan, folds to one line; the last of it stays in sight, to be taken back. */
export function DoneSteps({
  batch,
  lines,
  change,
  mayRepeat,
  ...rest
}: {
  batch: Batch;
  lines: readonly LineState[];
  change: Change;
  /** No other wait runs: the last one can come once more. */
  mayRepeat: boolean;
} & Rest) {
  const [open, setOpen] = useState(false);
  const entries: Entry[] = [
    ...lines.map((line) => ({ at: line.doneAt ?? '', line })),
    ...standingEvents(batch.events).standing.flatMap((event) =>
      event.kind === 'altered' ? [{ at: event.at, change: event }] : [],
    ),
  ].toSorted((one, other) => (one.at < other.at ? -1 : one.at > other.at ? 1 : 0));
  const last = entries.at(-1);
  if (!last) return null;
  const earlier = entries.slice(0, -1);
  const show = (entry: Entry) =>
    'line' in entry ? (
      <Fragment key={entry.line.line.id}>
        <StepLine line={entry.line} current={false} {...rest} />
        {entry === last && mayRepeat && (
          <OnceMore batch={batch} line={entry.line} change={change} {...rest} />
        )}
      </Fragment>
    ) : (
      <Changed key={entry.change.id} event={entry.change} {...rest} />
    );
  return (
    <>
      {earlier.length > 0 && (
        <Box component="li" sx={{ borderTop: 1, borderColor: 'divider' }}>
          <Button
            fullWidth
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            sx={{ justifyContent: 'space-between', px: 2, minHeight: 44, fontWeight: 700 }}
          >
            <span>✓ {earlier.length} done</span>
            <span>{open ? 'fold' : 'show'}</span>
          </Button>
        </Box>
      )}
      {open && earlier.map(show)}
      {show(last)}
    </>
  );
}

/** A wait that is over can come once more. */
function OnceMore({
  batch,
  line,
  change,
  reading,
}: { batch: Batch; line: LineState; change: Change } & Rest) {
  if (minutesOf(line.line.act) === null || line.line.act.purpose === 'soak') return null;
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1, px: 2, pb: 1 }}>
      <Later>
        {LONGER_BY.map((minutes) => (
          <Button
            key={minutes}
            variant="outlined"
            aria-label={`${titleOf(line.line, reading)}: again, ${minutes} min`}
            onClick={() =>
              void change((id) => onceMore(batch, line.line, minutes, id), `Once more, ${minutes} min.`)
            }
          >
            again {minutes} min
          </Button>
        ))}
      </Later>
    </Box>
  );
}

/** A change of the plan, which can be taken back as well. */
function Changed({ event, reading, closed, recorder }: { event: EventOf<'altered'> } & Rest) {
  const words = alterationWords(event.change, reading);
  return (
    <PastLine
      mark="↷"
      markName="changed"
      at={event.at}
      title={words}
      onTakeBack={closed ? null : () => void recorder.record(strikeOut(event))}
    >
      {words}
    </PastLine>
  );
}
