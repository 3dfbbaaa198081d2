import { lazy, memo, useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  BATH_READINGS,
  CLEAR,
  formatAmount,
  isLargePour,
  leaveOut,
  lineBegun,
  lineDone,
  lineWords,
  longer,
  LONGER_BY,
  looked,
  minutesSince,
  moreOfThis,
  moreWords,
  MUST_ACKNOWLEDGE,
  quantityFor,
  readingOf,
  RINSE_READINGS,
  titleOf,
  waitsInBath,
  type Batch,
  type LineState,
  type LineWords,
  type MeasuredOut,
  type Reading,
  type RecordState,
  type ShelfResponse,
} from '@ythrion/core';
import { studioNowMs } from '../api/studioClock';
import { AskedFor } from '../parts/AskedFor';
import { BottomKeys } from '../parts/BottomKeys';
import { PourButton } from '../parts/HeldButton';
import { Later } from '../parts/Later';
import { QuantityField } from '../parts/QuantityField';
import type { Change } from '../batch/useChange';
import type { Recorder } from '../batch/useRecord';

const UsualAcid = lazy(async () => ({ default: (await import('./UsualAcid')).UsualAcid }));

export interface PotKeysProps {
  batch: Batch;
  state: RecordState;
  reading: Reading;
  shelf: ShelfResponse;
  recorder: Recorder;
  change: Change;
  /** Goods are to come in: their fields stand on the card. */
  onGoodsIn: () => void;
}

/** The keys of the step that is to be done, in reach of a thumb: along the lower edge, whatever the card shows. */
export const PotKeys = memo(function PotKeys(props: PotKeysProps) {
  const { state, reading } = props;
  const { current } = state;
  const line = state.closed === null ? current : null;
  return (
    <BottomKeys line={line !== null}>
      {line && (
        <Box role="group" aria-label="Keys of this step" sx={{ py: 1, display: 'grid', gap: 1 }}>
          <KeysOf key={line.line.id} {...props} line={line} words={lineWords(line.line, reading)} />
        </Box>
      )}
    </BottomKeys>
  );
});

type KeysProps = PotKeysProps & { line: LineState; words: LineWords };

function KeysOf(props: KeysProps) {
  const { line, words, state, recorder } = props;
  const { act, cautions } = line.line;
  // Open powder is acknowledged once in a batch, then never asked again.
  if (cautions.includes(MUST_ACKNOWLEDGE) && !state.acknowledged.includes(MUST_ACKNOWLEDGE))
    return (
      <Button
        fullWidth
        variant="contained"
        size="large"
        onClick={() => void recorder.record({ kind: 'acknowledged', caution: MUST_ACKNOWLEDGE })}
      >
        Mask, gloves and eye cover are on
      </Button>
    );
  if (words.measure) return <PourKeys {...props} measure={words.measure} />;
  if (words.wait) return line.status === 'running' ? <WaitingKeys {...props} /> : <BeginKeys {...props} />;
  if (act.kind === 'rinse') return <RinseKeys {...props} />;
  return (
    <>
      {act.kind === 'put' && act.amount === null && <Unmeasured {...props} act={act} />}
      <DoneKey {...props} />
      <Row>
        <LeaveOutKey {...props} />
      </Row>
    </>
  );
}

/** Five of them stand side by side on a phone. */
const SMALL = { px: 0.5, minWidth: 0, lineHeight: 1.1, fontSize: 15 } as const;

const Row = ({ children }: { children: ReactNode }) => (
  <Later>
    <Box sx={{ display: 'grid', gridAutoFlow: 'column', gridAutoColumns: '1fr', gap: 1 }}>{children}</Box>
  </Later>
);

/** A step is over: what comes next stands under the word. */
function DoneKey({ line, words, state, reading, recorder }: KeysProps) {
  const index = state.lines.indexOf(line);
  const next = state.lines.slice(index + 1).find(({ status }) => status !== 'done');
  return (
    <Button
      fullWidth
      variant="contained"
      size="large"
      aria-label="Done"
      onClick={() =>
        void recorder.record(
          lineDone(line.line, { minutes: minutesSince(line.begunAt, studioNowMs()) }),
          `${words.title}: done.`,
        )
      }
      sx={{ flexDirection: 'column', lineHeight: 1.15 }}
    >
      Done
      {next && (
        <Typography component="span" variant="body2" sx={{ fontWeight: 400 }} noWrap>
          next: {titleOf(next.line, reading)}
        </Typography>
      )}
    </Button>
  );
}

function LeaveOutKey({ batch, line, words, change }: KeysProps) {
  return (
    <Button
      variant="outlined"
      onClick={() => void change(() => leaveOut(batch, line.line.id), `${words.title}: left out.`)}
    >
      Leave it out
    </Button>
  );
}

function PourKeys(props: KeysProps & { measure: NonNullable<LineWords['measure']> }) {
  const { line, words, measure, shelf, recorder } = props;
  const [other, setOther] = useState(false);
  const pour = (amount: number, written: string): Promise<boolean> =>
    recorder.record(
      lineDone(line.line, { amount }, written),
      `${words.title}: ${formatAmount(amount, measure.unit)}.`,
    );
  return (
    <>
      {other && (
        <Measured
          autoFocus
          label="Really poured"
          of={measure}
          shelf={shelf}
          onKeep={(amount, written) => void pour(amount, written)}
        />
      )}
      <Button fullWidth variant="contained" size="large" onClick={() => void pour(measure.amount.value, '')}>
        Poured
      </Button>
      <Row>
        {!other && (
          <Button variant="outlined" onClick={() => setOther(true)}>
            Poured something else
          </Button>
        )}
        <LeaveOutKey {...props} />
      </Row>
    </>
  );
}

