import { lazy, Suspense, useLayoutEffect, useMemo, useRef, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import { Outlet, useLocation } from 'react-router';
import { measuresOf, USUAL_MEASURES } from '@ythrion/core';
import { Guard } from '../parts/Guard';
import { Waiting } from '../parts/Waiting';
import { StudioMeasures } from '../parts/studioMeasures';
import { useRunning, useShelf } from '../studio/queries';
import { useAccess } from '../studio/access';
import { Places } from './Places';
import { Unsent } from './Unsent';

/** The pots in use; loaded when the first is wet. */
const Hob = lazy(async () => ({ default: (await import('./Hob')).Hob }));

/** On a device that is not in yet. */
const SignIn = lazy(async () => ({ default: (await import('./SignInScreen')).SignInScreen }));

/** Places on the left of a desk or along the bottom of a phone, the hob along the lower edge, the screen between. */
export function Frame() {
  const access = useAccess();
  const { pathname } = useLocation();
  if (access && !access.signedIn)
    return (
      <Suspense fallback={<Waiting />}>
        <SignIn />
      </Suspense>
    );
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '104px minmax(0, 1fr)' },
        gridTemplateRows: { xs: '1fr auto', sm: '1fr' },
        minHeight: '100dvh',
      }}
    >
      <Box
        sx={{
          gridRow: 1,
          gridColumn: { xs: 1, sm: 2 },
          minWidth: 0,
          display: 'flex',
          flexDirection: 'column',
        }}
      >
        <Box component="main" sx={{ flex: 1, minWidth: 0 }}>
          <Guard key={pathname}>
            <Suspense fallback={<Waiting />}>
              <WithMeasures>
                <Outlet />
              </WithMeasures>
            </Suspense>
          </Guard>
        </Box>
        <Below />
      </Box>
      <Places />
    </Box>
  );
}

/** What stands along the lower edge. How high it is, is known to what sticks above it. */
function Below() {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const { current } = box;
    if (!current) return;
    const watch = new ResizeObserver(() => {
      const under = parseFloat(getComputedStyle(current).bottom) || 0;
      document.documentElement.style.setProperty('--below', `${current.offsetHeight + under}px`);
    });
    watch.observe(current);
    return () => watch.disconnect();
  }, []);
  return (
    <Box ref={box} sx={{ position: 'sticky', bottom: { xs: 56, sm: 0 }, zIndex: 20 }}>
      <Unsent />
      <Guard instead={null}>
        <WetPots />
      </Guard>
    </Box>
  );
}

/** Amounts in the studio's own measures; apart, so that a change of the shelf draws nothing else of the frame anew. */
function WithMeasures({ children }: { children: ReactNode }) {
  const studio = useShelf().data?.studio;
  const measures = useMemo(() => (studio ? measuresOf(studio) : USUAL_MEASURES), [studio]);
  return <StudioMeasures value={measures}>{children}</StudioMeasures>;
}

/** The hob once a pot is wet; apart, so that a tap at a pot draws nothing else of the frame anew. */
function WetPots() {
  return (useRunning().data?.length ?? 0) > 0 ? (
    <Suspense>
      <Hob />
    </Suspense>
  ) : null;
}
