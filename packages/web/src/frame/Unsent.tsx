import { memo, useDeferredValue, useEffect, useState, useSyncExternalStore } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Notice } from '../parts/Notice';
import { outbox } from '../outbox/thisDevice';

/** What is on its way to the studio, and what it did not take; nothing while there is neither. */
export function Unsent() {
  // What was tapped shows first.
  return <Of entries={useDeferredValue(useSyncExternalStore(outbox.subscribe, outbox.all))} />;
}

const Of = memo(function Of(_: { entries: ReturnType<typeof outbox.all> }) {
  const unsent = outbox.unsent().length;
  const refused = outbox.refused();
  const waits = useWaited(unsent > 0);
  if (!waits && refused.length === 0) return null;
  return (
    <Notice>
      <Box
        sx={{ bgcolor: 'background.default', borderTop: 1, borderColor: 'divider', px: { xs: 1.5, sm: 2 } }}
      >
        {waits && (
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
    </Notice>
  );
});

/** What is sent sooner than that was never worth a word, ms. */
const SOON_MS = 600;

/** Whether something has been so for a while. */
function useWaited(so: boolean): boolean {
  const [waited, setWaited] = useState(false);
  useEffect(() => {
    if (!so) return;
    const timer = setTimeout(() => setWaited(true), SOON_MS);
    return () => {
      clearTimeout(timer);
      setWaited(false);
    };
  }, [so]);
  return so && waited;
}
