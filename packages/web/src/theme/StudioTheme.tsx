import type { ReactNode } from 'react';
import GlobalStyles from '@mui/material/GlobalStyles';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/system';
import { theme } from './theme';

/**
 * The studio's look, light or dark as the device is set. Nobody switches it by hand, so that the style sheet alone
 * follows the device, and what MUI's own provider brings for switching, keeping and sending a choice stays away.
 */
export function StudioTheme({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <GlobalStyles styles={theme.generateStyleSheets()} />
      <CssBaseline />
      {children}
    </ThemeProvider>
  );
}
