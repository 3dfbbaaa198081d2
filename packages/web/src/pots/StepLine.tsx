import { memo, useEffect, useMemo, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  amountOf,
  CAUTIONS,
  clockTime,
  dueAtOf,
  formatAmount,
  isSpokenAmount,
  lineBegun,
  lineDone,
  lineWords,
  minutesSince,
  momentWords,
  MUST_ACKNOWLEDGE,
  quantityFor,
  readingOf,
  strikeOut,
  type CautionName,
  type LineState,
  type LineWords,
  type MeasuredOut,
  type Reading,
  type ShelfResponse,
} from '@ythrion/core';
import { studioNowMs } from '../api/studioClock';
import { Amount } from '../parts/Amount';
import { FigureText } from '../parts/FigureText';
import { Later } from '../parts/Later';
import { Spoken } from '../parts/Spoken';
import { QuantityField } from '../parts/QuantityField';
import type { Recorder } from '../batch/useRecord';

export interface StepLineProps {
  line: LineState;
  current: boolean;
  closed: boolean;
  now: number;
  /** What the line is put into words with. */
  reading: Reading;
  shelf: ShelfResponse;
  recorder: Recorder;
  /** Cautions acknowledged in this batch. */
  acknowledged: readonly CautionName[];
}

type LineProps = Omit<StepLineProps, 'reading' | 'current'> & { words: LineWords };

/** One line of the card: small when done, large when it is its turn, waiting in between. Drawn anew only where it changed. */
export const StepLine = memo(Line, isSameLine);

/** Whether a line looks as it did. The time matters only where a clock may run. */
function isSameLine(one: StepLineProps, other: StepLineProps): boolean {
  const [a, b] = [one.line, other.line];
  return (
    a.line === b.line &&
    a.status === b.status &&
    a.begunAt === b.begunAt &&
    a.done.length === b.done.length &&
    a.done.every(({ id }, i) => id === b.done[i]?.id) &&
    one.current === other.current &&
    (!one.current || one.now === other.now) &&
    one.closed === other.closed &&
    one.reading.batch.card === other.reading.batch.card &&
    one.reading.dyes === other.reading.dyes &&
    one.shelf.studio === other.shelf.studio &&
    one.reading.studio === other.reading.studio &&
    one.recorder === other.recorder &&
    one.acknowledged.length === other.acknowledged.length
  );
}

function Line({ reading, current, ...props }: StepLineProps) {
  const { line, closed, acknowledged, recorder } = props;
  const words = useMemo(() => lineWords(line.line, reading), [line.line, reading]);
  if (line.status === 'done') return <DoneLine {...props} words={words} />;
  if (current && !closed) return <CurrentLine key={line.line.id} {...props} words={words} />;
  const needsWord = line.line.cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE);
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        px: 2,
        py: 0.75,
        borderTop: 1,
        borderColor: 'divider',
        minHeight: 48,
      }}
    >
      <Typography component="span" aria-hidden sx={{ width: 22 }}>
        ○
      </Typography>
      <Typography sx={{ flex: 1 }}>{words.title}</Typography>
      {words.measure &&
        (words.measure.bySpoon?.first ? (
          <Spoken words={words.measure.bySpoon.words} px={19} />
        ) : (
          <Amount value={words.measure.amount.value} unit={words.measure.unit} px={19} />
        ))}
      {words.measure && !closed && !needsWord && <SkipAhead line={line} words={words} recorder={recorder} />}
    </Box>
  );
}

/** A later pour may be made before its turn. */
function SkipAhead({ line, words, recorder }: Pick<LineProps, 'line' | 'words' | 'recorder'>) {
  return (
    <Button
      variant="outlined"
      aria-label={`Poured as planned: ${words.title}`}
      onClick={() => void recorder.record(lineDone(line.line), `${words.title}: poured.`)}
    >
      Poured
    </Button>
  );
}

function DoneLine({ line, words, closed, recorder }: LineProps) {
  const asked = amountOf(line.line.act);
  const { poured: got, done } = line;
  const written = done.length === 1 ? done[0]?.written : undefined;
  const metric = got ? formatAmount(got.amount, got.unit) : '';
  const planned = words.measure?.bySpoon;
  const asPlanned = asked !== null && got?.amount === asked.amount;
  const said =
    written && isSpokenAmount(written) ? written : asPlanned && planned?.first ? planned.words : null;
  const off = asked && got && Math.abs(got.amount - asked.amount) > 0.005 * asked.amount;
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        px: 2,
        borderTop: 1,
        borderColor: 'divider',
        minHeight: 44,
      }}
    >
      <Typography component="span" aria-label="done" role="img" sx={{ width: 22, fontWeight: 700 }}>
        ✓
      </Typography>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {words.title}
        {got && (
          <>
            , <strong>{said ?? metric}</strong>
            {said !== null && ` (${metric})`}
            {said === null && written && ` (${written})`}
            {done.length > 1 && `, entered ${done.length === 2 ? 'twice' : `${done.length} times`}`}
          </>
        )}
        {off && `, planned ${formatAmount(asked.amount, asked.unit)}`}
        {line.doneAt && (
          <Typography component="span" variant="caption" color="text.secondary">
            {' '}
            {clockTime(line.doneAt)}
          </Typography>
        )}
      </Typography>
      {!closed && done.length > 0 && (
        <Later>
          <Button
            size="small"
            aria-label={`Take back: ${words.title}`}
            onClick={() => void recorder.recordAll(done.map((event) => strikeOut(event)))}
          >
            Take back
          </Button>
        </Later>
      )}
    </Box>
  );
}

