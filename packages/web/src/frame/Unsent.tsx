import { memo, useDeferredValue, useSyncExternalStore } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { outbox } from '../outbox/thisDevice';

/** What is on its way to the studio, and what it did not take; nothing while there is neither. */
export function Unsent() {
  // What was tapped shows first.
  return <Of entries={useDeferredValue(useSyncExternalStore(outbox.subscribe, outbox.all))} />;
}

const Of = memo(function Of(_: { entries: ReturnType<typeof outbox.all> }) {
  const unsent = outbox.unsent().length;
  const refused = outbox.refused();
  if (unsent === 0 && refused.length === 0) return null;
  return (
    <Box sx={{ bgcolor: 'background.default', borderTop: 1, borderColor: 'divider', px: { xs: 1.5, sm: 2 } }}>
      {unsent > 0 && (
        <Typography variant="body2" role="status" sx={{ py: 0.5 }}>
          {unsent} not sent yet
          {outbox.forgets && '. This browser keeps nothing: leave this page open until they are.'}
        </Typography>
      )}
      {refused.map(({ id, why }) => (
        <Box key={id} role="alert" sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            ✕ One entry was not taken: {why}
          </Typography>
          <Button size="small" onClick={() => void outbox.forget([id])}>
            I have read it
          </Button>
        </Box>
      ))}
    </Box>
  );
});
