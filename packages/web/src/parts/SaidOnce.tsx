import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useStoredState } from './useStoredState';

/** Something that is said on each device until it was read there. @param action what else can be done about it */
export function SaidOnce({
  name,
  children,
  action,
}: {
  name: string;
  children: ReactNode;
  action?: ReactNode;
}) {
  const [read, setRead] = useStoredState(name, false);
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
        {children}
      </Typography>
      {action}
      <Button size="small" onClick={() => setRead(true)}>
        I have read it
      </Button>
    </Box>
  );
}
