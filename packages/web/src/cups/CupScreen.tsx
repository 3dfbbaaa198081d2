import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import {
  addToCup,
  clockTime,
  cupHex,
  cupLines,
  cupTotals,
  formatAmount,
  keepBeforeBlack,
  partName,
  ratioWords,
  type Cup,
  type CupRecord,
  type CupTap,
  type CupTotals,
  type Dye,
  type ShelfResponse,
} from '@ythrion/core';
import { useAwake } from '../batch/useAwake';
import { FigureText } from '../parts/FigureText';
import { BottomKeys } from '../parts/BottomKeys';
import { Waiting } from '../parts/Waiting';
import { useShelf } from '../studio/queries';
import { CupFor } from './CupFor';
import { CupKeys } from './CupKeys';
import { Glass } from './Glass';
import { KeepRest } from './KeepRest';
import { PourCup } from './PourCup';
import { TowelTest } from './TowelTest';
import { takeBackAtCup, useCup, useEnterAtCup, type EnterAtCup } from '../batch/useCup';

/** The mixing cup: a color made by eye, spoon by spoon, every tap written down. */
export function CupScreen() {
  const { id = '' } = useParams();
  const shelf = useShelf();
  const found = useCup(id);
  if (found === null)
    return (
      <Typography sx={{ p: 2 }}>
        There is no such cup here. <Link to="/pots">To the pots</Link>
      </Typography>
    );
  if (!found || !shelf.data) return <Waiting error={shelf.error} />;
  return <AtCup key={id} {...found} shelf={shelf.data} />;
}

/** Lines that stand under the cup while its keys do: the rest is behind a key. */
const LAST = 3;

type Panel = 'pour' | 'towel' | 'keep' | null;

function AtCup({ record, cup, shelf }: NonNullable<ReturnType<typeof useCup>> & { shelf: ShelfResponse }) {
  useAwake();
  const [panel, setPanel] = useState<Panel>(null);
  const enter = useEnterAtCup(record, shelf);
  const tap = useCallback((what: CupTap) => void enter((now) => [addToCup(now, what)]), [enter]);
  const done = useCallback(() => setPanel(null), []);
  // What was tapped shows in its total at once; lines, keys and panels follow.
  const shown = useDeferredValue(useMemo(() => ({ record, cup, shelf }), [record, cup, shelf]));
  return (
    <Box
      sx={{
        maxWidth: 760,
        mx: 'auto',
        display: 'flex',
        flexDirection: 'column',
        minHeight: { xs: 'calc(100dvh - var(--below, 0px))', sm: 0 },
      }}
    >
      <Head {...shown} enter={enter} />
      <Totals cup={cup} dyes={shelf.dyes} />
      <Lines {...shown} enter={enter} />
      <Below {...shown} panel={panel} enter={enter} onTap={tap} onPanel={setPanel} onDone={done} />
    </Box>
  );
}

interface Shown {
  record: CupRecord;
  cup: Cup;
  shelf: ShelfResponse;
}

/** What the cup is called, what it is an attempt at, and for which goods. */
const Head = memo(function Head({ cup, shelf, enter }: Shown & { enter: EnterAtCup }) {
  const sought = shelf.soughts.find(({ id }) => id === cup.sought);
  return (
    <Box sx={{ px: { xs: 1.5, sm: 2 }, pt: 1.5, pb: 1, borderBottom: 1, borderColor: 'divider' }}>
      <Typography variant="colorway" component="h1" sx={{ m: 0 }}>
        {cup.name}
      </Typography>
      {sought && (
        <Typography variant="body2">
          An attempt at <Link to={`/colorways/sought/${sought.id}`}>{sought.name}</Link>
          {sought.words !== '' && `: ${sought.words}`}
        </Typography>
      )}
      <CupFor cup={cup} shelf={shelf} enter={enter} />
    </Box>
  );
});

