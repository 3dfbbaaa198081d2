import { memo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import {
  clockTime,
  doNext,
  leaveOut,
  leaveOutPass,
  lineDone,
  lineWords,
  mayComeNext,
  methodFacts,
  minutesOf,
  momentWords,
  MUST_ACKNOWLEDGE,
  passEarlier,
  type Batch,
  type CautionName,
  type LineState,
  type Reading,
} from '@ythrion/core';
import { Amount } from '../parts/Amount';
import { Spoken } from '../parts/Spoken';
import type { Change } from '../batch/useChange';
import type { Recorder } from '../batch/useRecord';

export interface ToComeProps {
  batch: Batch;
  lines: readonly LineState[];
  /** When each is likely to have its turn, ISO 8601. */
  at: ReadonlyMap<string, string>;
  reading: Reading;
  recorder: Recorder;
  change: Change;
  acknowledged: readonly CautionName[];
}

/** What comes after the step that is to be done: each with its time, and what can be changed about it. */
export function ToCome({ lines, ...rest }: ToComeProps) {
  return lines.map((line, i) => (
    <Step
      key={line.line.id}
      {...rest}
      line={line}
      pass={newPass(lines, i)}
      time={rest.at.get(line.line.id)}
    />
  ));
}

/** The pass that begins with a line; null where it goes on. */
const newPass = (lines: readonly LineState[], i: number): string | null => {
  const pass = lines[i]?.line.act.pass ?? null;
  return i > 0 && pass !== null && pass !== lines[i - 1]?.line.act.pass ? pass : null;
};

interface StepProps extends Omit<ToComeProps, 'lines' | 'at'> {
  line: LineState;
  pass: string | null;
  time: string | undefined;
}

const Step = memo(
  function Step({ batch, line, pass, time, reading, recorder, change, acknowledged }: StepProps) {
    const [open, setOpen] = useState(false);
    const words = lineWords(line.line, reading);
    const waits = minutesOf(line.line.act) !== null;
    const needsWord =
      line.line.cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE);
    return (
      <>
        {pass !== null && <PassHead batch={batch} pass={pass} change={change} />}
        <Box component="li" sx={{ borderTop: 1, borderColor: 'divider' }}>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', px: 2, py: 0.25, minHeight: 48 }}>
            <ButtonBase
              aria-expanded={open}
              onClick={() => setOpen(!open)}
              sx={{ flex: 1, textAlign: 'left', justifyContent: 'flex-start', minHeight: 44, gap: 1.5 }}
            >
              <Typography component="span" aria-hidden sx={{ width: 22, flex: 'none' }}>
                {open ? '–' : '○'}
              </Typography>
              <Typography component="span">{words.title}</Typography>
            </ButtonBase>
            {words.measure &&
              (words.measure.bySpoon?.first ? (
                <Spoken words={words.measure.bySpoon.words} px={19} />
              ) : (
                <Amount value={words.measure.amount.value} unit={words.measure.unit} px={19} />
              ))}
            {waits && (
              <Typography variant="body2" sx={{ whiteSpace: 'nowrap', textAlign: 'right' }}>
                {words.wait && <Amount value={words.wait.value} unit="min" px={15} />}
                {time !== undefined && (
                  <Typography component="span" variant="body2" color="text.secondary">
                    {' '}
                    at {atTime(time)}
                  </Typography>
                )}
              </Typography>
            )}
            {words.measure && !needsWord && (
              <Button
                variant="outlined"
                aria-label={`Poured as planned: ${words.title}`}
                onClick={() => void recorder.record(lineDone(line.line), `${words.title}: poured.`)}
              >
                Poured
              </Button>
            )}
          </Box>
          {open && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', px: 2, pb: 1.5 }}>
              {mayComeNext(batch, line.line.id) && (
                <Button
                  variant="outlined"
                  onClick={() => void change(() => doNext(batch, line.line.id), `${words.title}: next.`)}
                >
                  Do it next
                </Button>
              )}
              <Button
                variant="outlined"
                onClick={() => void change(() => leaveOut(batch, line.line.id), `${words.title}: left out.`)}
              >
                Leave it out
              </Button>
            </Box>
          )}
        </Box>
      </>
    );
  },
  (one, other) =>
    one.line.line === other.line.line &&
    one.line.status === other.line.status &&
    one.pass === other.pass &&
    minuteOf(one.time) === minuteOf(other.time) &&
    one.batch.card === other.batch.card &&
    one.batch.events.length === other.batch.events.length &&
    one.reading.dyes === other.reading.dyes &&
    one.reading.studio === other.reading.studio &&
    one.acknowledged.length === other.acknowledged.length,
);

const minuteOf = (iso: string | undefined): string => iso?.slice(0, 16) ?? '';
const atTime = (iso: string): string => {
  const words = momentWords(iso, Date.now());
  return words === '' ? clockTime(iso) : words;
};

/** A pass among what is to come, with what can be changed about it as a whole. */
function PassHead({ batch, pass, change }: { batch: Batch; pass: string; change: Change }) {
  const [open, setOpen] = useState(false);
  const index = batch.card.passes.findIndex(({ id }) => id === pass);
  const planned = batch.card.passes[index];
  if (!planned) return null;
  const name = `Pass ${index + 1}`;
  return (
    <Box component="li" sx={{ borderTop: 2, borderColor: 'text.primary', px: 2, py: 0.5 }}>
      <ButtonBase
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{ width: '100%', justifyContent: 'space-between', minHeight: 44, textAlign: 'left' }}
      >
        <Typography component="span" sx={{ fontWeight: 700 }}>
          {name} of {batch.card.passes.length}, {methodFacts(planned.kind).label}
        </Typography>
        <Typography component="span" variant="body2">
          change
        </Typography>
      </ButtonBase>
      {open && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', pb: 1 }}>
          <Button
            variant="outlined"
            onClick={() => void change(() => leaveOutPass(batch, pass), `${name}: left out.`)}
          >
            Leave the pass out
          </Button>
          <Button
            variant="outlined"
            onClick={() => void change(() => passEarlier(batch, pass), `${name}: moved up.`)}
          >
            Before pass {index}
          </Button>
        </Box>
      )}
    </Box>
  );
}
