import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { NavLink } from 'react-router';
import { FindField } from '../find/FindField';

/** In the order of the work; the pots stand apart, they are the wet side. */
const DESK = [
  { to: '/pour', word: 'Pour' },
  { to: '/colorways', word: 'Colorways' },
  { to: '/book', word: 'Book' },
  { to: '/shelf', word: 'Shelf' },
] as const;

/** The slim column of places; along the bottom on a phone. */
export function Places() {
  return (
    <Box
      component="nav"
      aria-label="Places"
      sx={{
        gridRow: { xs: 2, sm: 1 },
        gridColumn: 1,
        position: 'sticky',
        bottom: 0,
        top: { sm: 0 },
        zIndex: 21,
        height: { xs: 56, sm: '100dvh' },
        bgcolor: 'background.default',
        display: 'flex',
        flexDirection: { xs: 'row', sm: 'column' },
        borderRight: { sm: 1 },
        borderTop: { xs: 1, sm: 0 },
        borderColor: { xs: 'divider', sm: 'divider' },
      }}
    >
      <Typography
        component="div"
        sx={{
          display: { xs: 'none', sm: 'block' },
          px: 1.5,
          pt: 1.75,
          pb: 1.5,
          fontWeight: 700,
          fontSize: 17,
          letterSpacing: '-0.01em',
        }}
      >
        Ythrion
      </Typography>
      <Box sx={{ display: { xs: 'none', sm: 'block' }, px: 1, pb: 1 }}>
        <FindField />
      </Box>
      {DESK.map(({ to, word }) => (
        <Place key={to} to={to} word={word} />
      ))}
      <Box sx={{ flex: { xs: 0, sm: 1 } }} />
      <Place to="/pots" word="Pots" />
    </Box>
  );
}

function Place({ to, word }: { to: string; word: string }) {
  return (
    <ButtonBase
      component={NavLink}
      to={to}
      sx={{
        flex: { xs: 1, sm: 'none' },
        minHeight: 48,
        justifyContent: { xs: 'center', sm: 'flex-start' },
        px: { xs: 0.5, sm: 1.5 },
        fontSize: { xs: 14, sm: 16 },
        borderLeft: { sm: '4px solid transparent' },
        borderTop: { xs: '4px solid transparent', sm: 0 },
        fontWeight: 500,
        '&.active': { fontWeight: 700, borderColor: 'text.primary' },
      }}
    >
      {word}
    </ButtonBase>
  );
}
