import {
  lazy,
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  forecast,
  goodsWords,
  isOpen,
  momentWords,
  openLook,
  openLines,
  potClock,
  vesselOfCard,
  weightOfGoods,
  type Batch,
  type ShelfResponse,
} from '@ythrion/core';
import { AskedFor } from '../parts/AskedFor';
import { useNow } from '../parts/useNow';
import { Vessel } from '../parts/Vessel';
import { Amount } from '../parts/Amount';
import { OpenedBatch } from '../batch/OpenedBatch';
import { AlsoAdded } from './AlsoAdded';
import { AlsoDone } from './AlsoDone';
import { InSoFar } from './InSoFar';
import { OpenSteps } from './OpenSteps';
import { potView, type PotView } from '../batch/potView';
import { useAwake } from '../batch/useAwake';
import { CheckBar } from '../batch/CheckBar';
import { CloseBatch } from '../batch/CloseBatch';
import { Doubts } from '../batch/Doubts';
import { ChangePlan } from './ChangePlan';
import { DoneSteps } from './DoneSteps';
import { PotKeys } from './PotKeys';
import { RingNote } from './RingNote';
import { StepLine } from './StepLine';
import { TagCodes } from './TagCodes';
import { ToCome } from './ToCome';
import { useChange, type Change } from '../batch/useChange';
import { useRecord, type Recorder } from '../batch/useRecord';

// Asked for when they are: a card comes up without them.
const GoodsIn = lazy(async () => ({ default: (await import('./GoodsIn')).GoodsIn }));
const NameBatch = lazy(async () => ({ default: (await import('./NameBatch')).NameBatch }));
const Lessons = lazy(async () => ({ default: (await import('./Lessons')).Lessons }));
const LookAsks = lazy(async () => ({ default: (await import('./LookAsks')).LookAsks }));

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
  const change = useChange(recorder);
  const [goodsIn, setGoodsIn] = useState(false);
  const onGoodsIn = useCallback(() => setGoodsIn(true), []);
  const closed = state.closed !== null;
  const open = isOpen(batch.card);
  // What was tapped shows at once; what else can be done at the pot follows.
  const shown = useDeferredValue(useMemo(() => ({ batch, view, shelf }), [batch, view, shelf]));
  const done = state.lines.filter(({ status }) => status === 'done');
  const toCome = state.lines.filter((line) => line.status !== 'done' && line !== state.current);
  const likely = forecast(state, now);
  const step = { closed, now, reading, shelf, recorder, acknowledged: state.acknowledged };
  return (
    <Box sx={{ maxWidth: 760, mx: 'auto', pb: { xs: 0, sm: 3 } }}>
      <Head batch={shown.batch} view={shown.view} now={now} done={closed ? null : likely.done} />
      <Doubts batch={batch} reading={reading} recorder={recorder} />
      {!closed && !batch.events.some(({ kind }) => kind === 'act') && <TagCodes batch={batch} />}
      {!closed && batch.colorwayId !== null && (
        <AskedFor>
          <Lessons batch={batch} reading={reading} change={change} />
        </AskedFor>
      )}
      <Box component="ol" aria-label="Steps" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        <DoneSteps
          batch={batch}
          lines={done}
          change={change}
          mayRepeat={!closed && state.current?.status !== 'running'}
          {...step}
        />
        {state.current && <StepLine key={state.current.line.id} line={state.current} current {...step} />}
        {!closed && openLook(batch) !== null && (
          <Asked>
            <LookAsks batch={batch} state={state} reading={reading} change={change} onGoodsIn={onGoodsIn} />
          </Asked>
        )}
        {goodsIn && (
          <Asked>
            <GoodsIn
              batch={batch}
              state={state}
              shelf={shelf}
              change={change}
              onDone={() => setGoodsIn(false)}
            />
          </Asked>
        )}
        {closed &&
          toCome.map((line) => <StepLine key={line.line.id} line={line} current={false} {...step} />)}
        {!closed && (
          <ToCome
            batch={batch}
            lines={toCome}
            at={likely.at}
            reading={reading}
            recorder={recorder}
            change={change}
            acknowledged={state.acknowledged}
          />
        )}
      </Box>
      {state.lines.some(({ status }) => status === 'running') && <RingNote />}
      {open && <OpenSteps batch={batch} reading={reading} recorder={recorder} closed={closed} />}
      <Below {...shown} recorder={recorder} change={change} onGoodsIn={onGoodsIn} />
      <PotKeys
        batch={batch}
        state={state}
        reading={reading}
        shelf={shelf}
        recorder={recorder}
        change={change}
        onGoodsIn={onGoodsIn}
      />
    </Box>
  );
}

