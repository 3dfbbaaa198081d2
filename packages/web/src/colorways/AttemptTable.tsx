import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  dayOf,
  goodsWords,
  summarizeBatch,
  type Attempt,
  type AttemptRow,
  type ShelfResponse,
  type Sought,
} from '@ythrion/core';
import { KeepVersion } from '../batch/KeepVersion';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { usePutOnShelf } from '../studio/queries';

export interface AttemptTableProps {
  attempts: readonly Attempt[];
  rows: readonly AttemptRow[];
  sought: Sought;
  shelf: ShelfResponse;
  onHide: (batchId: string) => void;
}

/** Attempts as columns: the hank above, then what went in dye by dye, then how it came out. What differs from the one before stands bold. */
export function AttemptTable({ attempts, rows, sought, shelf, onHide }: AttemptTableProps) {
  const put = usePutOnShelf('soughts');
  const line = (name: string, of: (attempt: Attempt, i: number) => ReactNode) => (
    <TableRow>
      <TableCell component="th" scope="row" sx={STICKS}>
        {name}
      </TableCell>
      {attempts.map((attempt, i) => (
        <TableCell key={attempt.batch.id} sx={{ verticalAlign: 'top' }}>
          {of(attempt, i)}
        </TableCell>
      ))}
    </TableRow>
  );
  return (
    <Box sx={{ overflowX: 'auto', pb: '4px' }} tabIndex={0} role="region" aria-label="Attempts side by side">
      <Table size="small" aria-label="Attempts" sx={{ width: 'auto' }}>
        <TableHead>
          <TableRow>
            <TableCell component="td" sx={STICKS} />
            {attempts.map(({ batch, number }) => (
              <TableCell key={batch.id} sx={{ verticalAlign: 'bottom', minWidth: 150 }}>
                <Box sx={{ bgcolor: 'booth', p: 0.5, display: 'inline-block' }}>
                  <Hank
                    look={summarizeBatch(batch, shelf.dyes).look}
                    seed={batch.id}
                    label={`Hank of attempt ${number}`}
                    width={96}
                    height={132}
                  />
                </Box>
                <Typography sx={{ fontWeight: 700 }}>Attempt {number}</Typography>
                <Typography variant="body2">
                  <Link to={`/book/${batch.id}`}>{batch.code}</Link> · {dayOf(batch.startedAt)}
                </Typography>
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {line('Goods', ({ batch, goods }) => (
            <>
              <FigureText figure={goods} name="Goods" /> · {goodsWords(batch.card)}
            </>
          ))}
          {rows.map((row) => (
            <TableRow key={row.dyeId}>
              <TableCell component="th" scope="row" sx={STICKS}>
                {row.dyeName}
              </TableCell>
              {row.cells.map(({ amount, dos, differs, atLeast }, i) => (
                <TableCell
                  key={attempts[i]?.batch.id ?? i}
                  sx={{
                    verticalAlign: 'top',
                    ...(!differs && i > 0 && { '& *': { fontWeight: '400 !important' } }),
                  }}
                >
                  {amount && dos ? (
                    <>
                      {differs && <span aria-label="differs">≠ </span>}
                      <FigureText figure={amount} name={`${row.dyeName}, attempt ${i + 1}`} px={20} />
                      <br />
                      {atLeast && 'at least '}
                      <FigureText figure={dos} name={`Depth of ${row.dyeName}, attempt ${i + 1}`} px={14} />
                    </>
                  ) : (
                    <>{differs && <span aria-label="differs">≠ </span>}none</>
                  )}
                </TableCell>
              ))}
            </TableRow>
          ))}
          {line('Acid', ({ acidPerL }) =>
            acidPerL ? <FigureText figure={acidPerL} name="Pure acid" /> : 'none',
          )}
          {line('Bath', ({ bath, bathLook }) => (
            <>
              <FigureText figure={bath} name="Bath" />
              {bathLook !== null && `, ${bathLook}`}
            </>
          ))}
          {line('Came out', ({ verdict, dryLook }) => (
            <Typography component="span" sx={{ fontWeight: 700 }}>
              {verdict === null
                ? 'still wet'
                : `${verdict.words === '' ? verdict.outcome : `“${verdict.words}”, ${verdict.outcome}`}`}
              {dryLook !== null && `, dry: ${dryLook}`}
            </Typography>
          ))}
          {line('Keep it', ({ batch, truly }) => (
            <>
              {batch.colorwayId === null && (
                <KeepVersion
                  batch={batch}
                  version={truly.version}
                  reading={{ batch, dyes: [...batch.formulation.dyes, ...shelf.dyes], studio: shelf.studio }}
                  name={sought.name}
                  onKept={(foundAs) => put.mutateAsync(foundIn(sought, foundAs))}
                />
              )}
              <Button size="small" onClick={() => onHide(batch.id)}>
                Leave out here
              </Button>
            </>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** The names of the rows stay while the columns are pushed. */
const STICKS = {
  position: 'sticky',
  left: 0,
  bgcolor: 'background.default',
  zIndex: 1,
  verticalAlign: 'top',
} as const;

/** A color that was found. */
const foundIn = (sought: Sought, foundAs: string): Sought => ({ ...sought, foundAs });
