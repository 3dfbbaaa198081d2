import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import { dayOf, depthWords, formatAmount, type BatchSummary, type BookOrder } from '@ythrion/core';
import { useBook } from '../studio/queries';
import type { AskedOfBook } from './useBookQuery';

interface Column {
  heading: string;
  said: (row: BatchSummary) => string;
  /** What its heading puts the Book in order by. */
  order?: BookOrder;
  /** Figures stand at the right. */
  figure?: boolean;
}

const COLUMNS: readonly Column[] = [
  { heading: 'Begun', said: ({ startedAt }) => dayOf(startedAt), order: 'startedAt' },
  { heading: 'Colorway', said: ({ name }) => name, order: 'name' },
  { heading: 'Goods', said: ({ bases }) => bases },
  { heading: 'Mass', said: ({ wogGrams }) => formatAmount(wogGrams, 'g'), order: 'wogGrams', figure: true },
  { heading: 'Depth', said: ({ dosPercent }) => depthWords(dosPercent), order: 'dosPercent', figure: true },
  { heading: 'Dyes', said: ({ dyes }) => dyes },
  { heading: 'Verdict', said: ({ outcome }) => outcome ?? 'still wet', order: 'outcome' },
  { heading: 'Standing', said: ({ standing }) => standing ?? '', order: 'standing' },
];
/** Which way a heading orders first: the newest, the deepest and the most on top, words from A on. */
const FIRST_DOWN: ReadonlySet<BookOrder> = new Set(['startedAt', 'wogGrams', 'dosPercent']);
const ON_PAGE = 25;

const CELL = {
  px: 1,
  py: 0,
  height: 44,
  borderBottom: 1,
  borderColor: 'divider',
  textAlign: 'left',
} as const;

/** The Book as a table, a page at a time from the server. A heading puts it in order, rail and all. */
export function BookTable({ asked: { filter, order, way, inOrder } }: { asked: AskedOfBook }) {
  // A page of what is asked for now; whatever else is asked for begins with its first.
  const of = JSON.stringify({ filter, order, way });
  const [at, setAt] = useState({ of, page: 0 });
  const page = at.of === of ? at.page : 0;
  const setPage = (next: number): void => setAt({ of, page: next });
  const { data } = useBook({ ...filter, order, way, offset: page * ON_PAGE, limit: ON_PAGE });
  const navigate = useNavigate();
  const turn = (by: BookOrder): void => {
    const first = FIRST_DOWN.has(by) ? 'down' : 'up';
    inOrder(by, by === order ? (way === 'down' ? 'up' : 'down') : first);
  };
  if (!data) return null;
  const pages = Math.ceil(data.total / ON_PAGE);
  return (
    <Box sx={{ px: 2 }}>
      <Box
        component="table"
        aria-label="All batches"
        sx={{ width: '100%', borderCollapse: 'collapse', fontSize: 14 }}
      >
        <thead>
          <tr>
            <Box component="th" scope="col" sx={CELL}>
              Batch
            </Box>
            {COLUMNS.map(({ heading, order: by, figure }) => (
              <Box
                component="th"
                scope="col"
                key={heading}
                aria-sort={by !== order ? undefined : way === 'up' ? 'ascending' : 'descending'}
                sx={{ ...CELL, ...(figure && { textAlign: 'right' }), whiteSpace: 'nowrap' }}
              >
                {by === undefined ? (
                  heading
                ) : (
                  <ButtonBase
                    onClick={() => turn(by)}
                    sx={{ font: 'inherit', minHeight: 44, fontWeight: 700 }}
                  >
                    {heading}
                    <span aria-hidden>{by !== order ? '' : way === 'up' ? ' ↑' : ' ↓'}</span>
                  </ButtonBase>
                )}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {data.rows.map((row) => (
            <Box
              component="tr"
              key={row.id}
              onClick={() => void navigate(`/book/${row.id}`)}
              sx={{ cursor: 'pointer', '&:hover, &:focus-within': { bgcolor: 'action.hover' } }}
            >
              <Box component="td" sx={{ ...CELL, whiteSpace: 'nowrap' }}>
                <Link
                  to={`/book/${row.id}`}
                  onClick={(event) => event.stopPropagation()}
                  style={{ color: 'inherit', display: 'block', lineHeight: '44px' }}
                >
                  {row.code}
                </Link>
              </Box>
              {COLUMNS.map(({ heading, said, figure }) => (
                <Box
                  component="td"
                  key={heading}
                  sx={{ ...CELL, ...(figure && { textAlign: 'right', whiteSpace: 'nowrap' }) }}
                >
                  {said(row)}
                </Box>
              ))}
            </Box>
          ))}
        </tbody>
      </Box>
      {pages > 1 && (
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'flex-end', gap: 1, pt: 1 }}>
          <Typography variant="body2">
            {page * ON_PAGE + 1} to {Math.min(data.total, (page + 1) * ON_PAGE)} of{' '}
            {data.total.toLocaleString('en-US')}
          </Typography>
          <Button disabled={page === 0} onClick={() => setPage(page - 1)}>
            Before
          </Button>
          <Button disabled={page + 1 >= pages} onClick={() => setPage(page + 1)}>
            After
          </Button>
        </Box>
      )}
    </Box>
  );
}
