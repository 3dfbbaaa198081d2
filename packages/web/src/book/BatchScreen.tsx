import { useMemo } from 'react';
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
  clockTime,
  ABSURD_DEPTH_PERCENT,
  dayOf,
  depthWords,
  eventWords,
  goodsWords,
  inOrder,
  isOpen,
  formatAmount,
  setMethodFacts,
  summarizeBatch,
  type Batch,
  vesselNames,
  weightOfGoods,
  type ShelfResponse,
  tellsPieces,
} from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { OpenedBatch } from '../batch/OpenedBatch';
import { batchView } from '../batch/batchView';
import { CheckBar } from '../batch/CheckBar';
import { CloseBatch } from '../batch/CloseBatch';
import { HowEachCameOut } from '../batch/HowEachCameOut';
import { Doubts } from '../batch/Doubts';
import { useRecord } from '../batch/useRecord';
import { AskedLines } from './AskedLines';
import { CameFrom, WentInto } from './CameFrom';
import { ColorsRestOn } from '../studio/ColorsRestOn';
import { KeepVersion } from '../batch/KeepVersion';
import { LoadOf } from './LoadOf';
import { TrueParts } from './TrueParts';

/** One batch as it really was: its true recipe, where it left the plan, and everything that happened, in order. */
export function BatchScreen() {
  return <OpenedBatch>{(batch, shelf) => <Record key={batch.id} batch={batch} shelf={shelf} />}</OpenedBatch>;
}

