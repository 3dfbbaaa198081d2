import { Suspense, type ReactNode } from 'react';
import Typography from '@mui/material/Typography';
import { Guard } from './Guard';

/** A part of a screen that comes when it is first needed. Where the studio is out of reach just then, its place says so, and the rest of the screen goes on. */
export const AskedFor = ({ children }: { children: ReactNode }) => (
  <Guard
    instead={
      <Typography role="status" sx={{ p: 1.5 }}>
        This part is not on this device yet. Open the page anew once the studio can be reached; what was
        entered is kept.
      </Typography>
    }
  >
    <Suspense>{children}</Suspense>
  </Guard>
);
