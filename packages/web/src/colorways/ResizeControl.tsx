import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import {
  comparePlans,
  FieldError,
  formulate,
  planFormulation,
  resizeRecipe,
  type Plan,
  type Recipe,
  type Resize,
  type ShelfResponse,
} from '@ythrion/core';
import { ComparedValue } from '../parts/ComparedValue';
import { everythingReads } from '../parts/everythingReads';
import { SaidAmount } from '../sentence/SaidAmount';
import { Sentence } from '../sentence/Sentence';
import { WordToggle } from '../parts/WordToggle';
import type { Draft } from './useDraft';

const KINDS = ['same depth', 'same dye', 'deeper', 'paler'] as const;

export interface ResizeControlProps {
  draft: Draft;
  plan: Plan;
  shelf: ShelfResponse;
  onDone: () => void;
}

/** More goods at the same depth, the same dye on more goods, or one step deeper or paler: before and after. */
export function ResizeControl({ draft, plan, shelf, onDone }: ResizeControlProps) {
  const { recipe, name } = draft.colorway;
  const [kind, setKind] = useState<Resize['kind']>('same depth');
  const [count, setCount] = useState(recipe.goods[0]?.count ?? 1);
  const spread = kind === 'same depth' || kind === 'same dye';
  const change: Resize = spread ? { kind, goods: withCount(recipe, count) } : { kind };
  const next = resizeRecipe(recipe, change, plan);
  const after = attempt(name, next, shelf);
  return (
    <Box
      component="section"
      aria-label="Size and depth"
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          gridTemplateColumns: { xs: '1fr', md: '2fr 180px auto' },
          alignItems: 'start',
          maxWidth: 860,
        }}
      >
        <WordToggle label="What changes" value={kind} words={KINDS} onChange={setKind} />
        {spread ? (
          <Sentence>
            to <SaidAmount label="New count" kind="count" value={count} onChange={setCount} /> pieces
          </Sentence>
        ) : (
          <Typography variant="body2" sx={{ alignSelf: 'center' }}>
            one rung of the ladder
          </Typography>
        )}
        <Button
          variant="contained"
          disabled={typeof after === 'string'}
          onClick={() => {
            if (!everythingReads()) return;
            draft.changeRecipe({ goods: next.goods, passes: next.passes });
            onDone();
          }}
        >
          Take it
        </Button>
      </Box>
      {typeof after === 'string' ? (
        <Typography role="alert">✕ {after}</Typography>
      ) : (
        <Table size="small" aria-label="Before and after" sx={{ maxWidth: 860 }}>
          <TableHead>
            <TableRow>
              <TableCell>Amount</TableCell>
              <TableCell align="right">Before</TableCell>
              <TableCell align="right">After</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {comparePlans(plan, after)
              .filter((line) => line.differs || line.label.endsWith('depth') || line.label === 'Goods')
              .map((line) => (
                <TableRow key={line.label}>
                  <TableCell>{line.label}</TableCell>
                  <TableCell align="right">
                    <ComparedValue value={line.before} name={`${line.label}, before`} />
                  </TableCell>
                  <TableCell align="right">
                    <ComparedValue value={line.after} name={`${line.label}, after`} px={18} />
                  </TableCell>
                </TableRow>
              ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}

/** The goods with another count on the first line, the other lines grown alike. */
function withCount({ goods }: Recipe, count: number): Recipe['goods'] {
  const ratio = count / (goods[0]?.count ?? 1);
  return goods.map((line, i) =>
    line.catchUp
      ? line
      : i === 0
        ? { ...line, count, weighedGrams: line.weighedGrams === null ? null : line.weighedGrams * ratio }
        : {
            ...line,
            weighedGrams: (line.weighedGrams ?? line.count * line.gramsEach) * ratio,
            count: Math.max(1, Math.round(line.count * ratio)),
          },
  );
}

function attempt(name: string, recipe: Recipe, shelf: ShelfResponse): Plan | string {
  try {
    return planFormulation(formulate(name, recipe, shelf), { left: shelf.stockLeft });
  } catch (error) {
    if (error instanceof FieldError) return error.message;
    throw error;
  }
}
