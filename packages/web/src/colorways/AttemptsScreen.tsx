import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useParams } from 'react-router';
import {
  attemptBeside,
  attemptOf,
  compareAttempts,
  MOST_ATTEMPTS,
  newGoodsLine,
  orWhy,
  planOrWhy,
  type Attempt,
  type Batch,
  type ShelfResponse,
  type Sought,
  versionBeside,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { startCup } from '../batch/startCup';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { Waiting } from '../parts/Waiting';
import { SaidColor } from '../sentence/SaidColor';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';
import { useAttempts, useColorway, usePutOnShelf, useShelf } from '../studio/queries';
import { AttemptTable, type VersionColumn } from './AttemptTable';
import { NextAttempt } from './NextAttempt';

/** A color that is looked for, and every attempt at it side by side. */
export function AttemptsScreen() {
  const { id = '' } = useParams();
  const shelf = useShelf();
  const attempts = useAttempts(id);
  if (!shelf.data || !attempts.data) return <Waiting error={shelf.error ?? attempts.error} />;
  const sought = shelf.data.soughts.find((one) => one.id === id);
  if (!sought)
    return (
      <Typography sx={{ p: 2 }}>
        No such color is looked for. <Link to="/colorways">To the colorways</Link>
      </Typography>
    );
  return <Attempts key={id} sought={sought} batches={attempts.data} shelf={shelf.data} />;
}

function Attempts({
  sought,
  batches,
  shelf,
}: {
  sought: Sought;
  batches: readonly Batch[];
  shelf: ShelfResponse;
}) {
  const all = useMemo(
    () => batches.map((batch, i) => attemptOf(batch, i + 1, shelf.dyes)),
    [batches, shelf.dyes],
  );
  const [hidden, setHidden] = useState<readonly string[]>([]);
  const versions = useVersions(sought, shelf);
  const shownVersions = versions.filter(({ version }) => !hidden.includes(`v${version}`));
  const room = MOST_ATTEMPTS - shownVersions.length;
  const shown = all.filter(({ batch }) => !hidden.includes(batch.id)).slice(-room);
  const { value: rows, problem } = orWhy(() =>
    compareAttempts([
      ...shown.map(attemptBeside),
      ...shownVersions.map(({ version, plan }) => versionBeside(`version ${version}`, plan)),
    ]),
  );
  const others = all.length - shown.length + versions.length - shownVersions.length;
  const dyed = shown.filter(({ truly }) => truly.version !== null);
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <Head sought={sought} />
      {all.length === 0 ? (
        <Typography>
          No attempt yet. Mix one in a cup, spoon by spoon; what goes into the pot stands here beside the
          next.
        </Typography>
      ) : (
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            alignItems: 'start',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, auto) minmax(280px, 1fr)' },
          }}
        >
          <Box sx={{ minWidth: 0 }}>
            {problem !== null && <Typography>✕ {problem}</Typography>}
            <AttemptTable
              attempts={shown}
              versions={shownVersions}
              rows={rows ?? []}
              sought={sought}
              shelf={shelf}
              onHide={(id) => setHidden([...hidden, id])}
            />
            {hidden.length > 0 && others > 0 && (
              <Button onClick={() => setHidden([])}>Show the {others} others</Button>
            )}
          </Box>
          {dyed.length > 0 && (
            <NextAttempt
              key={dyed.at(-1)?.batch.id}
              sought={sought}
              attempts={dyed}
              number={all.length + 1}
              shelf={shelf}
            />
          )}
        </Box>
      )}
      <MixOne sought={sought} last={all.at(-1) ?? null} number={all.length + 1} shelf={shelf} />
    </Box>
  );
}

/** The latest versions of what a color was found as, planned: two of them, so that attempts have room. */
function useVersions({ foundAs }: Sought, shelf: ShelfResponse): VersionColumn[] {
  const { data } = useColorway(foundAs ?? '', foundAs !== null);
  return useMemo(
    () =>
      (foundAs === null ? [] : (data ?? []))
        .slice(0, 2)
        .toReversed()
        .flatMap((colorway): VersionColumn[] => {
          const { plan } = planOrWhy(colorway, shelf);
          return plan ? [{ id: colorway.id, version: colorway.version, plan }] : [];
        }),
    [foundAs, data, shelf],
  );
}

/** The color in words, and as a picked color where somebody picked one. */
function Head({ sought }: { sought: Sought }) {
  const put = usePutOnShelf('soughts');
  const [draft, setDraft] = useState(sought);
  const change = (changes: Partial<Sought>): void => setDraft({ ...draft, ...changes });
  const changed = JSON.stringify(draft) !== JSON.stringify(sought);
  return (
    <Box>
      <Typography variant="colorway" component="h1" sx={{ m: 0, mb: 1 }}>
        {sought.name}
      </Typography>
      <Sentence>
        {'Looked for: '}
        <SaidText
          label="Name of the color"
          value={draft.name}
          maxLength={80}
          onChange={(name) => change({ name })}
        />
        {', '}
        <SaidText
          label="In words"
          value={draft.words}
          placeholder="like what, and not like what"
          maxLength={400}
          onChange={(words) => change({ words })}
        />{' '}
        <SaidColor label="Picked color" value={draft.hex ?? '#808080'} onChange={(hex) => change({ hex })} />
        {draft.hex === null && ' no color picked'}
      </Sentence>
      {changed && (
        <Button
          variant="outlined"
          sx={{ mt: 1 }}
          onClick={() =>
            put.mutate(draft, {
              onSuccess: () => say('Kept.'),
              onError: (error) => say(saidOf(error)),
            })
          }
        >
          Keep these words
        </Button>
      )}
      {sought.foundAs !== null && (
        <Typography sx={{ mt: 1 }}>
          Found: <Link to={`/colorways/${sought.foundAs}`}>the colorway</Link>.
        </Typography>
      )}
    </Box>
  );
}

/** Another attempt, mixed by eye: a cup for the goods of the one before. */
function MixOne({
  sought,
  last,
  number,
  shelf,
}: {
  sought: Sought;
  last: Attempt | null;
  number: number;
  shelf: ShelfResponse;
}) {
  const navigate = useNavigate();
  const mix = async (): Promise<void> => {
    const then = last?.batch.formulation.recipe.goods[0];
    const base =
      shelf.bases.find(({ id }) => id === then?.baseId) ?? shelf.bases.find(({ retired }) => !retired);
    const goods = base
      ? {
          base,
          line: then
            ? { ...newGoodsLine(newId(), base), count: then.count, gramsEach: then.gramsEach }
            : newGoodsLine(newId(), base),
        }
      : null;
    const name = `${sought.name}, attempt ${number}`;
    void navigate(`/pots/cup/${await startCup({ name, goods, sought: sought.id }, shelf)}`);
  };
  return (
    <Button
      sx={{ justifySelf: 'start' }}
      variant={last === null ? 'contained' : 'outlined'}
      size="large"
      onClick={() => void mix()}
    >
      Mix attempt {number} by eye
    </Button>
  );
}
