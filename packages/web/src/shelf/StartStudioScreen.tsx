import { useMemo, useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  ACID_MATERIALS,
  ACIDS,
  fiberWords,
  formatAmount,
  METRIC,
  readBaseList,
  readDyeList,
  startStudio,
  threeFigures,
  USUAL_POTS,
  type AcidMaterial,
  type ListedBase,
  type ListedDye,
  type ShelfResponse,
  type Shown,
  type Studio,
} from '@ythrion/core';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { everythingReads } from '../parts/everythingReads';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { useStoredState } from '../parts/useStoredState';
import { Waiting } from '../parts/Waiting';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidLines } from '../sentence/SaidLines';
import { Sentence } from '../sentence/Sentence';
import { useImportDocument, usePutStudio, useShelf } from '../studio/queries';

/** A studio in ten minutes: lists of dyes and bases, jars for all of them, pots, spoons, acid and units, each left for later if one likes. */
export function StartStudioScreen() {
  const shelf = useShelf();
  if (!shelf.data) return <Waiting error={shelf.error} />;
  return <StartStudio shelf={shelf.data} />;
}

const MEASURES: { value: 'metric' | 'spoons'; label: string; shown: Shown }[] = [
  { value: 'metric', label: 'milliliters, liters, grams and °C', shown: METRIC },
  {
    value: 'spoons',
    label: 'spoons, cups, ounces and °F',
    shown: { pours: 'spoons', water: 'cups', mass: 'oz', temperature: '°F', length: 'in' },
  },
];
const SPOONS: { value: Studio['spoons']; label: string }[] = [
  { value: 'US', label: 'US spoons and cups' },
  { value: 'metric', label: 'metric spoons and cups' },
  { value: 'AU', label: 'Australian spoons and cups' },
];

/** What is typed here, kept in this browser until it is on the shelf. */
interface Lists {
  dyes: string;
  bases: string;
}

