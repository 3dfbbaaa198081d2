import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Figure, Plan } from '@ythrion/core';
import { FigureText } from './FigureText';

/** The thin standing line of totals above a formulation. */
export function Totals({ plan, currency }: { plan: Plan; currency: string }) {
  const { totals } = plan;
  const parts: [string, Figure | null, string][] = [
    ['Goods', plan.wog, 'Weight of goods'],
    ['Dye', totals.dye, 'Dye in all'],
    ['Depth', totals.dos, 'Depth of shade in all'],
    ['Water', totals.water, 'Water to run'],
    ...totals.acids.map(({ label, amount }): [string, Figure, string] => [
      capital(label),
      amount,
      `Acid in all, ${label}`,
    ]),
    ['On heat', totals.onHeat, 'Time on heat'],
    ['Hands on', totals.handsOn, 'Hands-on time'],
    [`Dye cost ${currency}`, totals.cost, 'Cost of the dye'],
  ];
  return (
    <Box
      component="dl"
      aria-label="Totals"
      sx={{
        display: 'flex',
        flexWrap: { xs: 'nowrap', sm: 'wrap' },
        overflowX: { xs: 'auto', sm: 'visible' },
        // What is pressed reaches a little over its line: that is nothing to scroll to.
        overflowY: { xs: 'hidden', sm: 'visible' },
        whiteSpace: 'nowrap',
        columnGap: 2.5,
        rowGap: 0.5,
        m: 0,
        px: { xs: 1.5, sm: 2 },
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
        position: 'sticky',
        top: 0,
        zIndex: 10,
        bgcolor: 'background.default',
      }}
    >
      {parts.map(([word, figure, name]) =>
        figure ? (
          <Box key={name} sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline' }}>
            <Typography component="dt" variant="caption" color="text.secondary">
              {word}
            </Typography>
            <Box component="dd" sx={{ m: 0 }}>
              <FigureText figure={figure} name={name} />
            </Box>
          </Box>
        ) : null,
      )}
    </Box>
  );
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
