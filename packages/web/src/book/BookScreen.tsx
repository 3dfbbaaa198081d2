import { lazy, Suspense, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { Link } from 'react-router';
import { dayOf, type BatchSummary } from '@ythrion/core';
import { ColorsRestOn } from '../studio/ColorsRestOn';
import { useBook, useShelf } from '../studio/queries';
import { Hank } from '../parts/Hank';
import { TextLine } from '../parts/TextLine';
import { Waiting } from '../parts/Waiting';
import { useBookQuery } from './useBookQuery';

const BookTable = lazy(async () => ({ default: (await import('./BookTable')).BookTable }));
const NarrowBook = lazy(async () => ({ default: (await import('./NarrowBook')).NarrowBook }));
const ON_RAIL = 40;

/** All batches as hanks on the drying rail, and as a table on the desk: searched, narrowed and in order together. */
export function BookScreen() {
  const asked = useBookQuery();
  const { filter, order, way } = asked;
  const shelf = useShelf();
  const book = useBook({ ...filter, order, way, limit: ON_RAIL });
  const desk = useMediaQuery(useTheme().breakpoints.up('md'));
  const by = Object.entries(filter).filter(([name, value]) => name !== 'q' && value !== undefined).length;
  const [narrowing, setNarrowing] = useState(by > 0);
  if (!book.data) return <Waiting error={book.error} />;
  const { total, rows } = book.data;
  const all = by === 0 && filter.q === '';
  return (
    <Box sx={{ pb: 2 }}>
      <Box sx={{ px: 2, pt: 1.5, pb: 1.5, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Book</Typography>
        <Box sx={{ width: 320, maxWidth: '100%' }}>
          <TextLine
            label="Search the book"
            value={asked.typed}
            onChange={asked.type}
            maxLength={100}
            placeholder="name, code, base, dye, verdict"
          />
        </Box>
        <Button variant="outlined" aria-expanded={narrowing} onClick={() => setNarrowing(!narrowing)}>
          {by === 0 ? 'Narrow and order' : `Narrowed by ${by}`}
        </Button>
        {!all && <Button onClick={asked.clear}>Show all</Button>}
        <Typography variant="body2" color="text.secondary" role="status">
          {total === 1 ? '1 batch' : `${total.toLocaleString('en-US')} batches`}
        </Typography>
        <Box sx={{ flex: 1 }} />
        <Button component={Link} to="/book/remember">
          From the notebook
        </Button>
      </Box>
      {narrowing && (
        <Suspense fallback={<Waiting />}>
          <NarrowBook asked={asked} />
        </Suspense>
      )}
      {total === 0 ? (
        <Typography sx={{ px: 2 }}>
          {all
            ? 'No batch yet. The first one you begin hangs here.'
            : 'No batch is all of this. Take one of it away, or show all.'}
        </Typography>
      ) : (
        <>
          <Box sx={{ px: 2, pb: 0.5 }}>
            {shelf.data && <ColorsRestOn looks={rows.map(({ look }) => look)} shelf={shelf.data} />}
          </Box>
          <Rail rows={rows} />
        </>
      )}
      {desk && total > 0 && (
        <Suspense fallback={<Waiting />}>
          <BookTable asked={asked} />
        </Suspense>
      )}
    </Box>
  );
}

/** Hanks hanging in the order asked for. */
function Rail({ rows }: { rows: readonly BatchSummary[] }) {
  return (
    <Box
      sx={{ bgcolor: 'booth', color: '#000', mb: 2, overflowX: { xs: 'visible', md: 'auto' } }}
      tabIndex={0}
      role="region"
      aria-label="Drying rail"
    >
      <Box
        component="ul"
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'flex',
          flexWrap: { xs: 'wrap', md: 'nowrap' },
          width: { md: 'max-content' },
          minWidth: { md: '100%' },
          borderTop: { md: '5px solid #222' },
        }}
      >
        {rows.map((row) => (
          <Box component="li" key={row.id} sx={{ width: { xs: '33.33%', md: 124 } }}>
            <ButtonBase
              component={Link}
              to={`/book/${row.id}`}
              sx={{ width: '100%', flexDirection: 'column', px: 0.5, pb: 1, color: '#000' }}
            >
              <Hank look={row.look} seed={row.id} label={`Hank of ${row.name}`} width={92} height={128} />
              <Typography
                variant="colorway"
                component="span"
                sx={{
                  fontSize: 16,
                  textAlign: 'center',
                  minHeight: 38,
                  display: 'flex',
                  alignItems: 'center',
                }}
              >
                {row.name}
              </Typography>
              <Typography variant="caption">
                {row.code} · {dayOf(row.startedAt).slice(0, -5)}
              </Typography>
              <Typography variant="caption" sx={{ fontWeight: row.outcome ? 400 : 700 }}>
                {row.outcome ?? 'still wet'}
              </Typography>
            </ButtonBase>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