function StartStudio({ shelf }: { shelf: ShelfResponse }) {
  const { studio } = shelf;
  const [lists, setLists, forget] = useStoredState<Lists>('first-lists', { dyes: '', bases: '' });
  const [pots, setPots] = useState<readonly string[]>([]);
  const [jars, setJars] = useState<'all' | 'none'>('all');
  const [strengthPercent, setStrength] = useState(1);
  const [volumeMl, setVolume] = useState(500);
  const [acid, setAcid] = useState<AcidMaterial>(studio.habits.usualAcid);
  const [spoons, setSpoons] = useState(studio.spoons);
  const [measures, setMeasures] = useState<'metric' | 'spoons'>(
    studio.habits.shown.pours === 'spoons' ? 'spoons' : 'metric',
  );
  const dyes = useMemo(
    () =>
      readDyeList(
        lists.dyes,
        shelf.dyes.map(({ name }) => name),
      ),
    [lists.dyes, shelf.dyes],
  );
  const bases = useMemo(
    () =>
      readBaseList(
        lists.bases,
        shelf.bases.map(({ name }) => name),
      ),
    [lists.bases, shelf.bases],
  );
  const take = useImportDocument();
  const put = usePutStudio();
  const navigate = useNavigate();
  const unread = [...dyes, ...bases].filter(({ problem }) => problem !== null).length;
  const keep = async (): Promise<void> => {
    if (!everythingReads()) return;
    const document = startStudio(
      {
        dyes,
        bases,
        pots: USUAL_POTS.filter(({ name }) => pots.includes(name)),
        jars: jars === 'all' ? { strengthPercent, volumeMl } : null,
      },
      newId,
      studioNow().slice(0, 10),
    );
    const shown = MEASURES.find(({ value }) => value === measures)?.shown ?? METRIC;
    try {
      await put.mutateAsync({ ...studio, spoons, habits: { ...studio.habits, usualAcid: acid, shown } });
      await take.mutateAsync(document);
      forget();
      setLists({ dyes: '', bases: '' });
      say('On the shelf.');
      void navigate(document.bases.length + shelf.bases.length > 0 ? '/colorways/new' : '/shelf/dyes');
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ px: { xs: 1.5, sm: 2 }, py: 1.5, pb: 4, display: 'grid', gap: 2, maxWidth: 1060 }}>
      <Box>
        <Typography variant="h1">Set up the studio</Typography>
        <Typography variant="body2" color="text.secondary">
          Type or paste what you have, one a line; a column out of a table will do. All of it can be left for
          later.
        </Typography>
      </Box>
      <Part title="Dyes" list={<DyesRead dyes={dyes} />}>
        <SaidLines
          label="Dyes, one a line"
          value={lists.dyes}
          rows={7}
          placeholder={'Verdigris T1\nBell Red R1 4 %\nGong Yellow'}
          onChange={(text) => setLists({ ...lists, dyes: text })}
        />
        <Sentence>
          <SaidChoice
            label="Jars"
            value={jars}
            options={[
              { value: 'all', label: 'A jar of stock for each' },
              { value: 'none', label: 'Jars only where a line says its strength' },
            ]}
            onChange={setJars}
          />
          {jars === 'all' && (
            <>
              , at{' '}
              <SaidAmount
                label="Strength of the jars"
                kind="stockStrength"
                value={strengthPercent}
                onChange={setStrength}
              />
              , <SaidAmount label="Each jar holds" kind="volume" value={volumeMl} onChange={setVolume} />
            </>
          )}
        </Sentence>
      </Part>
      <Part title="Yarn bases" list={<BasesRead bases={bases} />}>
        <SaidLines
          label="Bases, one a line"
          value={lists.bases}
          rows={4}
          placeholder={'Ratchet Sock 75% merino 25% nylon superwash 100 g\nTower Wool 100 g'}
          onChange={(text) => setLists({ ...lists, bases: text })}
        />
      </Part>
      <Part title="Pots" list={null}>
        <Box role="group" aria-label="Usual pots" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {USUAL_POTS.map(({ name, capacityMl }) => (
            <Button
              key={name}
              variant={pots.includes(name) ? 'contained' : 'outlined'}
              aria-pressed={pots.includes(name)}
              onClick={() =>
                setPots(pots.includes(name) ? pots.filter((other) => other !== name) : [...pots, name])
              }
            >
              {name}, {formatAmount(capacityMl, 'mL')}
            </Button>
          ))}
        </Box>
      </Part>
      <Part title="Habits" list={null}>
        <Sentence>
          We measure with{' '}
          <SaidChoice label="Spoons and cups" value={spoons} options={SPOONS} onChange={setSpoons} />, read
          amounts in{' '}
          <SaidChoice label="Amounts in" value={measures} options={MEASURES} onChange={setMeasures} /> and
          take{' '}
          <SaidChoice
            label="Usual acid"
            value={acid}
            options={ACID_MATERIALS.map((value) => ({ value, label: ACIDS[value].label }))}
            onChange={setAcid}
          />{' '}
          as a rule.
        </Sentence>
      </Part>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={take.isPending || put.isPending} onClick={() => void keep()}>
          Put it on the shelf
        </Button>
        {unread > 0 && (
          <Typography variant="body2">
            {unread === 1 ? 'One line is' : `${unread} lines are`} left out, marked ✕.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** What is said on the left, what it is read as on the right; under it on a phone. */
function Part({ title, list, children }: { title: string; list: ReactNode; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        pt: 1,
        display: 'grid',
        columnGap: 3,
        rowGap: 1,
        gridTemplateColumns: {
          xs: 'minmax(0, 1fr)',
          md: list === null ? '1fr' : 'minmax(0, 1.2fr) minmax(0, 1fr)',
        },
      }}
    >
      <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
        <Typography variant="h2">{title}</Typography>
        {children}
      </Box>
      {list}
    </Box>
  );
}

const LIST = { m: 0, p: 0, listStyle: 'none', columnGap: 3 } as const;

function DyesRead({ dyes }: { dyes: readonly ListedDye[] }) {
  if (dyes.length === 0) return <Typography variant="body2">No dye yet.</Typography>;
  return (
    <Box
      component="ul"
      aria-label="Dyes as they were read"
      sx={{ ...LIST, columnCount: { md: dyes.length > 8 ? 2 : 1 } }}
    >
      {dyes.map(({ text, name, code, strengthPercent, swatchHex, problem }, i) => (
        <Typography
          component="li"
          variant="body2"
          key={`${i} ${text}`}
          sx={{ breakInside: 'avoid', py: 0.25 }}
        >
          {problem === null ? (
            <>
              <Box
                component="span"
                aria-hidden
                sx={{ display: 'inline-block', width: 16, height: 12, mr: 1, bgcolor: swatchHex }}
              />
              {name}
              {code !== '' && `, ${code}`}
              {strengthPercent !== null && `, a jar of ${threeFigures(strengthPercent)} %`}
            </>
          ) : (
            `✕ ${problem}`
          )}
        </Typography>
      ))}
    </Box>
  );
}

function BasesRead({ bases }: { bases: readonly ListedBase[] }) {
  if (bases.length === 0) return <Typography variant="body2">No base yet.</Typography>;
  return (
    <Box component="ul" aria-label="Bases as they were read" sx={LIST}>
      {bases.map((base, i) => (
        <Typography component="li" variant="body2" key={`${i} ${base.text}`} sx={{ py: 0.25 }}>
          {base.problem === null ? (
            <>
              {base.name}
              {base.code !== '' && `, ${base.code}`}: {fiberWords(base)}, {formatAmount(base.putUpGrams, 'g')}
              {base.taken.length > 0 && ` (taken as ${base.taken.join(' and ')})`}
            </>
          ) : (
            `✕ ${base.problem}`
          )}
        </Typography>
      ))}
    </Box>
  );
}
