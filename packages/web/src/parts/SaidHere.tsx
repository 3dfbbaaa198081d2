import { useEffect, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { showMessagesWith, type Message } from './say';

/** How long a message stands, ms. */
const STANDS_MS = 8000;

/** What was said last, in a line of its own above the keys: at a pot a message covers neither a title nor a key. */
export function SaidHere() {
  const [said, setSaid] = useState<{ message: Message; nth: number } | null>(null);
  useEffect(
    () => showMessagesWith((message) => setSaid((last) => ({ message, nth: (last?.nth ?? 0) + 1 }))),
    [],
  );
  useEffect(() => {
    if (!said) return;
    const timer = setTimeout(() => setSaid(null), STANDS_MS);
    return () => clearTimeout(timer);
  }, [said]);
  return (
    <Box role="alert" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      {said && (
        <>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {said.message.words}
          </Typography>
          {said.message.action && (
            <Button
              size="small"
              onClick={() => {
                setSaid(null);
                said.message.action?.work();
              }}
            >
              {said.message.action.word}
            </Button>
          )}
        </>
      )}
    </Box>
  );
}
