import { useSyncExternalStore } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useStoredState } from '../parts/useStoredState';
import { useAccess } from '../studio/access';
import { trust } from '../studio/trust';

/** On a device that does not trust the studio: what does not work there, said once. */
export function NotTrusted() {
  const trusted = useSyncExternalStore(trust.subscribe, trust.now);
  const access = useAccess();
  const [read, setRead] = useStoredState('not-trusted-read', false);
  if (trusted !== false || read || !access?.lan || access.open) return null;
  return (
    <Box
      role="status"
      sx={{
        border: 1,
        borderColor: 'divider',
        px: 2,
        py: 0.5,
        display: 'flex',
        gap: 1,
        alignItems: 'center',
      }}
    >
      <Typography variant="body2" sx={{ flex: 1 }}>
        This device does not trust the studio yet. What you enter is kept and sent all the same, but it cannot
        open the studio without the network, ring, or stay awake.{' '}
        <a href={access.lan.trustUrl}>How to trust it</a>
      </Typography>
      <Button size="small" onClick={() => setRead(true)}>
        I have read it
      </Button>
    </Box>
  );
}