/** What is asked beside the step that is to be done: brought into sight once it comes up. */
function Asked({ children }: { children: ReactNode }) {
  const place = useRef<HTMLLIElement>(null);
  useEffect(() => {
    const { current } = place;
    if (!current) return;
    // It may be empty at first, as a look that asks for nothing yet.
    const watch = new ResizeObserver(() => {
      if (current.offsetHeight > 0) current.scrollIntoView({ block: 'nearest' });
    });
    watch.observe(current);
    return () => watch.disconnect();
  }, []);
  return (
    <Box
      component="li"
      ref={place}
      sx={{
        scrollMarginBottom: 'calc(var(--below, 0px) + 320px)',
        '&:empty': { display: 'none' },
      }}
    >
      <AskedFor>{children}</AskedFor>
    </Box>
  );
}

interface Shown {
  batch: Batch;
  view: PotView;
  shelf: ShelfResponse;
}

/** Which pot this is, how full, and what its clock says. */
const Head = memo(function Head({
  batch,
  view: { state, level },
  now,
  done,
}: Omit<Shown, 'shelf'> & {
  now: number;
  /** When all of it is likely to be done, ISO 8601. */ done: string | null;
}) {
  const clock = potClock(state, now);
  const passNow = state.current?.line.act.pass ?? state.pass;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', px: { xs: 1.5, sm: 2 }, pt: 1.5, pb: 1 }}>
      <Vessel level={level} hex={state.bath.hex} size={56} />
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
          {batch.name}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          <strong>{batch.code}</strong> · {vesselOfCard(batch.card, passNow)?.name ?? 'no pot named'}
          {batch.card.passes.length > 1 &&
            ` · pass ${1 + batch.card.passes.findIndex(({ id }) => id === passNow)} of ${batch.card.passes.length}`}
          {' · '}
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
        {done !== null && (
          <Typography variant="body2" color="text.secondary">
            all done about {momentWords(done, now)}
          </Typography>
        )}
      </Box>
      <Button component={Link} to={`/book/${batch.id}`}>
        Record
      </Button>
    </Box>
  );
});

/** What can be said and done at a pot beside its card; once its last step is done the verdict comes first. */
const Below = memo(function Below({
  batch,
  view: { state, reading },
  shelf,
  recorder,
  change,
  onGoodsIn,
}: Shown & { recorder: Recorder; change: Change; onGoodsIn: () => void }) {
  if (state.closed !== null) return null;
  const open = isOpen(batch.card);
  const verdict = batch.events.some(({ kind }) => kind === 'act') && (
    <CloseBatch recorder={recorder} batchId={batch.id} rest={openLines(state, reading)} />
  );
  const over = !open && state.current === null;
  return (
    <>
      {over && verdict}
      <InSoFar batch={batch} shelf={shelf} />
      {open && <AlsoAdded batch={batch} shelf={shelf} state={state} recorder={recorder} open />}
      <AlsoDone batch={batch} state={state} recorder={recorder} open={open} />
      <CheckBar recorder={recorder} state={state} batch={batch} />
      {!open && <AlsoAdded batch={batch} shelf={shelf} state={state} recorder={recorder} />}
      <ChangePlan
        batch={batch}
        state={state}
        shelf={shelf}
        change={change}
        recorder={recorder}
        onGoodsIn={onGoodsIn}
      />
      {open && (
        <AskedFor>
          <NameBatch name={batch.name} recorder={recorder} />
        </AskedFor>
      )}
      {!over && verdict}
    </>
  );
});
