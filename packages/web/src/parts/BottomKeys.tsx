import { useLayoutEffect, useRef, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import { showNoticesIn } from './Notice';
import { SaidHere } from './SaidHere';

/**
 * Keys in reach of a thumb, along the lower edge whatever the screen shows, with what was said last above them. Nothing
 * moves them while a thumb goes down: notices stand above, over the screen, which leaves them room at its end.
 */
export function BottomKeys({ line, children }: { line: boolean; children: ReactNode }) {
  const room = useRef<HTMLDivElement>(null);
  const notices = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const { current } = notices;
    if (!current) return;
    showNoticesIn(current);
    const watch = new ResizeObserver(() => {
      if (room.current) room.current.style.height = `${current.offsetHeight}px`;
    });
    watch.observe(current);
    return () => {
      watch.disconnect();
      showNoticesIn(null);
    };
  }, []);
  return (
    <>
      <Box ref={room} sx={{ mt: { xs: 'auto', sm: 0 } }} />
      <Box
        sx={{
          position: 'sticky',
          bottom: 'var(--below, 0px)',
          zIndex: 15,
          bgcolor: 'background.default',
          ...(line && { borderTop: 3, borderColor: 'text.primary' }),
          px: 1.25,
        }}
      >
        <Box ref={notices} sx={{ position: 'absolute', left: 0, right: 0, bottom: '100%' }} />
        <SaidHere />
        {children}
      </Box>
    </>
  );
}
