import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import {
  againNoticeWords,
  againTable,
  dyeTotals,
  lastVerdict,
  summarizeBatch,
  vesselChoices,
  vesselOptions,
  withThen,
  type Batch,
  type ShelfResponse,
  type VesselChoice,
} from '@ythrion/core';
import { everythingReads } from '../../parts/everythingReads';
import { studioNow } from '../../api/studioClock';
import { saidOf } from '../../api/client';
import { ColorsRestOn } from '../../studio/ColorsRestOn';
import { useBeginAgain, useRunning } from '../../studio/queries';
import { Hank } from '../../parts/Hank';
import { Notices } from '../../parts/Notices';
import { OpenedBatch } from '../../batch/OpenedBatch';
import { SaidAmount } from '../../sentence/SaidAmount';
import { SaidChoice } from '../../sentence/SaidChoice';
import { Sentence } from '../../sentence/Sentence';
import { Waiting } from '../../parts/Waiting';
import { newId } from '../../parts/newId';
import { say } from '../../parts/say';
import { useInUse } from '../../batch/useInUse';
import { AgainRows } from './AgainRows';
import { GoodsNow } from './GoodsNow';
import { JarsNow } from './JarsNow';
import { DEPTHS_NOW, useAgain } from './useAgain';

/** Dye a batch again from what was really done: other goods, jars, another vessel; then and now side by side. */
export function DyeAgainScreen() {
  return <OpenedBatch>{(batch, shelf) => <Again batch={batch} shelf={shelf} />}</OpenedBatch>;
}

function Again({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  const running = useRunning();
  // The vessel it is begun in hangs on what is busy.
  if (dyeTotals(batch.events).length === 0)
    return (
      <Box sx={{ p: 3 }}>
        <Typography sx={{ mb: 2 }}>No dye went into this batch, so there is nothing to dye again.</Typography>
        <Button component={Link} to={`/book/${batch.id}`} variant="outlined">
          Back to the record
        </Button>
      </Box>
    );
  if (!running.data) return <Waiting error={running.error} />;
  return <AgainForm batch={batch} shelf={shelf} />;
}

function AgainForm({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  const inUse = useInUse();
  const vesselsFor = (needsMl: number): VesselChoice[] => vesselChoices(shelf.pots, inUse, needsMl);
  const known = useMemo(() => withThen(shelf, batch.formulation), [shelf, batch]);
  const draft = useAgain(batch, shelf, vesselsFor);
  const { to, change, made, problem, folded } = draft;
  const vessels = vesselsFor(made?.needsMl ?? 0);
  const beside = vessels.find(({ pot }) => pot.id === to.potId)?.holds ?? null;
  const begin = useBeginAgain(batch.id);
  const navigate = useNavigate();
  const table = useMemo(
    () => made && againTable(batch, folded, made, known.dyes, shelf.studio),
    [batch, folded, made, known, shelf.studio],
  );
  const look = useMemo(
    () => made && summarizeBatch({ ...batch, ...made, events: [] }, known.dyes).look,
    [batch, made, known],
  );
  const start = async (): Promise<void> => {
    if (!everythingReads()) return;
    try {
      const next = await begin.mutateAsync({
        id: newId(),
        name: batch.name,
        startedAt: studioNow(),
        to,
      });
      void navigate(`/pots/${next.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ pb: 3 }}>
      <Box sx={{ px: 2, pt: 1.5, pb: 1 }}>
        <Typography variant="body2" color="text.secondary">
          <Link to={`/book/${batch.id}`}>Batch {batch.code}</Link>, dye again as it was really done
        </Typography>
        <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
          {batch.name}
        </Typography>
        {look !== null && <ColorsRestOn looks={[look]} shelf={known} />}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          px: 2,
          gridTemplateColumns: { xs: '1fr', md: '340px 110px 1fr' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h2">Now on</Typography>
          <GoodsNow draft={draft} bases={known.bases} />
          <Sentence>
            in{' '}
            <SaidChoice
              label="In"
              value={to.potId ?? ''}
              options={[{ value: '', label: 'no pot named' }, ...vesselOptions(vessels)]}
              onChange={(id) => change({ potId: id === '' ? null : id })}
            />
            ,{' '}
            <SaidChoice
              label="Depth"
              value={draft.depth}
              options={DEPTHS_NOW.map((depth) => ({
                value: depth,
                label: depth === 'other' ? 'another share of the dye' : depth,
              }))}
              onChange={draft.setDepth}
            />
            {draft.depth === 'other' && (
              <>
                {', '}
                <SaidAmount
                  label="Dye, % of then"
                  kind="dyePercent"
                  value={to.dyePercent}
                  onChange={(dyePercent) => change({ dyePercent })}
                />{' '}
                of then
              </>
            )}
            {made?.takesOther && (
              <>
                , the depth kept on{' '}
                <SaidChoice
                  label="Keep the depth on"
                  value={to.depthOn}
                  options={[
                    { value: 'dyeable', label: 'the part that takes dye' },
                    { value: 'goods', label: 'all the goods' },
                  ]}
                  onChange={(depthOn) => change({ depthOn })}
                />
              </>
            )}
          </Sentence>
          <JarsNow draft={draft} dyes={known.dyes} stocks={known.stocks} />
          {lastVerdict(batch.events) === null && (
            <Typography variant="body2">
              ▲ This batch is still wet: what has not gone in yet is not on the new card.
            </Typography>
          )}
          {problem !== null && <Typography role="alert">✕ {problem}</Typography>}
          {made && (
            <Notices
              notices={made.notices.map((notice) => ({
                text: againNoticeWords(notice, known.dyes),
                blocks: notice.blocks,
                ...(notice.code === 'jar short' && { jarId: notice.stock.id }),
              }))}
            />
          )}
          <Button
            variant="contained"
            disabled={
              made === null ||
              problem !== null ||
              made.notices.some(({ blocks }) => blocks) ||
              begin.isPending
            }
            onClick={() => void start()}
          >
            {beside === null ? 'Begin this batch' : `Begin beside ${beside}, both in one vessel`}
          </Button>
        </Box>
        <Box sx={{ display: { xs: 'none', md: 'block' }, pt: 4 }}>
          {look !== null && (
            <Hank
              shown="twisted"
              look={look}
              seed={batch.id}
              label={`Hank of ${batch.name} as it is to be, an estimate`}
              width={100}
              height={200}
            />
          )}
        </Box>
        {table && (
          <Box sx={{ display: 'grid', gap: 2 }}>
            <AgainRows name="Old and new amounts" of="On the goods" rows={table.goods} />
            <AgainRows name="Old and new steps" of="Step by step" rows={table.acts} />
          </Box>
        )}
      </Box>
    </Box>
  );
}
