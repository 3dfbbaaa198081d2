import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useStoredState } from '../parts/useStoredState';
import { askForNotes, notePermission } from './notify';

/** Said once on each device, when the first clock runs: how it rings, and when it cannot. */
export function RingNote() {
  const [read, setRead] = useStoredState('ring-read', false);
  const [permission, setPermission] = useState(notePermission);
  if (read) return null;
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
        flexWrap: 'wrap',
      }}
    >
      <Typography variant="body2" sx={{ flex: '1 1 260px' }}>
        Every device on which Ythrion is open, and was touched once, rings when this is due. One that is
        locked cannot: leave a screen on.
      </Typography>
      {permission === 'default' && (
        <Button size="small" onClick={() => void askForNotes().then(() => setPermission(notePermission()))}>
          Show notes too
        </Button>
      )}
      <Button size="small" onClick={() => setRead(true)}>
        I have read it
      </Button>
    </Box>
  );
}
