import { lazy, Suspense, useDeferredValue, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { Link } from 'react-router';
import { dayOf, type BatchSummary } from '@ythrion/core';
import { useBook } from '../studio/queries';
import { Hank } from '../parts/Hank';
import { TextLine } from '../parts/TextLine';
import { Waiting } from '../parts/Waiting';

const BookTable = lazy(async () => ({ default: (await import('./BookTable')).BookTable }));
const ON_RAIL = 40;

/** All batches as hanks on the drying rail, newest first, and as a table on the desk. */
export function BookScreen() {
  const [q, setQ] = useState('');
  const search = useDeferredValue(q);
  const book = useBook(search, 0, ON_RAIL);
  const desk = useMediaQuery(useTheme().breakpoints.up('md'));
  if (!book.data) return <Waiting error={book.error} />;
  return (
    <Box sx={{ pb: 2 }}>
      <Box sx={{ px: 2, pt: 1.5, pb: 1, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Book</Typography>
        <Box sx={{ width: 320, maxWidth: '100%' }}>
          <TextLine
            label="Search the book"
            value={q}
            onChange={setQ}
            maxLength={100}
            placeholder="name, code, base, dye, verdict"
          />
        </Box>
        <Typography variant="body2" color="text.secondary" role="status">
          {book.data.total === 1 ? '1 batch' : `${book.data.total} batches`}
        </Typography>
        <Box sx={{ flex: 1 }} />
        <Button component={Link} to="/book/remember">
          From the notebook
        </Button>
      </Box>
      {book.data.total === 0 ? (
        <Typography sx={{ px: 2 }}>
          {q === '' ? 'No batch yet. The first one you begin hangs here.' : 'No batch with all these words.'}
        </Typography>
      ) : (
        <Rail rows={book.data.rows} />
      )}
      {desk && book.data.total > 0 && (
        <Suspense fallback={<Waiting />}>
          <BookTable q={search} />
        </Suspense>
      )}
    </Box>
  );
}

/** Hanks hanging in date order. */
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
              <Hank
                hex={row.hex}
                seed={row.id}
                label={`Hank of ${row.name}`}
                width={92}
                height={128}
                unevenness={0.25}
              />
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