function CurrentLine(props: LineProps) {
  const { line, words, recorder, acknowledged } = props;
  const { cautions } = line.line;
  // Open powder is acknowledged once in a batch, then never asked again.
  const mustAcknowledge = cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE);
  const shown = cautions.filter((name) => !acknowledged.includes(name));
  const place = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Once it is drawn: to know where it lies takes longer than to show it.
    const frame = requestAnimationFrame(() => place.current?.scrollIntoView({ block: 'nearest' }));
    return () => cancelAnimationFrame(frame);
  }, []);
  return (
    <Box
      component="li"
      ref={place}
      aria-current="step"
      sx={{
        scrollMarginBlock: '24px 150px',
        borderTop: 4,
        borderBottom: 4,
        borderColor: 'text.primary',
        px: { xs: 1.5, sm: 2 },
        py: 2,
      }}
    >
      <Typography variant="h1" component="h2" sx={{ fontSize: 24, mb: 1 }}>
        {words.title}
      </Typography>
      {words.detail && <Typography sx={{ mb: 1 }}>{words.detail}</Typography>}
      {shown.map((name) => (
        <Typography key={name} variant="body2" sx={{ mb: 1, borderLeft: 3, pl: 1 }}>
          {CAUTIONS[name]}
        </Typography>
      ))}
      {mustAcknowledge ? (
        <Button
          fullWidth
          variant="contained"
          size="large"
          onClick={() => void recorder.record({ kind: 'acknowledged', caution: MUST_ACKNOWLEDGE })}
        >
          Mask, gloves and eye cover are on
        </Button>
      ) : words.measure ? (
        <MeasureActions {...props} measure={words.measure} />
      ) : line.line.act.kind === 'put' && line.line.act.amount === null ? (
        <UnmeasuredActions {...props} act={line.line.act} />
      ) : (
        <WaitActions {...props} />
      )}
    </Box>
  );
}

/** The room of a large key that is drawn after the first. */
const SECOND_KEY = { minHeight: 60 };

function MeasureActions({
  line,
  words,
  measure,
  shelf,
  recorder,
}: LineProps & { measure: NonNullable<LineWords['measure']> }) {
  const [other, setOther] = useState(false);
  const pour = (amount: number, written: string): Promise<boolean> =>
    recorder.record(
      lineDone(line.line, { amount }, written),
      `${words.title}: ${formatAmount(amount, measure.unit)}.`,
    );
  return (
    <>
      <Box sx={{ mb: 2 }}>
        <FigureText figure={measure.amount} name={words.title} px={60} bare />
        {measure.tool && (
          <Typography component="span" sx={{ ml: 1.5, fontSize: 19 }}>
            {measure.tool}
          </Typography>
        )}
      </Box>
      <Button fullWidth variant="contained" size="large" onClick={() => void pour(measure.amount.value, '')}>
        Poured
      </Button>
      {!other && (
        <Box sx={SECOND_KEY}>
          <Later>
            <Button fullWidth size="large" onClick={() => setOther(true)}>
              Poured something else
            </Button>
          </Later>
        </Box>
      )}
      {other && (
        <Measured
          autoFocus
          label="Really poured"
          of={measure}
          shelf={shelf}
          onKeep={(amount, written) => void pour(amount, written)}
        />
      )}
    </>
  );
}

type PutAct = Extract<LineState['line']['act'], { kind: 'put' }>;

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
  shelf: LineProps['shelf'];
  autoFocus?: boolean;
  onKeep: (amount: number, written: string) => void;
}) {
  const [read, setRead] = useState<{ value: number; written: string }>();
  const keep = (): void => {
    if (read) onKeep(read.value, read.written);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', mt: 2, alignItems: 'start' }}>
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

/** Something that nobody measured when it was done first: it can be measured now, or put in by eye again. */
function UnmeasuredActions({ act, ...props }: LineProps & { act: PutAct }) {
  const { line, words, shelf, recorder } = props;
  return (
    <>
      <Typography sx={{ mb: 1 }}>Nobody measured it then.</Typography>
      <WaitActions {...props} />
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

function WaitActions({ line, words, now, recorder }: LineProps) {
  const done = (): void =>
    void recorder.record(
      lineDone(line.line, { minutes: minutesSince(line.begunAt, studioNowMs()) }),
      `${words.title}: done.`,
    );
  if (!words.wait)
    return (
      <Button fullWidth variant="contained" size="large" onClick={done}>
        Done
      </Button>
    );
  const due = dueAtOf(line, now);
  if (line.status === 'waiting')
    return (
      <>
        <Box sx={{ mb: 2 }}>
          {words.wait.sureness === 'estimate' && <Typography component="span">about </Typography>}
          <Amount value={words.wait.value} unit="min" px={48} />
        </Box>
        <Button
          fullWidth
          variant="contained"
          size="large"
          onClick={() => void recorder.record(lineBegun(line.line), `${words.title}: begun.`)}
        >
          Begin, start the clock
        </Button>
        <Box sx={SECOND_KEY}>
          <Later>
            <Button fullWidth size="large" onClick={done}>
              Already done
            </Button>
          </Later>
        </Box>
      </>
    );
  return (
    <>
      <Typography variant="pour" component="div">
        {due?.left ?? 'Due now'}
      </Typography>
      <Typography sx={{ mb: 2, mt: 1 }}>until {due && momentWords(due.at, now)}</Typography>
      <Button fullWidth variant="contained" size="large" onClick={done}>
        Done
      </Button>
    </>
  );
}
