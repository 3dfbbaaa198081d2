import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { momentWords, titleOf, type BatchResponse, type Reading, type RecordState } from '@ythrion/core';
import { useRunning } from '../studio/queries';
import { Vessel } from '../parts/Vessel';
import { Waiting } from '../parts/Waiting';
import { FindField } from '../find/FindField';
import { NotTrusted } from './NotTrusted';
import { studioNowMs } from '../api/studioClock';
import { useAwake } from '../batch/useAwake';
import { usePot } from '../batch/usePot';

/** The wet side: every pot with what it is at, since when, and what comes next. */
export function PotsScreen() {
  useAwake();
  const running = useRunning();
  if (!running.data) return <Waiting error={running.error} />;
  return (
    <Box sx={{ pb: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, p: 2, pb: 1 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          Pots
        </Typography>
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
      {running.data.map((batch) => (
        <PotLine key={batch.id} batch={batch} />
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
          {batch.formulation.pot?.name ?? 'no pot named'} · {batch.code} · begun{' '}
          {momentWords(batch.startedAt, studioNowMs())}
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
