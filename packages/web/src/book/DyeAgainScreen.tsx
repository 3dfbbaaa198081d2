import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import {
  comparePlans,
  formulate,
  goodsLineSchema,
  jarWords,
  planFormulation,
  rescaleRecipe,
  type Batch,
  type DyeLine,
  type Recipe,
  type Rescale,
  type ShelfResponse,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { planOrWhy } from '../colorways/usePlan';
import { useBeginBatch, useRunning } from '../api/queries';
import { Choice } from '../parts/Choice';
import { ComparedValue } from '../parts/ComparedValue';
import { Hank } from '../parts/Hank';
import { OpenedBatch } from '../parts/OpenedBatch';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { QuantityField } from '../parts/QuantityField';
import { batchView } from '../pots/batchView';
import { freePot } from '../pots/freePot';
import { say } from '../parts/say';

/** Dye a batch again from its true recipe: another count, another base, other jars; old and new side by side. */
export function DyeAgainScreen() {
  return <OpenedBatch>{(batch, shelf) => <Again batch={batch} shelf={shelf} />}</OpenedBatch>;
}

function Again({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  const { actual } = useMemo(() => batchView(batch, shelf.dyes), [batch, shelf.dyes]);
  if (actual.recipe === null)
    return (
      <Box sx={{ p: 3 }}>
        <Typography sx={{ mb: 2 }}>No dye went into this batch, so there is nothing to dye again.</Typography>
        <Button component={Link} to={`/book/${batch.id}`} variant="outlined">
          Back to the record
        </Button>
      </Box>
    );
  return <AgainForm batch={batch} shelf={shelf} recipe={actual.recipe} />;
}

function AgainForm({ batch, shelf, recipe }: { batch: Batch; shelf: ShelfResponse; recipe: Recipe }) {
  const materials = useMemo(
    () => ({
      bases: merge(shelf.bases, batch.formulation.bases),
      dyes: merge(shelf.dyes, batch.formulation.dyes),
      stocks: merge(shelf.stocks, batch.formulation.stocks),
      pots: shelf.pots,
      tools: shelf.tools,
      studio: shelf.studio,
    }),
    [shelf, batch],
  );
  const first = recipe.goods[0];
  const [count, setCount] = useState(first?.count ?? 1);
  const [baseId, setBaseId] = useState(first?.baseId ?? '');
  const [gramsEach, setGramsEach] = useState(first?.gramsEach ?? 100);
  const [stockFor, setStockFor] = useState<Record<string, string | null>>({});
  const [depthOn, setDepthOn] = useState<Rescale['depthOn']>('dyeable');
  const running = useRunning().data ?? [];
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const before = useMemo(() => planOrWhy(batch.name, recipe, materials), [batch.name, recipe, materials]);
  const made = useMemo(() => {
    try {
      const scaled = rescaleRecipe(
        recipe,
        {
          goods: [goodsLineSchema.parse({ id: first?.id ?? 'g1', baseId, count, gramsEach })],
          stockFor,
          depthOn,
        },
        materials,
      );
      const formulation = formulate(batch.name, scaled, materials);
      return {
        formulation,
        plan: planFormulation(formulation, { left: shelf.stockLeft, today: new Date().toISOString() }),
        problem: null,
      };
    } catch (error) {
      return {
        formulation: null,
        plan: null,
        problem: error instanceof Error ? error.message : 'This cannot be dyed.',
      };
    }
  }, [recipe, first, baseId, count, gramsEach, stockFor, depthOn, materials, batch.name, shelf.stockLeft]);
  const chooseBase = (next: string): void => {
    setBaseId(next);
    const base = materials.bases.find((candidate) => candidate.id === next);
    if (base) setGramsEach(base.putUpGrams);
  };
  const start = async (): Promise<void> => {
    if (!made.formulation) return;
    try {
      const next = await begin.mutateAsync({
        id: newId(),
        name: batch.name,
        colorwayId: batch.colorwayId,
        colorwayVersion: batch.colorwayVersion,
        againOf: batch.id,
        startedAt: new Date().toISOString(),
        formulation: {
          ...made.formulation,
          pot:
            freePot(
              shelf.pots.filter((pot) => !pot.retired),
              running,
            ) ?? null,
        },
      });
      void navigate(`/pots/${next.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  if (before.plan === null)
    return (
      <Box sx={{ p: 3 }}>
        <Typography role="alert">✕ This batch cannot be planned as it was dyed. {before.problem}</Typography>
      </Box>
    );
  const then = before.plan;
  const share = (of: typeof then): number => of.dyeablePercent.value;
  const mixed = made.plan !== null && Math.abs(share(then) - share(made.plan)) > 0.01;
  return (
    <Box sx={{ pb: 3 }}>
      <Box sx={{ px: 2, pt: 1.5, pb: 1 }}>
        <Typography variant="body2" color="text.secondary">
          <Link to={`/book/${batch.id}`}>Batch {batch.code}</Link>, dye again from what really went in
        </Typography>
        <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
          {batch.name}
        </Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          px: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 130px 1.3fr' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h2">Now on</Typography>
          <Choice
            label="Base"
            value={baseId}
            options={materials.bases
              .filter((base) => !base.retired || base.id === baseId)
              .map((base) => ({ value: base.id, label: base.name }))}
            onChange={chooseBase}
          />
          <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
            <QuantityField autoFocus label="Count" kind="count" value={count} onChange={setCount} />
            <QuantityField label="Each, dry" kind="fiberMass" value={gramsEach} onChange={setGramsEach} />
          </Box>
          {mixed && (
            <Choice
              label="Keep the depth on"
              value={depthOn}
              options={[
                { value: 'dyeable', label: 'the part that takes dye' },
                { value: 'goods', label: 'all the goods' },
              ]}
              onChange={setDepthOn}
            />
          )}
          {eachDyeOnce(recipe).map((line) => (
            <Choice
              key={line.dyeId}
              label={`${materials.dyes.find((dye) => dye.id === line.dyeId)?.name ?? 'Dye'} from`}
              value={(stockFor[line.dyeId] === undefined ? line.stockId : stockFor[line.dyeId]) ?? ''}
              options={[
                ...materials.stocks
                  .filter(
                    (stock) => stock.dyeId === line.dyeId && (!stock.retired || stock.id === line.stockId),
                  )
                  .map((stock) => ({
                    value: stock.id,
                    label: `stock ${jarWords(stock)}`,
                  })),
                { value: '', label: 'powder, weighed' },
              ]}
              onChange={(stockId) =>
                setStockFor({ ...stockFor, [line.dyeId]: stockId === '' ? null : stockId })
              }
            />
          ))}
          {made.problem !== null && <Typography role="alert">✕ {made.problem}</Typography>}
          {made.plan && <Notices notices={made.plan.notices} />}
          <Button
            variant="contained"
            disabled={!made.formulation || made.plan.notices.some(({ blocks }) => blocks) || begin.isPending}
            onClick={() => void start()}
          >
            Begin this batch
          </Button>
        </Box>
        <Box sx={{ display: { xs: 'none', md: 'block' }, pt: 4 }}>
          <Hank
            form="twisted"
            {...(made.plan?.goods[0]?.looks.at(-1) && { look: made.plan.goods[0].looks.at(-1) })}
            seed={batch.id}
            label={`Hank of ${batch.name} on the new base, an estimate`}
            width={120}
            height={220}
          />
        </Box>
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small" aria-label="Old and new amounts">
            <TableHead>
              <TableRow>
                <TableCell>Amount</TableCell>
                <TableCell align="right">Then</TableCell>
                <TableCell align="right">Now</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {made.plan &&
                comparePlans(then, made.plan).map((line) => (
                  <TableRow key={line.label}>
                    <TableCell>{line.label}</TableCell>
                    <TableCell align="right">
                      <ComparedValue value={line.before} name={`${line.label}, then`} />
                    </TableCell>
                    <TableCell align="right">
                      <ComparedValue value={line.after} name={`${line.label}, now`} px={18} />
                    </TableCell>
                  </TableRow>
                ))}
            </TableBody>
          </Table>
        </Box>
      </Box>
    </Box>
  );
}

/** The shelf's own things, and those an old record refers to that are no longer there. */
function merge<T extends { id: string }>(shelf: readonly T[], old: readonly T[]): T[] {
  return [...shelf, ...old.filter((thing) => !shelf.some((known) => known.id === thing.id))];
}

/** The dyes of every pass, each once: a jar is chosen for the dye, wherever it is poured. */
function eachDyeOnce({ passes }: Recipe): DyeLine[] {
  const lines = passes.flatMap((pass) => pass.dyes);
  return lines.filter((line, i) => lines.findIndex((other) => other.dyeId === line.dyeId) === i);
}
