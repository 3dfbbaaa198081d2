import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { clockTime, titleOf, type BatchResponse } from '@ythrion/core';
import { useRunning } from '../api/queries';
import { Vessel } from '../parts/Vessel';
import { Waiting } from '../parts/Waiting';
import { usePot } from './usePot';

/** The wet side: every pot with what it is at, since when, and what comes next. */
export function PotsScreen() {
  const running = useRunning();
  if (!running.data) return <Waiting error={running.error} />;
  return (
    <Box sx={{ pb: 2 }}>
      <Typography variant="h1" sx={{ p: 2, pb: 1 }}>
        Pots
      </Typography>
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
        <Typography sx={{ mt: 0.5 }}>
          {state.current ? titleOf(state.current.line, reading) : 'Judge it dry, then close it.'}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {batch.formulation.pot?.name ?? 'no pot named'} · {batch.code} · begun {clockTime(batch.startedAt)}
        </Typography>
      </Box>
    </ButtonBase>
  );
}
