import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** One decision and what it comes to. */
export interface StageRow {
  key: string;
  left: ReactNode;
  right: ReactNode;
}

export interface YarnStageProps {
  title: string;
  /** Stands before the title: the handle of a stage that can be moved. */
  lead?: ReactNode;
  /** What can be added to this stage, at the end of its title line. */
  action?: ReactNode;
  /** Drawn on the line, in the middle. */
  yarn?: ReactNode;
  rows: readonly StageRow[];
  /** The line runs on from above and below, unless this is an end of it. */
  end?: 'top' | 'bottom';
}

/** Width of the middle with the yarn in it, px, on a desk. */
export const YARN_WIDTH = 132;

/**
 * A stage of the yarn's way down the page: decisions on the left, what they come to on the right of the same row,
 * the yarn between. On a phone the line moves to the left edge and the right side comes under the left.
 */
export function YarnStage({ title, lead, action, yarn, rows, end }: YarnStageProps) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        display: 'grid',
        columnGap: 2,
        rowGap: 0.5,
        px: { xs: 1.5, sm: 2 },
        alignItems: 'start',
        gridTemplateColumns: {
          xs: '44px minmax(0, 1fr)',
          md: `minmax(0, 1.5fr) ${YARN_WIDTH}px minmax(0, 1fr)`,
        },
        '&:not(:first-of-type)': { pt: 1 },
      }}
    >
      <Box
        sx={{
          gridColumn: { xs: 2, md: 1 },
          display: 'flex',
          flexWrap: { xs: 'wrap', md: 'nowrap' },
          columnGap: 1,
          alignItems: 'baseline',
          borderTop: 1,
          borderColor: 'divider',
          pt: 0.75,
        }}
      >
        {lead}
        <Typography variant="h2" noWrap sx={{ minWidth: 0 }}>
          {title}
        </Typography>
        {action && (
          <Box sx={{ ml: 'auto', my: '-6px', flex: 'none', '& .MuiButton-root': { px: 1, minWidth: 0 } }}>
            {action}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          gridColumn: { xs: 1, md: 2 },
          gridRow: { xs: `1 / span ${2 * rows.length + 1}`, md: `1 / span ${rows.length + 1}` },
          alignSelf: 'stretch',
          position: 'relative',
          display: 'flex',
          alignItems: { xs: 'flex-start', md: 'center' },
          justifyContent: 'center',
          minHeight: { xs: 60, md: 96 },
          '&::before': {
            content: '""',
            position: 'absolute',
            left: 'calc(50% - 1px)',
            width: 2,
            bgcolor: 'text.primary',
            top: end === 'top' ? { xs: 36, md: '50%' } : -12,
            bottom: end === 'bottom' ? '50%' : -4,
          },
        }}
      >
        {yarn !== undefined && (
          <Box
            sx={{
              position: 'relative',
              bgcolor: 'booth',
              p: 0.5,
              transform: { xs: 'scale(0.38)', md: 'none' },
              transformOrigin: 'top center',
            }}
          >
            {yarn}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          display: { xs: 'none', md: 'block' },
          gridColumn: 3,
          borderTop: 1,
          borderColor: 'divider',
          pt: 0.75,
        }}
      >
        <Typography variant="h2" component="div" aria-hidden>
          &nbsp;
        </Typography>
      </Box>
      {rows.map((row) => (
        <Box key={row.key} sx={{ display: 'contents' }}>
          <Box sx={{ gridColumn: { xs: 2, md: 1 }, minWidth: 0 }}>{row.left}</Box>
          <Box
            sx={{
              gridColumn: { xs: 2, md: 3 },
              minWidth: 0,
              pt: { md: '5px' },
            }}
          >
            <Box sx={{ minWidth: 0, width: '100%' }}>{row.right}</Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
