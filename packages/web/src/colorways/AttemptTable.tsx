import { useMemo, type ReactNode } from 'react';
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
  type AttemptCell,
  type AttemptRow,
  type Plan,
  type ShelfResponse,
  type Sought,
  type YarnLook,
} from '@ythrion/core';
import { DryLook } from './DryLook';
import { KeepVersion } from '../batch/KeepVersion';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { ColorsRestOn } from '../studio/ColorsRestOn';
import { usePutOnShelf } from '../studio/queries';

/** A version of the colorway that the color was found as. */
export interface VersionColumn {
  id: string;
  version: number;
  plan: Plan;
}

export interface AttemptTableProps {
  attempts: readonly Attempt[];
  versions: readonly VersionColumn[];
  /** Of the attempts and then of the versions. */
  rows: readonly AttemptRow[];
  sought: Sought;
  shelf: ShelfResponse;
  onHide: (id: string) => void;
}

/**
 * Attempts as columns, and behind them versions of what was found: the hank above, then dye by dye, then how it came out.
 * What differs from the one before stands bold.
 */
export function AttemptTable({ attempts, versions, rows, sought, shelf, onHide }: AttemptTableProps) {
  const put = usePutOnShelf('soughts');
  const looks = useMemo(
    () => [
      ...attempts.map(({ batch }) => summarizeBatch(batch, shelf.dyes).look),
      ...versions.map(({ plan }) => plan.goods[0]?.looks.at(-1)),
    ],
    [attempts, versions, shelf.dyes],
  );
  const keys = [...attempts.map(({ batch }) => batch.id), ...versions.map(({ version }) => `v${version}`)];
  const line = (
    name: string,
    of: (attempt: Attempt) => ReactNode,
    ofVersion: (version: VersionColumn) => ReactNode,
  ) => (
    <TableRow>
      <TableCell component="th" scope="row" sx={STICKS}>
        {name}
      </TableCell>
      {[...attempts.map(of), ...versions.map(ofVersion)].map((cell, i) => (
        <TableCell key={keys[i]} sx={{ verticalAlign: 'top' }}>
          {cell}
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
            {attempts.map(({ batch, number }, i) => (
              <Top key={batch.id} look={looks[i]} seed={batch.id} title={`Attempt ${number}`}>
                <Link to={`/book/${batch.id}`}>{batch.code}</Link> · {dayOf(batch.startedAt)}
              </Top>
            ))}
            {versions.map(({ id, version }, i) => (
              <Top
                key={`v${version}`}
                look={looks[attempts.length + i]}
                seed={`${id}-${version}`}
                title={`Version ${version}`}
              >
                <Link to={`/colorways/${id}`}>the colorway</Link>
              </Top>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {line(
            'Goods',
            ({ batch, goods }) => (
              <>
                <FigureText figure={goods} name="Goods" /> · {goodsWords(batch.card)}
              </>
            ),
            ({ plan }) => (
              <FigureText figure={plan.wog} name="Goods" />
            ),
          )}
          {rows.map((row) => (
            <TableRow key={row.dyeId}>
              <TableCell component="th" scope="row" sx={STICKS}>
                {row.dyeName}
              </TableCell>
              {row.cells.map((cell, i) => (
                <DyeCell key={keys[i]} name={row.dyeName} cell={cell} first={i === 0} />
              ))}
            </TableRow>
          ))}
          {line(
            'Acid',
            ({ acidPerL }) => (acidPerL ? <FigureText figure={acidPerL} name="Pure acid" /> : 'none'),
            ({ plan }) =>
              plan.totals.acids.map(({ label, amount }) => (
                <div key={label}>
                  <FigureText figure={amount} name={label} /> {label}
                </div>
              )),
          )}
          {line(
            'Bath',
            ({ bath, bathLook }) => (
              <>
                <FigureText figure={bath} name="Bath" />
                {bathLook !== null && `, ${bathLook}`}
              </>
            ),
            ({ plan }) => (
              <FigureText figure={plan.totals.water} name="Water" />
            ),
          )}
          {line(
            'Came out',
            ({ batch, number, verdict, dryLook }) => (
              <>
                <Typography component="span" sx={{ fontWeight: 700 }}>
                  {verdict === null
                    ? 'still wet'
                    : `${verdict.words === '' ? verdict.outcome : `“${verdict.words}”, ${verdict.outcome}`}`}
                  {dryLook !== null && `, dry: ${dryLook}`}
                </Typography>
                {verdict !== null && <DryLook batch={batch} number={number} />}
              </>
            ),
            () => 'a recipe',
          )}
          {line(
            'Keep it',
            ({ batch, truly }) => (
              <>
                {batch.colorwayId === null && (
                  <KeepVersion
                    batch={batch}
                    version={truly.version}
                    reading={{
                      batch,
                      dyes: [...batch.formulation.dyes, ...shelf.dyes],
                      studio: shelf.studio,
                    }}
                    name={sought.name}
                    onKept={(foundAs) => put.mutateAsync(foundIn(sought, foundAs))}
                  />
                )}
                <Button size="small" onClick={() => onHide(batch.id)}>
                  Leave out here
                </Button>
              </>
            ),
            ({ version }) => (
              <Button size="small" onClick={() => onHide(`v${version}`)}>
                Leave out here
              </Button>
            ),
          )}
        </TableBody>
      </Table>
      <ColorsRestOn looks={looks.filter((look) => look !== undefined)} shelf={shelf} />
    </Box>
  );
}

/** The head of a column: its yarn, what it is, and where it stands. */
function Top({
  look,
  seed,
  title,
  children,
}: {
  look: YarnLook | undefined;
  seed: string;
  title: string;
  children: ReactNode;
}) {
  return (
    <TableCell sx={{ verticalAlign: 'bottom', minWidth: 150 }}>
      <Box sx={{ bgcolor: 'booth', p: 0.5, display: 'inline-block' }}>
        <Hank {...(look && { look })} seed={seed} label={`Hank of ${title}`} width={96} height={132} />
      </Box>
      <Typography sx={{ fontWeight: 700 }}>{title}</Typography>
      <Typography variant="body2">{children}</Typography>
    </TableCell>
  );
}

/** One dye of one column; lighter type where it is as in the one before. */
function DyeCell({ name, cell, first }: { name: string; cell: AttemptCell; first: boolean }) {
  const { amount, dos, differs, atLeast } = cell;
  const mark = differs && <span aria-label="differs">≠ </span>;
  return (
    <TableCell
      sx={{ verticalAlign: 'top', ...(!differs && !first && { '& *': { fontWeight: '400 !important' } }) }}
    >
      {mark}
      {amount && dos ? (
        <>
          <FigureText figure={amount} name={name} px={20} />
          <br />
          {atLeast && 'at least '}
          <FigureText figure={dos} name={`Depth of ${name}`} px={14} />
        </>
      ) : (
        'none'
      )}
    </TableCell>
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
