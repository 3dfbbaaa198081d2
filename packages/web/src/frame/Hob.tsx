import { memo, useDeferredValue, useEffect } from 'react';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useLocation } from 'react-router';
import { kindWord, vesselOfCard, type BatchResponse } from '@ythrion/core';
import { useRunning } from '../studio/queries';
import { Vessel } from '../parts/Vessel';
import { usePot } from '../batch/usePot';
import { Ring } from './Ring';
import { readyToRing } from './bell';

/** One vessel for every pot in use, on every screen while anything is wet. */
export function Hob() {
  // What was tapped on the card shows first, then here.
  const running = useDeferredValue(useRunning().data) ?? NONE;
  useEffect(readyToRing, []);
  if (running.length === 0) return null;
  return (
    <>
      {running.map((batch) => (
        <Ring key={batch.id} batch={batch} />
      ))}
      <Strip running={running} />
    </>
  );
}

const NONE: readonly BatchResponse[] = [];

const Strip = memo(function Strip({ running }: { running: readonly BatchResponse[] }) {
  const { pathname } = useLocation();
  // At a pot its own keys need the room of a phone: the others stand in a line, by name and time.
  const atPot = pathname.startsWith('/pots/');
  const own = atPot ? running.find(({ id }) => pathname.endsWith(id)) : undefined;
  return (
    <Box
      component="section"
      aria-label="On the hob"
      sx={{
        display: own && running.length === 1 ? { xs: 'none', sm: 'flex' } : 'flex',
        gap: 0,
        overflowX: 'auto',
        bgcolor: 'background.default',
        borderTop: 2,
        borderColor: 'text.primary',
      }}
    >
      {running.map((batch) => (
        <Pot key={batch.id} batch={batch} small={atPot} own={batch === own} />
      ))}
    </Box>
  );
});

const Pot = memo(function Pot({
  batch,
  small,
  own,
}: {
  batch: BatchResponse;
  /** At a pot, where a phone has little room. */
  small: boolean;
  /** The pot that is on the screen: on a phone its own keys say all that the hob would. */
  own: boolean;
}) {
  const { state, level, clock } = usePot(batch);
  return (
    <ButtonBase
      component={Link}
      to={`/pots/${batch.id}`}
      sx={{
        display: own ? { xs: 'none', sm: 'inline-flex' } : 'inline-flex',
        justifyContent: 'flex-start',
        gap: 1.25,
        px: 1.5,
        py: 0.75,
        minHeight: small ? { xs: 46, sm: 64 } : 64,
        minWidth: 210,
        textAlign: 'left',
        borderRight: 1,
        borderColor: 'divider',
        ...(clock.due && { boxShadow: (theme) => `inset 0 0 0 4px ${theme.vars?.palette.due}` }),
      }}
    >
      <Box sx={small ? { display: { xs: 'none', sm: 'block' } } : null}>
        <Vessel level={level} hex={state.bath.hex} />
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="colorway" component="div" noWrap sx={{ fontSize: 17 }}>
          {batch.name}
        </Typography>
        <Typography variant="body2" noWrap>
          {clock.due ? (
            <strong>Due now: {state.current && kindWord(state.current.line)}</strong>
          ) : state.current ? (
            kindWord(state.current.line)
          ) : (
            'judge and close'
          )}{' '}
          · {clock.text}
        </Typography>
        <Typography
          variant="caption"
          color="text.secondary"
          component="div"
          noWrap
          sx={small ? { display: { xs: 'none', sm: 'block' } } : null}
        >
          {vesselOfCard(batch.card, state.current?.line.act.pass)?.name ?? 'no pot named'} · {batch.code}
        </Typography>
      </Box>
    </ButtonBase>
  );
});