/** An amount as the scale or the measure showed it, and the key that keeps it. */
function Measured({
  label,
  of,
  shelf,
  autoFocus = false,
  onKeep,
}: {
  label: string;
  of: Pick<MeasuredOut, 'material' | 'unit'>;
  shelf: ShelfResponse;
  autoFocus?: boolean;
  onKeep: (amount: number, written: string) => void;
}) {
  const [read, setRead] = useState<{ value: number; written: string }>();
  const keep = (): void => {
    if (read) onKeep(read.value, read.written);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', pt: 1, alignItems: 'start' }}>
      <QuantityField
        autoFocus={autoFocus}
        size="bench"
        label={label}
        kind={quantityFor(of.material, of.unit)}
        value={read?.value}
        context={readingOf(of.material, shelf)}
        onChange={(value, written) => setRead({ value, written })}
        onUnreadable={() => setRead(undefined)}
        onEnter={keep}
      />
      <Button variant="outlined" size="large" disabled={!read} onClick={keep}>
        Keep
      </Button>
    </Box>
  );
}

type PutAct = Extract<LineState['line']['act'], { kind: 'put' }>;

/** Something that nobody measured when it was done first: it can be measured now, or put in by eye again. */
function Unmeasured({ act, batch, line, words, shelf, recorder }: KeysProps & { act: PutAct }) {
  return (
    <>
      <Typography>Nobody measured it then.</Typography>
      {act.material.kind === 'acid' && (
        <AskedFor>
          <UsualAcid batch={batch} act={act} />
        </AskedFor>
      )}
      <Measured
        label="How much, if you measure it now"
        of={act}
        shelf={shelf}
        onKeep={(amount, written) =>
          void recorder.record(
            lineDone(line.line, { amount }, written),
            `${words.title}: ${formatAmount(amount, act.unit)}.`,
          )
        }
      />
    </>
  );
}

function BeginKeys(props: KeysProps) {
  const { line, words, recorder } = props;
  return (
    <>
      <Button
        fullWidth
        variant="contained"
        size="large"
        onClick={() => void recorder.record(lineBegun(line.line), `${words.title}: begun.`)}
      >
        Begin, start the clock
      </Button>
      <Row>
        <Button
          variant="outlined"
          onClick={() => void recorder.record(lineDone(line.line), `${words.title}: done.`)}
        >
          Already done
        </Button>
        <LeaveOutKey {...props} />
      </Row>
    </>
  );
}

/** While something is waited for: what it looks like, longer, more of this, goods in. */
function WaitingKeys(props: KeysProps) {
  const { batch, line, words, state, reading, recorder, change, onGoodsIn } = props;
  const { act } = line.line;
  const inBath = waitsInBath(line.line);
  const more = moreOfThis(batch, state.pass);
  const much = more && moreWords(more, reading);
  const look = (answer: string): void => {
    const seen = looked(act.pass, 'bath', answer);
    // A wait that lasts until the bath is clear is over once it is.
    const over = answer === CLEAR && act.kind === 'hold' && act.untilClear;
    void recorder.recordAll(
      over ? [lineDone(line.line, { minutes: minutesSince(line.begunAt, studioNowMs()) }), seen] : [seen],
      over ? `${words.title}: clear, done.` : `Bath ${answer}.`,
    );
  };
  return (
    <>
      {inBath && (
        <>
          <Typography variant="body2" sx={{ fontWeight: 700 }}>
            The bath looks
          </Typography>
          <Row>
            {BATH_READINGS.map((reading) => (
              <Button key={reading} variant="outlined" onClick={() => look(reading)}>
                {reading}
              </Button>
            ))}
          </Row>
        </>
      )}
      <Row>
        {LONGER_BY.map((minutes) => (
          <Button
            key={minutes}
            variant="outlined"
            aria-label={`${minutes} min longer`}
            onClick={() =>
              void change(() => longer(line.line, minutes), `${words.title}: ${minutes} min longer.`)
            }
            sx={SMALL}
          >
            {minutes} min
            <br />
            longer
          </Button>
        ))}
        {more && inBath && (
          <PourButton
            large={isLargePour({ ...more.what, written: more.written })}
            variant="outlined"
            aria-label={`More of this: ${much}`}
            onPour={() => void recorder.record(more.event, `Once more ${much}.`)}
            sx={SMALL}
          >
            more of
            <br />
            this
          </PourButton>
        )}
        {inBath && (
          <Button variant="outlined" onClick={onGoodsIn} sx={SMALL}>
            goods
            <br />
            in
          </Button>
        )}
      </Row>
      <DoneKey {...props} />
    </>
  );
}

const RINSE_WORDS: Record<(typeof RINSE_READINGS)[number], string> = {
  bleeds: 'it bleeds',
  'bleeds with soap': 'only with soap',
  clear: 'no bleeding',
};

/** A rinse is over with what it showed. */
function RinseKeys(props: KeysProps) {
  const { line, words, recorder } = props;
  return (
    <>
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        The rinse water shows
      </Typography>
      <Row>
        {RINSE_READINGS.map((reading) => (
          <Button
            key={reading}
            variant="outlined"
            onClick={() =>
              void recorder.recordAll(
                [lineDone(line.line), looked(null, 'rinse', reading)],
                `${words.title}: ${RINSE_WORDS[reading]}.`,
              )
            }
            sx={SMALL}
          >
            {RINSE_WORDS[reading]}
          </Button>
        ))}
      </Row>
      <DoneKey {...props} />
    </>
  );
}
