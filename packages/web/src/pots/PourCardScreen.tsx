import { memo, useDeferredValue, useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  goodsWords,
  isOpen,
  openLines,
  potClock,
  vesselOfCard,
  weightOfGoods,
  type Batch,
  type ShelfResponse,
} from '@ythrion/core';
import { useNow } from '../parts/useNow';
import { Vessel } from '../parts/Vessel';
import { Amount } from '../parts/Amount';
import { OpenedBatch } from '../batch/OpenedBatch';
import { AlsoAdded } from './AlsoAdded';
import { AlsoDone } from './AlsoDone';
import { NameBatch } from './NameBatch';
import { OpenSteps } from './OpenSteps';
import { potView, type PotView } from '../batch/potView';
import { useAwake } from '../batch/useAwake';
import { CheckBar } from '../batch/CheckBar';
import { CloseBatch } from '../batch/CloseBatch';
import { Doubts } from '../batch/Doubts';
import { RingNote } from './RingNote';
import { StepLine } from './StepLine';
import { useRecord, type Recorder } from '../batch/useRecord';

/** The pour card of one pot: one line a step, the current one large; what is done shrinks and stays. */
export function PourCardScreen() {
  return <OpenedBatch>{(batch, shelf) => <PourCard batch={batch} shelf={shelf} />}</OpenedBatch>;
}

function PourCard({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  useAwake();
  const now = useNow(5);
  const view = useMemo(() => potView(batch, shelf.dyes, shelf.studio), [batch, shelf.dyes, shelf.studio]);
  const { state, reading } = view;
  const recorder = useRecord(batch);
  const closed = state.closed !== null;
  const open = isOpen(batch.card);
  // What was tapped shows at once; what else can be done at the pot follows.
  const shown = useDeferredValue(useMemo(() => ({ batch, view }), [batch, view]));
  return (
    <Box sx={{ maxWidth: 760, mx: 'auto', pb: 3 }}>
      <Head {...shown} now={now} />
      {state.lines.some(({ status }) => status === 'running') && <RingNote />}
      <Doubts batch={batch} reading={reading} recorder={recorder} />
      <Box component="ol" aria-label="Steps" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {state.lines.map((line) => (
          <StepLine
            key={line.line.id}
            line={line}
            current={line === state.current}
            closed={closed}
            now={now}
            reading={reading}
            shelf={shelf}
            recorder={recorder}
            acknowledged={state.acknowledged}
          />
        ))}
      </Box>
      {open && <OpenSteps batch={batch} reading={reading} recorder={recorder} closed={closed} />}
      <Below {...shown} shelf={shelf} recorder={recorder} />
    </Box>
  );
}

interface Shown {
  batch: Batch;
  view: PotView;
}

/** Which pot this is, how full, and what its clock says. */
const Head = memo(function Head({ batch, view: { state, level }, now }: Shown & { now: number }) {
  const clock = potClock(state, now);
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', px: { xs: 1.5, sm: 2 }, pt: 1.5, pb: 1 }}>
      <Vessel level={level} hex={state.bath.hex} size={72} />
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
          {batch.name}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {batch.code} · {vesselOfCard(batch.card)?.name ?? 'no pot named'} ·{' '}
          <Amount value={weightOfGoods(batch.card).value} unit="g" px={14} /> · {goodsWords(batch.card)}
        </Typography>
        <Typography
          sx={
            clock.due
              ? {
                  fontWeight: 700,
                  textDecoration: 'underline',
                  textDecorationThickness: 4,
                  textDecorationColor: (theme) => theme.vars?.palette.due,
                }
              : undefined
          }
        >
          {state.closed !== null ? 'Closed.' : clock.due ? `Due now, ${clock.text}` : clock.text}
        </Typography>
      </Box>
      <Button component={Link} to={`/book/${batch.id}`}>
        Record
      </Button>
    </Box>
  );
});

/** What can be said and done at a pot beside its card. */
const Below = memo(function Below({
  batch,
  view: { state, reading },
  shelf,
  recorder,
}: Shown & { shelf: ShelfResponse; recorder: Recorder }) {
  if (state.closed !== null) return null;
  const open = isOpen(batch.card);
  return (
    <>
      {open && <AlsoAdded batch={batch} shelf={shelf} state={state} recorder={recorder} open />}
      <AlsoDone batch={batch} state={state} recorder={recorder} open={open} />
      <CheckBar recorder={recorder} state={state} batch={batch} />
      {!open && <AlsoAdded batch={batch} shelf={shelf} state={state} recorder={recorder} />}
      {open && <NameBatch name={batch.name} recorder={recorder} />}
      {batch.events.some(({ kind }) => kind === 'act') && (
        <CloseBatch recorder={recorder} batchId={batch.id} rest={openLines(state, reading)} />
      )}
    </>
  );
});
