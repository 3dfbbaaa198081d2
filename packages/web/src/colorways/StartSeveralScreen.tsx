import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import {
  formatAmount,
  momentWords,
  needsOf,
  planTogether,
  spoken,
  threeFigures,
  vesselChoices,
  vesselClashes,
  vesselOptions,
  type AskedBatch,
  type ColorwayOnList,
  type ShelfResponse,
  type ToBegin,
} from '@ythrion/core';
import { studioNowMs } from '../api/studioClock';
import { saidOf } from '../api/client';
import { useInUse } from '../batch/useInUse';
import { everythingReads } from '../parts/everythingReads';
import { Notices } from '../parts/Notices';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { Waiting } from '../parts/Waiting';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { SmallKey } from '../sentence/SmallKey';
import { useBeginBatch, useColorways, useShelf } from '../studio/queries';
import { Asked, useAnswers } from './Asked';
import { basesFor } from './basesFor';
import { beginning } from './beginning';
import { NeedItems } from './NeedItems';

/** Several batches of a day: what they need in one list, when they will be done, and all begun by one tap. */
export function StartSeveralScreen() {
  const colorways = useColorways();
  const shelf = useShelf();
  if (!colorways.data || !shelf.data) return <Waiting error={colorways.error ?? shelf.error} />;
  return <StartSeveral colorways={colorways.data.filter(({ retired }) => !retired)} shelf={shelf.data} />;
}

/** A batch that is to be begun. */
interface Row extends Omit<AskedBatch, 'colorway'> {
  id: string;
  colorwayId: string;
}

/** A batch of a colorway as it is. */
const rowOf = (colorwayId: string): Row => ({
  id: newId(),
  colorwayId,
  baseId: null,
  count: null,
  dosPercent: null,
  potId: null,
});

interface PlannedRow {
  row: Row;
  colorway: ColorwayOnList;
  toBegin: ToBegin | null;
  problem: string | null;
}

