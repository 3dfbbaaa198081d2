import Typography from '@mui/material/Typography';
import { saidOf } from '../api/client';

/** What stands in a screen's place while its data comes, or cannot come. */
export function Waiting({ error }: { error?: unknown }) {
  return (
    <Typography role="status" sx={{ p: 3 }} color={error ? 'text.primary' : 'text.secondary'}>
      {error ? `✕ ${saidOf(error)}` : 'One moment …'}
    </Typography>
  );
}