function Record({ batch, shelf }: { batch: Batch; shelf: ShelfResponse }) {
  const { state, actual, truly, departures, unticked, reading } = useMemo(
    () => batchView(batch, shelf.dyes, shelf.studio),
    [batch, shelf.dyes, shelf.studio],
  );
  const summary = useMemo(() => summarizeBatch(batch, shelf.dyes), [batch, shelf.dyes]);
  const recorder = useRecord(batch);
  const happened = useMemo(() => inOrder(batch.events), [batch.events]);
  const { set } = batch.formulation.recipe;
  const open = isOpen(batch.card);
  const vessels = vesselNames(batch.card);
  return (
    <Box sx={{ pb: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, p: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ bgcolor: 'booth', p: 1 }}>
          <Hank
            shown="twisted"
            look={summary.look}
            seed={batch.id}
            label={`Hank of ${batch.name}`}
            width={72}
            height={120}
          />
        </Box>
        <Box sx={{ flex: '1 1 260px' }}>
          <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
            {batch.name}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            Batch {batch.code}, begun {dayOf(batch.startedAt)} {clockTime(batch.startedAt)}
            {vessels.length > 0 && `, in ${vessels.join(', then ')}`}
            {batch.card.remembered && ', remembered from the notebook'}
          </Typography>
          <Typography>
            {state.closed ? (
              <>
                <strong>{state.closed.outcome}</strong>, {state.closed.standing}
                {state.closed.note && `. ${state.closed.note}`}
              </>
            ) : (
              'Still wet.'
            )}
          </Typography>
          <Typography variant="body2">
            {batch.colorwayId && (
              <>
                <Link to={`/colorways/${batch.colorwayId}`}>Colorway</Link>, version {batch.colorwayVersion}
                .{' '}
              </>
            )}
            {batch.loadOf && <LoadOf load={batch.loadOf} />}
            {batch.againOf && (
              <>
                Dyed again from <Link to={`/book/${batch.againOf}`}>an earlier batch</Link>.
              </>
            )}
          </Typography>
          <ColorsRestOn looks={[summary.look]} shelf={shelf} />
        </Box>
        {!state.closed && (
          <Button component={Link} to={`/pots/${batch.id}`} variant="contained">
            To the pot
          </Button>
        )}
        <Button
          component={Link}
          to={`/book/${batch.id}/again`}
          variant={state.closed ? 'contained' : 'outlined'}
          disabled={actual.version === null}
        >
          Dye again
        </Button>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          px: 2,
          gridTemplateColumns: { xs: '1fr', md: '1.3fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Box>
          <Doubts batch={batch} reading={reading} recorder={recorder} />
          <Typography variant="h2">True recipe</Typography>
          <Box sx={{ overflowX: 'auto', pb: '4px' }}>
            <Table size="small" aria-label="True recipe">
              <TableHead>
                <TableRow>
                  <TableCell>Dye</TableCell>
                  <TableCell align="right">Went in</TableCell>
                  <TableCell align="right">Depth</TableCell>
                  <TableCell align="right">{open ? '' : 'Planned'}</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {actual.dyes.map((dye) => (
                  <TableRow key={dye.dyeId}>
                    <TableCell>
                      {dye.dyeName}
                      {dye.additions > 1 && `, ${dye.additions} additions`}
                    </TableCell>
                    <TableCell align="right">
                      {dye.poured && (
                        <>
                          <FigureText figure={dye.poured} name={`${dye.dyeName} poured`} /> ={' '}
                        </>
                      )}
                      <FigureText figure={dye.grams} name={`${dye.dyeName} that went in`} />
                    </TableCell>
                    <TableCell align="right">
                      {dye.dos.value > ABSURD_DEPTH_PERCENT ? (
                        depthWords(dye.dos.value)
                      ) : (
                        <>
                          {dye.atLeast && 'at least '}
                          <FigureText figure={dye.dos} name={`True depth of ${dye.dyeName}`} />
                        </>
                      )}
                    </TableCell>
                    <TableCell align="right">
                      {dye.plannedDos === null
                        ? open
                          ? ''
                          : 'not planned'
                        : formatAmount(dye.plannedDos, '%')}
                    </TableCell>
                  </TableRow>
                ))}
                {actual.dyes.length === 0 && (
                  <TableRow>
                    <TableCell colSpan={4}>No dye has gone in yet.</TableCell>
                  </TableRow>
                )}
              </TableBody>
            </Table>
          </Box>
          <TrueParts parts={truly} />
          <Typography component="div" sx={{ mt: 1.5 }}>
            <FigureText figure={weightOfGoods(batch.card)} name="Weight of goods" /> of{' '}
            {goodsWords(batch.card)}. Bath <FigureText figure={actual.bath} name="Bath as it was" />
            {actual.acidPure && (
              <>
                , with <FigureText figure={actual.acidPure.grams} name="Pure acid that went in" /> of acid
              </>
            )}
            . {open ? 'Begun without a plan.' : `Set by ${setMethodFacts(set.method).label}.`}
          </Typography>
          {tellsPieces(batch) && <HowEachCameOut batch={batch} recorder={recorder} />}
          <CameFrom batch={batch} dyes={reading.dyes} recorder={recorder} />
          <WentInto batchId={batch.id} />
          <KeepVersion batch={batch} version={actual.version} reading={reading} />
          {!open && <AgainstPlan departures={departures} />}
          {state.closed && <AskedLines questions={actual.questions} reading={reading} recorder={recorder} />}
          {unticked.map((line) => (
            <Typography key={line} sx={{ mt: 1 }}>
              {line}
            </Typography>
          ))}
        </Box>
        <Box>
          <Typography variant="h2">What happened</Typography>
          <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
            {happened.map((event, i) => (
              <Typography
                component="li"
                variant="body2"
                key={event.id}
                sx={{
                  py: 0.4,
                  borderBottom: 1,
                  borderColor: 'divider',
                  textDecoration: state.struck.has(event.id) ? 'line-through' : 'none',
                }}
              >
                {dayOf(event.at) !== dayOf(happened[i - 1]?.at ?? batch.startedAt) && (
                  <strong>{dayOf(event.at)} </strong>
                )}
                {clockTime(event.at)} {eventWords(event, reading, happened)}
                {event.person !== null && ` · ${event.person}`}
              </Typography>
            ))}
            {happened.length === 0 && <Typography component="li">Nothing yet.</Typography>}
          </Box>
        </Box>
      </Box>
      {state.closed && (
        <Box sx={{ maxWidth: 620 }}>
          <CheckBar recorder={recorder} state={{ ...state, looks: [], notes: [] }} batch={batch} />
        </Box>
      )}
      {!state.closed && state.current === null && (
        <Box sx={{ maxWidth: 620 }}>
          <CloseBatch recorder={recorder} batchId={batch.id} rest={[]} />
        </Box>
      )}
    </Box>
  );
}

/** Where the record left its card. */
function AgainstPlan({ departures }: { departures: readonly string[] }) {
  return (
    <>
      <Typography variant="h2" sx={{ mt: 2 }}>
        Against the plan
      </Typography>
      {departures.length === 0 ? (
        <Typography>Poured as planned.</Typography>
      ) : (
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {departures.map((line, i) => (
            <li key={i}>
              <Typography>{line}</Typography>
            </li>
          ))}
        </Box>
      )}
    </>
  );
}
