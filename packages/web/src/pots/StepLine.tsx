import { memo, useEffect, useMemo, useRef } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  amountOf,
  CAUTIONS,
  dueAtOf,
  formatAmount,
  isSpokenAmount,
  lineWords,
  momentWords,
  strikeOut,
  type CautionName,
  type LineState,
  type LineWords,
  type Reading,
  type ShelfResponse,
} from '@ythrion/core';
import { Amount } from '../parts/Amount';
import { FigureText } from '../parts/FigureText';
import type { Recorder } from '../batch/useRecord';
import { PastLine } from './PastLine';

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
  const { line, closed } = props;
  const words = useMemo(() => lineWords(line.line, reading), [line.line, reading]);
  if (line.status === 'done') return <DoneLine {...props} words={words} />;
  if (current && !closed) return <CurrentLine key={line.line.id} {...props} words={words} />;
  return <NotDone title={words.title} />;
}

/** A line that was never ticked, in a record that is closed. */
function NotDone({ title }: { title: string }) {
  return (
    <Box
      component="li"
      sx={{ display: 'flex', gap: 1.5, px: 2, py: 0.75, borderTop: 1, borderColor: 'divider' }}
    >
      <Typography component="span" aria-hidden sx={{ width: 22 }}>
        ○
      </Typography>
      <Typography>{title}</Typography>
    </Box>
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
    <PastLine
      mark="✓"
      markName="done"
      at={line.doneAt}
      title={words.title}
      onTakeBack={
        closed || done.length === 0
          ? null
          : () => void recorder.recordAll(done.map((event) => strikeOut(event)))
      }
    >
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
    </PastLine>
  );
}

function CurrentLine(props: LineProps) {
  const { line, words, now, acknowledged } = props;
  const { cautions } = line.line;
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
      data-line={line.line.id}
      sx={{
        scrollMarginBlock: '24px calc(var(--below, 0px) + 300px)',
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
      {words.measure ? (
        <Pour measure={words.measure} title={words.title} />
      ) : (
        words.wait && <Wait line={line} words={words} now={now} />
      )}
      {words.detail && <Typography sx={{ mt: 1 }}>{words.detail}</Typography>}
      {shown.map((name) => (
        <Typography key={name} variant="body2" sx={{ mt: 1, borderLeft: 3, pl: 1 }}>
          {CAUTIONS[name]}
        </Typography>
      ))}
    </Box>
  );
}

/** How much, large, and with what. */
function Pour({ measure, title }: { measure: NonNullable<LineWords['measure']>; title: string }) {
  return (
    <Box>
      <FigureText figure={measure.amount} name={title} px={60} bare />
      {measure.tool && (
        <Typography component="span" sx={{ ml: 1.5, fontSize: 19 }}>
          {measure.tool}
        </Typography>
      )}
    </Box>
  );
}

/** How long, or how long still. */
function Wait({ line, words, now }: Pick<LineProps, 'line' | 'words' | 'now'>) {
  if (line.status === 'waiting')
    return (
      <Box>
        {words.wait?.sureness === 'estimate' && <Typography component="span">about </Typography>}
        <Amount value={words.wait?.value ?? 0} unit="min" px={48} />
      </Box>
    );
  const due = dueAtOf(line, now);
  return (
    <>
      <Typography variant="pour" component="div">
        {due?.left ?? 'Due now'}
      </Typography>
      <Typography sx={{ mt: 1 }}>until {due && momentWords(due.at, now)}</Typography>
    </>
  );
}
