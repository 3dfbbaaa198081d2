import { styled } from '@mui/material/styles';

/** A word that can be changed: on a faint ground, as wide as what stands in it; its label is shown while it is in hand. */
export const Word = styled('span')(({ theme }) => ({
  position: 'relative',
  display: 'inline-flex',
  alignItems: 'baseline',
  maxWidth: '100%',
  minHeight: 34,
  lineHeight: '34px',
  paddingInline: 7,
  borderRadius: 3,
  backgroundColor: theme.vars.palette.word,
  verticalAlign: 'baseline',
  [theme.breakpoints.up('md')]: { minHeight: 28, lineHeight: '28px' },
  '&:focus-within': {
    backgroundColor: theme.vars.palette.background.default,
    outline: `2px solid ${theme.vars.palette.text.primary}`,
    zIndex: 2,
  },
  // How it was read, beside what is typed.
  '&:focus-within > [data-hand]': { display: 'inline' },
  '&[data-wrong]': { boxShadow: `inset 0 -3px 0 ${theme.vars.palette.text.primary}` },
  '&:focus-within::before': {
    content: 'attr(data-label)',
    position: 'absolute',
    left: -2,
    bottom: 'calc(100% + 1px)',
    paddingInline: 5,
    fontSize: 12,
    lineHeight: '17px',
    fontWeight: 600,
    whiteSpace: 'nowrap',
    pointerEvents: 'none',
    backgroundColor: theme.vars.palette.text.primary,
    color: theme.vars.palette.background.default,
  },
}));

/** As wide as its text: the text is laid out unseen, what is typed in stands over it. */
export const Room = styled('span')({
  display: 'inline-grid',
  minWidth: '1ch',
  maxWidth: '100%',
  fontWeight: 650,
  '&::after': {
    content: 'attr(data-text)',
    gridArea: '1 / 1',
    visibility: 'hidden',
    whiteSpace: 'pre',
    overflow: 'hidden',
    paddingRight: 2,
    minWidth: 0,
  },
});

/** A word that is not typed but chosen: the platform’s own list lies unseen over it. */
export const Over = styled('select')({
  position: 'absolute',
  inset: 0,
  width: '100%',
  opacity: 0,
  font: 'inherit',
  fontSize: 16,
  cursor: 'pointer',
  border: 0,
});

/** Bare, so that what is typed reads as the word it is. */
export const Bare = styled('input')({
  all: 'unset',
  font: 'inherit',
  color: 'inherit',
  letterSpacing: 'inherit',
  textAlign: 'inherit',
  gridArea: '1 / 1',
  // Its own width would be that of a letter at least.
  width: 0,
  minWidth: '100%',
});

/** Small beside a word: its unit, or how it was read while it is in hand. */
export const Beside = styled('small')(({ theme }) => ({
  fontSize: 13.5,
  marginLeft: 4,
  whiteSpace: 'nowrap',
  '&[data-hand]': { display: 'none', color: theme.vars.palette.text.secondary },
}));