function StartSeveral({ colorways, shelf }: { colorways: readonly ColorwayOnList[]; shelf: ShelfResponse }) {
  const [first] = colorways;
  const [rows, setRows] = useState<Row[]>(() => (first ? [rowOf(first.id)] : []));
  const inUse = useInUse();
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const planned = useMemo(() => {
    const asked = rows.flatMap((row) => {
      const colorway = colorways.find(({ id }) => id === row.colorwayId);
      return colorway ? [{ ...row, colorway }] : [];
    });
    return planTogether(asked, shelf, inUse).map(
      ({ plan, formulation, problem, asked: { colorway, ...row } }): PlannedRow => ({
        row,
        colorway,
        toBegin: plan === null ? null : { plan, formulation },
        problem,
      }),
    );
  }, [rows, colorways, shelf, inUse]);
  const ready = planned.flatMap(({ toBegin }) => toBegin ?? []);
  const needs = needsOf(ready, shelf.stockLeft);
  const clashes = vesselClashes(ready, inUse);
  const answers = useAnswers(ready.map(({ plan }) => plan));
  const change = (id: string, changes: Partial<Row>): void =>
    setRows(rows.map((row) => (row.id === id ? { ...row, ...changes } : row)));
  const start = async (): Promise<void> => {
    if (!everythingReads()) return;
    try {
      for (const { row, colorway, toBegin } of planned)
        if (toBegin)
          await begin.mutateAsync(
            beginning({ ...colorway, name: nameOf(colorway, row) }, toBegin.formulation),
          );
      void navigate('/pots');
    } catch (error) {
      say(saidOf(error));
    }
  };
  if (!first)
    return (
      <Typography sx={{ p: 2 }}>
        No colorway yet. <Link to="/colorways/new">Begin one</Link>; then several can be started together.
      </Typography>
    );
  return (
    <Box sx={{ maxWidth: 980, p: 2, display: 'grid', gap: 2 }}>
      <Typography variant="h1">Start several</Typography>
      <Box component="ol" aria-label="Batches to begin" sx={{ m: 0, pl: 3, display: 'grid', gap: 1 }}>
        {planned.map(({ row, colorway, toBegin, problem }, i) => (
          <li key={row.id}>
            <Sentence>
              <SaidChoice
                label={`Colorway ${i + 1}`}
                value={row.colorwayId}
                options={colorways.map((one) => ({ value: one.id, label: one.name }))}
                onChange={(colorwayId) =>
                  change(row.id, { colorwayId, baseId: null, count: null, dosPercent: null })
                }
              />{' '}
              on{' '}
              <SaidAmount
                key={row.colorwayId}
                label={`Count ${i + 1}`}
                kind="count"
                value={row.count ?? colorway.recipe.goods[0]?.count}
                onChange={(count) => change(row.id, { count })}
              />{' '}
              × {formatAmount((toBegin?.formulation ?? colorway).recipe.goods[0]?.gramsEach ?? 0, 'g')} of{' '}
              <SaidChoice
                label={`Base ${i + 1}`}
                value={row.baseId ?? colorway.recipe.goods[0]?.baseId ?? ''}
                options={basesFor(row.baseId ?? colorway.recipe.goods[0]?.baseId, shelf)}
                onChange={(baseId) => change(row.id, { baseId })}
              />{' '}
              {toBegin && toBegin.plan.totals.dos.value > 0 && (
                <>
                  at{' '}
                  <SaidAmount
                    key={`${row.colorwayId} depth`}
                    label={`Depth ${i + 1}`}
                    kind="dos"
                    value={row.dosPercent ?? Number(threeFigures(toBegin.plan.totals.dos.value))}
                    onChange={(dosPercent) => change(row.id, { dosPercent })}
                  />{' '}
                </>
              )}
              in{' '}
              <SaidChoice
                label={`Vessel ${i + 1}`}
                value={row.potId ?? ''}
                options={[
                  {
                    value: '',
                    label: toBegin?.formulation.pot
                      ? `first free: ${toBegin.formulation.pot.name}`
                      : 'none is free and large enough',
                  },
                  ...vesselOptions(vesselChoices(shelf.pots, inUse)),
                ]}
                onChange={(potId) => change(row.id, { potId: potId === '' ? null : potId })}
              />
              {toBegin && `, done about ${doneAt(toBegin)}`}
              {rows.length > 1 && (
                <SmallKey
                  label={`Leave out batch ${i + 1}`}
                  onPress={() => setRows(rows.filter(({ id }) => id !== row.id))}
                />
              )}
            </Sentence>
            {problem !== null && <Typography variant="body2">✕ {problem}</Typography>}
            {toBegin && row.baseId !== null && <Notices notices={toBegin.plan.notices.map(spoken)} />}
          </li>
        ))}
      </Box>
      <Button
        sx={{ justifySelf: 'start' }}
        variant="outlined"
        disabled={rows.length >= 12}
        onClick={() => setRows([...rows, { ...(rows.at(-1) ?? rowOf(first.id)), id: newId(), potId: null }])}
      >
        One more batch
      </Button>
      <Box component="section" aria-label="What is needed">
        <Typography variant="h2">What must be there first</Typography>
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          <NeedItems needs={needs} shelf={shelf} />
          {planned.map(
            ({ row, colorway, toBegin }, i) =>
              toBegin?.formulation.pot === null && (
                <li key={row.id}>
                  <strong>
                    ! Batch {i + 1}, {colorway.name}: no vessel is free and large enough.
                  </strong>{' '}
                  Free one first, or begin it all the same and say at the pot where it is.
                </li>
              ),
          )}
          {clashes.map(({ potId, name, batches, holds }) => (
            <li key={potId}>
              <strong>
                ! {name}: {holds === null ? `${batches.join(' and ')} at once` : `${holds} is in it`}.
              </strong>{' '}
              Choose another vessel, or begin one after the other.
            </li>
          ))}
        </Box>
      </Box>
      <Asked {...answers} />
      <Button
        variant="contained"
        size="large"
        disabled={begin.isPending || ready.length < rows.length || answers.asked.length > 0}
        onClick={() => void start()}
      >
        {answers.asked.length > 0
          ? 'Answer what is asked above first'
          : rows.length === 1
            ? 'Begin this batch'
            : `Begin all ${rows.length}`}
      </Button>
    </Box>
  );
}

/** What a batch is called: as its colorway, with the depth where that is another. */
const nameOf = ({ name }: ColorwayOnList, { dosPercent }: Row): string =>
  dosPercent === null ? name : `${name}, ${formatAmount(dosPercent, '%')}`;

const doneAt = ({ plan }: ToBegin): string => {
  const now = studioNowMs();
  return momentWords(new Date(now + plan.totals.elapsed.value * 60_000).toISOString(), now);
};
