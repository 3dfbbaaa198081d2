import { lazy } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import {
  clockTime,
  cupContents,
  momentWords,
  titleOf,
  type BatchResponse,
  type Reading,
  type RecordState,
  vesselOfCard,
} from '@ythrion/core';
import { useRunning, useShelf } from '../studio/queries';
import { AskedFor } from '../parts/AskedFor';
import { Vessel } from '../parts/Vessel';
import { Waiting } from '../parts/Waiting';
import { FindField } from '../find/FindField';
import { NotTrusted } from './NotTrusted';
import { studioNow, studioNowMs } from '../api/studioClock';
import { startCup } from '../batch/startCup';
import { useFullCups } from '../batch/useCup';
import { useAwake } from '../batch/useAwake';
import { usePot } from '../batch/usePot';

const SameSteps = lazy(async () => ({ default: (await import('./SameSteps')).SameSteps }));

/** The wet side: every pot with what it is at, since when, and what comes next. */
export function PotsScreen() {
  useAwake();
  const running = useRunning();
  if (!running.data) return <Waiting error={running.error} />;
  return (
    <Box sx={{ pb: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, p: 2, pb: 1 }}>
        <Typography variant="h1" sx={{ flex: { xs: '1 0 100%', sm: 1 } }}>
          Pots
        </Typography>
        <MixKey />
        <Button component={Link} to="/pots/new" variant="outlined" size="large">
          Start without a plan
        </Button>
      </Box>
      <Box sx={{ px: 2, pb: 1, display: { xs: 'block', sm: 'none' } }}>
        <FindField />
      </Box>
      <NotTrusted />
      {running.data.length === 0 && (
        <Box sx={{ px: 2 }}>
          <Typography sx={{ mb: 2 }}>Nothing is wet. Choose a colorway and begin a batch.</Typography>
          <Button component={Link} to="/colorways" variant="contained" size="large">
            Colorways
          </Button>
        </Box>
      )}
      {running.data.length > 1 && (
        <AskedFor>
          <SameSteps batches={running.data} />
        </AskedFor>
      )}
      {running.data.map((batch) => (
        <PotLine key={batch.id} batch={batch} />
      ))}
      <Cups />
    </Box>
  );
}

/** A cup at hand, to mix a color in before any pot. */
function MixKey() {
  const shelf = useShelf().data;
  const navigate = useNavigate();
  const mix = async (): Promise<void> => {
    if (!shelf) return;
    const name = `Cup of ${clockTime(studioNow())}`;
    void navigate(`/pots/cup/${await startCup({ name, goods: null, sought: null }, shelf)}`);
  };
  return (
    <Button variant="outlined" size="large" disabled={!shelf} onClick={() => void mix()}>
      Mix a color
    </Button>
  );
}

/** Cups that stand on the bench with something in them. */
function Cups() {
  const cups = useFullCups();
  const dyes = useShelf().data?.dyes ?? [];
  if (cups.length === 0) return null;
  return (
    <Box component="section" aria-label="Cups" sx={{ mt: 2 }}>
      <Typography variant="h2" sx={{ px: 2 }}>
        Cups
      </Typography>
      {cups.map((cup) => (
        <ButtonBase
          key={cup.id}
          component={Link}
          to={`/pots/cup/${cup.id}`}
          sx={{
            width: '100%',
            justifyContent: 'flex-start',
            p: 2,
            gap: 1,
            borderTop: 1,
            borderColor: 'divider',
          }}
        >
          <Typography variant="colorway" component="span">
            {cup.name}
          </Typography>
          <Typography component="span">
            {cup.parts.length === 0 ? 'empty' : cupContents(cup, dyes)}
          </Typography>
        </ButtonBase>
      ))}
    </Box>
  );
}

function PotLine({ batch }: { batch: BatchResponse }) {
  const { state, level, clock, reading } = usePot(batch);
  return (
    <ButtonBase
      component={Link}
      to={`/pots/${batch.id}`}
      sx={{
        width: '100%',
        justifyContent: 'flex-start',
        textAlign: 'left',
        gap: 2,
        p: 2,
        borderTop: 1,
        borderColor: 'divider',
        ...(clock.due && { boxShadow: (theme) => `inset 0 0 0 5px ${theme.vars?.palette.due}` }),
      }}
    >
      <Vessel level={level} hex={state.bath.hex} size={88} />
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="colorway" component="div">
          {batch.name}
        </Typography>
        <Typography variant="bench" component="div">
          {clock.due ? `Due now, ${clock.text}` : clock.text}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>{nextWords(state, reading)}</Typography>
        <Typography variant="body2" color="text.secondary">
          {vesselOfCard(batch.card, state.current?.line.act.pass)?.name ?? 'no pot named'} · {batch.code} ·
          begun {momentWords(batch.startedAt, studioNowMs())}
        </Typography>
      </Box>
    </ButtonBase>
  );
}

/** What comes next at a pot. */
function nextWords({ lines, current }: RecordState, reading: Reading): string {
  if (lines.length === 0) return 'No plan: tap what goes in.';
  return current ? titleOf(current.line, reading) : 'Judge it dry, then close it.';
}
