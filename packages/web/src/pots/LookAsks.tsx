import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  ACIDS,
  bledCure,
  dyeName,
  formatAmount,
  minutesSince,
  neverClears,
  notClear,
  onceMore,
  openLook,
  paleInside,
  stepNext,
  tintStays,
  type Batch,
  type Cure,
  type Reading,
  type RecordState,
} from '@ythrion/core';
import { studioNowMs } from '../api/studioClock';
import { FigureText } from '../parts/FigureText';
import { say } from '../parts/say';
import { usePutOnShelf } from '../studio/queries';
import type { Change } from '../batch/useChange';

interface LookAsksProps {
  batch: Batch;
  state: RecordState;
  reading: Reading;
  change: Change;
  onGoodsIn: () => void;
}

/** What a look found, and the next sensible thing to do about it, with its amount. */
export function LookAsks({ batch, state, reading, change, onGoodsIn }: LookAsksProps) {
  const putDye = usePutOnShelf('dyes');
  const look = openLook(batch);
  if (!look) return null;
  if (look.of === 'rinse') return <Bleeds batch={batch} answer={look.answer} change={change} />;
  const { wait } = look;
  if (!wait) return null;
  const elapsed = (): number | null =>
    look.running ? minutesSince(state.current?.begunAt ?? null, studioNowMs()) : null;
  if (look.of === 'core')
    return (
      <Asks
        title="Pale inside"
        said="The dye has not gone to the middle: press or turn the goods, and give it time."
      >
        <Button
          variant="contained"
          size="large"
          onClick={() =>
            void change((id) => paleInside(batch, wait, elapsed(), id), 'Turn, then 10 min more.')
          }
        >
          Turn, then 10 min more
        </Button>
        <Button
          variant="outlined"
          onClick={() => void change((id) => onceMore(batch, wait, 10, id), '10 min more.')}
        >
          10 min more only
        </Button>
      </Asks>
    );
  const { cures, next } = notClear(batch, wait);
  const tints = async (dyeId: string): Promise<void> => {
    const name = dyeName(dyeId, reading.dyes);
    if (!(await change(() => tintStays(look.pass, name), `${name} stays in the bath.`))) return;
    const dye = reading.dyes.find(({ id }) => id === dyeId);
    const behavior = dye && neverClears(dye.behavior);
    if (!dye || !behavior) return;
    const known = { ...dye, behavior };
    putDye.mutate(known, {
      onSuccess: () => say(`${name} stays in the bath. Noted on the dye: it never quite clears.`),
      onError: () => say(`${name} stays in the bath. The dye itself could not be reached to note it there.`),
    });
  };
  const dyes = dyesOf(batch, look.pass);
  return (
    <Asks
      title={`The bath is ${look.answer}`}
      said="In this order: time, then heat, then acid, then a spare skein. A few dyes never clear."
    >
      {cures.map((cure) =>
        cure.what === 'accept' ? (
          dyes.map((dyeId) => (
            <Button
              key={dyeId}
              variant={next === 'accept' ? 'contained' : 'outlined'}
              onClick={() => void tints(dyeId)}
            >
              A tint stays: {dyeName(dyeId, reading.dyes)}
            </Button>
          ))
        ) : cure.what === 'spare' ? (
          <Button key="spare" variant={next === 'spare' ? 'contained' : 'outlined'} onClick={onGoodsIn}>
            A spare skein catches the rest
          </Button>
        ) : (
          <Button
            key={cure.what}
            variant={cure.what === next ? 'contained' : 'outlined'}
            onClick={() => void change((id) => cure.events(elapsed(), id), `${cureWords(cure)}.`)}
          >
            {cureWords(cure)}
          </Button>
        ),
      )}
      {!cures.some(({ what }) => what === 'acid') && (
        <Typography variant="body2">
          More acid would do little: by the pH that is expected or was measured, the bath is as sour as its
          dyes want it.
        </Typography>
      )}
      {cures.map(
        (cure) =>
          cure.what === 'acid' && (
            <Typography key="why" variant="body2">
              <FigureText figure={cure.add} name={ACIDS[cure.material].label} /> of{' '}
              {ACIDS[cure.material].label}: {cure.measured ? 'from the measured pH' : 'from the expected pH'}.
              Acid into water, slowly.
            </Typography>
          ),
      )}
    </Asks>
  );
}

function cureWords(cure: Extract<Cure, { events: unknown }>): string {
  switch (cure.what) {
    case 'time':
      return `${cure.minutes} min more`;
    case 'heat':
      return `Heat to ${formatAmount(cure.toC, '°C')}, 10 min more`;
    case 'acid':
      return `${formatAmount(cure.add.value, cure.add.unit)} ${ACIDS[cure.material].short}, 10 min more`;
  }
}

/** The dyes that went into a pass, or into all where no pass is named. */
function dyesOf({ formulation }: Batch, pass: string | null): string[] {
  const { passes } = formulation.recipe;
  return [
    ...new Set(
      passes
        .filter(({ id }) => pass === null || id === pass)
        .flatMap(({ dyes }) => dyes.map(({ dyeId }) => dyeId)),
    ),
  ];
}

/** Cool water and a drop of soap, once more. */
const RINSE = { kind: 'rinse', pass: null, line: null, purpose: null, goods: [], soap: true } as const;

function Bleeds({ batch, answer, change }: { batch: Batch; answer: string; change: Change }) {
  return (
    <Asks
      title={answer === 'bleeds' ? 'It bleeds' : 'It bleeds with soap'}
      said="An acid soak of 15 to 20 min, then set again and rinse. A little from a deep shade may be loose dye: rinse once more first."
    >
      <Button
        variant="contained"
        size="large"
        onClick={() => void change((id) => bledCure(batch, id), 'Acid soak, set and rinse put on the card.')}
      >
        Acid soak, set again
      </Button>
      <Button
        variant="outlined"
        onClick={() =>
          void change((id) => stepNext(batch, { ...RINSE, goods: [] }, id, 'bled'), 'Rinse once more.')
        }
      >
        Rinse once more first
      </Button>
    </Asks>
  );
}

function Asks({ title, said, children }: { title: string; said: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label="What the look asks for"
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1.5, borderTop: 4, borderColor: 'text.primary' }}
    >
      <Typography variant="h1" component="h2" sx={{ fontSize: 22, mb: 0.5 }}>
        {title}
      </Typography>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {said}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1 }}>{children}</Box>
    </Box>
  );
}