/** What happened at the cup, the last first, each with a key that takes it back. */
const Lines = memo(function Lines({ cup, shelf, enter }: Shown & { enter: EnterAtCup }) {
  const [all, setAll] = useState(false);
  const lines = cupLines(cup, shelf.dyes).toReversed();
  const shown = all ? lines : lines.slice(0, LAST);
  return (
    <Box component="ol" aria-label="What happened at the cup" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {shown.map(({ eventId, at, words }) => (
        <Box
          component="li"
          key={eventId}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            px: { xs: 1.5, sm: 2 },
            minHeight: 44,
            borderTop: 1,
            borderColor: 'divider',
          }}
        >
          <Typography sx={{ flex: 1 }}>
            {words}{' '}
            <Typography component="span" variant="caption" color="text.secondary">
              {clockTime(at)}
            </Typography>
          </Typography>
          <Button
            size="small"
            aria-label={`Take back: ${words}`}
            onClick={() => void takeBackAtCup(enter, cup, eventId)}
          >
            Take back
          </Button>
        </Box>
      ))}
      {lines.length > LAST && (
        <Box component="li" sx={{ px: 0.5, borderTop: 1, borderColor: 'divider' }}>
          <Button aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? 'Only the last' : `${lines.length - LAST} before these`}
          </Button>
        </Box>
      )}
    </Box>
  );
});

/** The keys along the lower edge, or what one of them asks. */
const Below = memo(function Below({
  record,
  cup,
  shelf,
  panel,
  enter,
  onTap,
  onPanel,
  onDone,
}: Shown & {
  panel: Panel;
  enter: EnterAtCup;
  onTap: (tap: CupTap) => void;
  onPanel: (panel: Panel) => void;
  onDone: () => void;
}) {
  return (
    <BottomKeys line>
      <Box sx={{ pb: 1 }}>
        {panel === 'pour' && <PourCup record={record} cup={cup} shelf={shelf} onDone={onDone} />}
        {panel === 'towel' && <TowelTest enter={enter} onDone={onDone} />}
        {panel === 'keep' && <KeepRest cup={cup} shelf={shelf} enter={enter} onDone={onDone} />}
        {panel === null && (
          <CupKeys
            cup={cup}
            shelf={shelf}
            onTap={onTap}
            onPour={() => onPanel('pour')}
            onTowel={() => onPanel('towel')}
            onKeep={() => onPanel('keep')}
            onBeforeBlack={() => void enter((now) => [keepBeforeBlack(now)], 'Kept as it is before black.')}
          />
        )}
      </Box>
    </BottomKeys>
  );
});

/** The cup as it is drawn, and what it comes to. */
function Totals({ cup, dyes }: { cup: Cup; dyes: readonly Dye[] }) {
  const totals = cupTotals(cup, dyes);
  const before = cup.beforeBlack && cupTotals(cup, dyes, cup.beforeBlack.parts);
  return (
    <Box
      component="section"
      aria-label="In the cup"
      sx={{ display: 'grid', gridTemplateColumns: '112px 1fr', gap: 1.5, px: { xs: 1.5, sm: 2 }, py: 1.5 }}
    >
      <Glass
        level={cup.capacityMl === null ? 0.5 : totals.ml.value / cup.capacityMl}
        hex={cupHex(cup, dyes)}
      />
      <Box sx={{ minWidth: 0 }}>
        <FigureText
          figure={totals.ml.value > 0 || totals.grams.value === 0 ? totals.ml : totals.grams}
          name="In the cup"
          px={34}
        />
        <Sums totals={totals} />
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
          {totals.dyes.map((dye) => (
            <li key={JSON.stringify([dye.part.material, dye.part.unit])}>
              {partName(dye.part, dyes)}{' '}
              <FigureText figure={dye.amount} name={partName(dye.part, dyes)} px={16} />
              {dye.dos && (
                <>
                  {' · '}
                  <FigureText figure={dye.dos} name={`Depth of ${partName(dye.part, dyes)}`} />
                </>
              )}
            </li>
          ))}
          {cup.unmeasured.map(({ material, written }, i) => (
            <li key={i}>
              {partName({ material }, dyes)}: {written}, not measured
            </li>
          ))}
        </Box>
        {before && cup.beforeBlack && (
          <Typography variant="body2" sx={{ mt: 1, fontWeight: 700 }}>
            Before black, kept {clockTime(cup.beforeBlack.at)}: {formatAmount(before.ml.value, 'mL')}
            {ratioWords(before) !== '' && `, ${ratioWords(before)}`}
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** The sums below the large figure: volume, powder, depth on the goods, and the dyes to each other. */
function Sums({ totals }: { totals: CupTotals }) {
  const ratio = ratioWords(totals);
  return (
    <Typography variant="body2" component="div" sx={{ mt: 0.5 }}>
      <FigureText figure={totals.grams} name="Dye in the cup" />
      {totals.dos && (
        <>
          {' · '}
          {totals.atLeast && 'at least '}
          <FigureText figure={totals.dos} name="Depth on the goods" />
        </>
      )}
      {ratio !== '' && (
        <>
          {' · '}
          {ratio}
        </>
      )}
    </Typography>
  );
}
