import { createTheme } from '@mui/material/styles';

declare module '@mui/material/styles' {
  interface CssThemeVariables {
    enabled: true;
  }
  interface Palette {
    /** Brass: due now, and nothing else. */
    due: string;
    /** Neutral mid gray that yarn is judged on. */
    booth: string;
    /** Faint ground under a word that can be changed. */
    word: string;
  }
  interface PaletteOptions {
    due?: string;
    booth?: string;
    word?: string;
  }
  interface TypographyVariants {
    colorway: React.CSSProperties;
    bench: React.CSSProperties;
    pour: React.CSSProperties;
  }
  interface TypographyVariantsOptions {
    colorway?: React.CSSProperties;
    bench?: React.CSSProperties;
    pour?: React.CSSProperties;
  }
}

declare module '@mui/material/Typography' {
  interface TypographyPropsVariantOverrides {
    colorway: true;
    bench: true;
    pour: true;
  }
}

const TEXT_FACE = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';
const NAME_FACE = '"Newsreader Variable", Georgia, serif';

const neutral = (ink: string, paper: string, line: string, quiet: string) => ({
  primary: { main: ink, contrastText: paper },
  secondary: { main: quiet, contrastText: paper },
  error: { main: ink, contrastText: paper },
  warning: { main: ink, contrastText: paper },
  info: { main: ink, contrastText: paper },
  success: { main: ink, contrastText: paper },
  text: { primary: ink, secondary: quiet },
  divider: line,
  background: { default: paper, paper },
});

/** One theme: true neutral grays, so that the only color on the screen is the yarn's. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'media' },
  colorSchemes: {
    light: {
      palette: {
        ...neutral('#141414', '#fafafa', '#c9c9c9', '#555555'),
        due: '#8a6400',
        booth: '#bdbdbd',
        word: '#ececec',
      },
    },
    dark: {
      palette: {
        ...neutral('#f2f2f2', '#161616', '#4a4a4a', '#b4b4b4'),
        due: '#d9a62e',
        booth: '#bdbdbd',
        word: '#2b2b2b',
      },
    },
  },
  shape: { borderRadius: 2 },
  breakpoints: { values: { xs: 0, sm: 600, md: 820, lg: 1180, xl: 1600 } },
  transitions: {
    duration: {
      shortest: 80,
      shorter: 100,
      short: 120,
      standard: 140,
      complex: 140,
      enteringScreen: 120,
      leavingScreen: 100,
    },
  },
  typography: {
    fontFamily: TEXT_FACE,
    fontSize: 14,
    h1: { fontSize: 22, fontWeight: 650, lineHeight: 1.2 },
    h2: { fontSize: 15, fontWeight: 650, lineHeight: 1.3 },
    h3: { fontSize: 14, fontWeight: 650, lineHeight: 1.3 },
    body1: { fontSize: 15, lineHeight: 1.4 },
    body2: { fontSize: 13.5, lineHeight: 1.4 },
    caption: { fontSize: 12.5, lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 600, fontSize: 15 },
    colorway: {
      fontFamily: NAME_FACE,
      fontSize: 26,
      fontWeight: 500,
      lineHeight: 1.15,
      letterSpacing: '-0.01em',
    },
    bench: { fontSize: 28, fontWeight: 600, lineHeight: 1.1 },
    pour: { fontSize: 48, fontWeight: 650, lineHeight: 1 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums', overflowX: 'hidden' },
        a: { color: 'inherit' },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': { transition: 'none !important', animation: 'none !important' },
        },
        // Keys that rest after one was pressed.
        '[data-resting] .MuiButton-root': { opacity: 0.55, pointerEvents: 'none' },
        ':focus-visible': { outline: '2px solid currentColor', outlineOffset: 2 },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, color: 'primary' },
      styleOverrides: {
        root: { minHeight: 44, paddingInline: 14 },
        sizeLarge: { minHeight: 60, fontSize: 19 },
      },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { minHeight: 44 },
        adornedEnd: { paddingRight: 8 },
        input: { paddingBlock: 8, paddingInline: 10, '.MuiInputBase-adornedEnd > &': { paddingRight: 0 } },
      },
    },
    MuiInputAdornment: { styleOverrides: { positionEnd: { marginLeft: 4 } } },
    MuiNativeSelect: {
      styleOverrides: { select: { '&&': { paddingLeft: 10, paddingRight: 22 } }, icon: { right: 0 } },
    },
    MuiFormHelperText: { styleOverrides: { root: { marginInline: 2, '&.Mui-error': { fontWeight: 600 } } } },
    MuiInputLabel: { styleOverrides: { root: { '&.Mui-focused': { color: 'inherit' } } } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiPopover: {
      styleOverrides: {
        paper: ({ theme: own }) => ({
          border: `1px solid ${own.vars.palette.text.primary}`,
          padding: 12,
          maxWidth: 'min(420px, calc(100% - 32px))',
        }),
      },
    },
    MuiTabs: { styleOverrides: { indicator: { height: 3 } } },
    MuiTab: { styleOverrides: { root: { minHeight: 44, minWidth: 64, paddingInline: 12 } } },
    MuiTooltip: { defaultProps: { disableInteractive: true } },
  },
});
