import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  checkShare,
  CUP_SHARES,
  cupPlaces,
  firstFree,
  momentOf,
  newGoodsLine,
  orWhy,
  potOfCup,
  pourCup,
  recordState,
  spoonSetOf,
  vesselChoices,
  vesselOptions,
  type Batch,
  type Cup,
  type CupRecord,
  type NewEvent,
  type ShelfResponse,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { studioNow } from '../api/studioClock';
import { useInUse } from '../batch/useInUse';
import { outbox } from '../outbox/thisDevice';
import { HeldButton } from '../parts/HeldButton';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { useOpenBatch, useRunning } from '../studio/queries';
import { enterAtCup } from '../batch/useCup';

const NEW_POT = 'new';
const BATH = 'bath';

/** Where a cup goes, and how much of it. */
export function PourCup({
  record,
  cup,
  shelf,
  onDone,
}: {
  record: CupRecord;
  cup: Cup;
  shelf: ShelfResponse;
  onDone: () => void;
}) {
  const running = useRunning().data ?? [];
  const vessels = vesselChoices(shelf.pots, useInUse());
  const [target, setTarget] = useState(() => potOfCup(cup, running)?.id ?? NEW_POT);
  const [potId, setPotId] = useState(() => firstFree(vessels)?.id ?? '');
  const [share, setShare] = useState('1');
  const [place, setPlace] = useState(BATH);
  const begin = useOpenBatch();
  const navigate = useNavigate();
  const batch = running.find(({ id }) => id === target);
  const pass = batch ? recordState(batch, batch.events, shelf.dyes).pass : null;
  const places = batch ? cupPlaces(batch, pass) : [];
  const pourInto = async (into: Batch): Promise<void> => {
    const onto = places.find(({ id }) => id === place) ?? null;
    const at = momentOf(into, studioNow());
    const isAttempt = into.events.some((event) => event.kind === 'sought');
    const { value: pour, problem } = orWhy(() =>
      pourCup(
        cup,
        Number(share),
        { batch: into, pass: batch ? pass : (into.card.passes[0]?.id ?? null), place: onto },
        spoonSetOf(shelf.studio),
      ),
    );
    if (!pour) return say(problem);
    const link: NewEvent[] = cup.sought !== null && !isAttempt ? [{ kind: 'sought', color: cup.sought }] : [];
    const entered = await outbox.enter(
      into.id,
      [...link, ...pour.batch].map((event) => ({ event, at })),
    );
    const entries = entered.slice(link.length).map(({ id }) => id);
    if (!(await enterAtCup(record, shelf, () => [{ ...pour.cup, entries }]))) return;
    say(`Poured into ${into.name}.`);
    onDone();
    void navigate(`/pots/${into.id}`);
  };
  const pour = async (): Promise<void> => {
    if (batch) return pourInto(batch);
    // Nothing is begun for a cup that has nothing to pour.
    const { problem } = orWhy(() => checkShare(cup, Number(share)));
    if (problem !== null) return say(problem);
    const { goods } = cup;
    const base = shelf.bases.find(({ id }) => id === goods?.baseId);
    if (!goods || !base)
      return say('Say first which goods the cup is for: they stand at the head of this screen.');
    try {
      const begun = await begin.mutateAsync({
        id: newId(),
        name: cup.name,
        startedAt: studioNow(),
        goods: [{ ...newGoodsLine(newId(), base), count: goods.count, gramsEach: goods.grams / goods.count }],
        potId: potId === '' ? null : potId,
        from: {},
        remembered: false,
        liquidFrom: null,
      });
      await pourInto(begun);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box component="section" aria-label="Pour the cup" sx={{ py: 1 }}>
      <Sentence>
        <SaidChoice
          label="How much of it"
          value={share}
          options={CUP_SHARES.map((one) => ({ value: String(one.share), label: one.words }))}
          onChange={setShare}
        />
        {' goes into '}
        <SaidChoice
          label="Into"
          value={target}
          options={[
            ...running.map(({ id, name, code }) => ({ value: id, label: `${name}, ${code}` })),
            { value: NEW_POT, label: 'a pot that begins now' },
          ]}
          onChange={(next) => {
            setTarget(next);
            setPlace(BATH);
          }}
        />
        {places.length > 0 && (
          <>
            {', onto '}
            <SaidChoice
              label="Place"
              value={place}
              options={[
                { value: BATH, label: 'all of it' },
                ...places.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={setPlace}
            />
          </>
        )}
        {target === NEW_POT && (
          <>
            {', '}
            <SaidChoice
              label="Vessel"
              value={potId}
              options={[{ value: '', label: 'no vessel named' }, ...vesselOptions(vessels)]}
              onChange={setPotId}
            />
          </>
        )}
      </Sentence>
      <Typography variant="body2" sx={{ my: 1 }}>
        Held, not tapped: what is in the pot does not come out again.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <HeldButton variant="contained" size="large" disabled={begin.isPending} onHeld={() => void pour()}>
          Pour
        </HeldButton>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
