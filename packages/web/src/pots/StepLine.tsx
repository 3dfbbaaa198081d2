import { useEffect, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  CAUTIONS,
  clockTime,
  dueAtOf,
  formatAmount,
  MUST_ACKNOWLEDGE,
  quantityFor,
  type CautionName,
  type ShelfResponse,
  type StepState,
} from '@ythrion/core';
import { Amount } from '../parts/Amount';
import { FigureText } from '../parts/FigureText';
import { QuantityField } from '../parts/QuantityField';
import type { useRecord } from './useRecord';

export interface StepLineProps {
  line: StepState;
  current: boolean;
  closed: boolean;
  now: number;
  shelf: ShelfResponse;
  recorder: ReturnType<typeof useRecord>;
  /** Cautions acknowledged in this batch. */
  acknowledged: readonly CautionName[];
}

/** One step of the card: small when done, large when it is its turn, waiting in between. */
export function StepLine({ line, current, closed, now, shelf, recorder, acknowledged }: StepLineProps) {
  if (line.status === 'done') return <DoneLine line={line} closed={closed} recorder={recorder} />;
  if (current && !closed)
    return (
      <CurrentLine
        key={line.step.id}
        line={line}
        now={now}
        shelf={shelf}
        recorder={recorder}
        acknowledged={acknowledged}
      />
    );
  const needsWord = line.step.cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE);
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
      <Typography sx={{ flex: 1 }}>{line.step.title}</Typography>
      {line.step.measure && (
        <Amount value={line.step.measure.amount.value} unit={line.step.measure.unit} px={19} />
      )}
      {line.step.measure && !closed && !needsWord && <SkipAhead line={line} recorder={recorder} />}
    </Box>
  );
}

/** A later pour may be made before its turn. */
function SkipAhead({ line, recorder }: Pick<StepLineProps, 'line' | 'recorder'>) {
  const { measure } = line.step;
  if (!measure) return null;
  return (
    <Button
      variant="outlined"
      disabled={recorder.busy}
      aria-label={`Poured as planned: ${line.step.title}`}
      onClick={() =>
        void recorder.record(
          {
            kind: 'poured',
            stepId: line.step.id,
            amount: measure.amount.value,
            unit: measure.unit,
            asWritten: '',
          },
          `${line.step.title}: poured.`,
        )
      }
    >
      Poured
    </Button>
  );
}

function DoneLine({ line, closed, recorder }: Pick<StepLineProps, 'line' | 'closed' | 'recorder'>) {
  const { measure } = line.step;
  const off =
    measure &&
    line.poured &&
    Math.abs(line.poured.amount - measure.amount.value) > 0.005 * measure.amount.value;
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
        {line.step.title}
        {line.poured && (
          <>
            , <strong>{formatAmount(line.poured.amount, line.poured.unit)}</strong>
            {line.poured.asWritten !== '' && ` (${line.poured.asWritten})`}
          </>
        )}
        {off && `, planned ${formatAmount(measure.amount.value, measure.unit)}`}
        {line.doneAt && (
          <Typography component="span" variant="caption" color="text.secondary">
            {' '}
            {clockTime(line.doneAt)}
          </Typography>
        )}
      </Typography>
      {!closed && line.entryId && (
        <Button
          size="small"
          aria-label={`Take back: ${line.step.title}`}
          disabled={recorder.busy}
          onClick={() => void recorder.record({ kind: 'struck', entryId: line.entryId ?? '', why: '' })}
        >
          Take back
        </Button>
      )}
    </Box>
  );
}

function CurrentLine({
  line,
  now,
  shelf,
  recorder,
  acknowledged,
}: Pick<StepLineProps, 'line' | 'now' | 'shelf' | 'recorder' | 'acknowledged'>) {
  const { step } = line;
  // Open powder is acknowledged once in a batch, then never asked again.
  const mustAcknowledge =
    step.cautions.includes(MUST_ACKNOWLEDGE) && !acknowledged.includes(MUST_ACKNOWLEDGE);
  const shown = step.cautions.filter((name) => !acknowledged.includes(name));
  const [other, setOther] = useState(false);
  const place = useRef<HTMLLIElement>(null);
  useEffect(() => {
    place.current?.scrollIntoView({ block: 'nearest' });
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
        {step.title}
      </Typography>
      {step.detail && <Typography sx={{ mb: 1 }}>{step.detail}</Typography>}
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
          disabled={recorder.busy}
          onClick={() => void recorder.record({ kind: 'acknowledged', caution: MUST_ACKNOWLEDGE })}
        >
          Mask, gloves and eye cover are on
        </Button>
      ) : step.measure ? (
        <MeasureActions line={line} shelf={shelf} other={other} setOther={setOther} recorder={recorder} />
      ) : (
        <WaitActions line={line} now={now} recorder={recorder} />
      )}
    </Box>
  );
}

interface MeasureProps extends Pick<StepLineProps, 'line' | 'shelf' | 'recorder'> {
  other: boolean;
  setOther: (other: boolean) => void;
}

function MeasureActions({ line, shelf, other, setOther, recorder }: MeasureProps) {
  const { step } = line;
  const [really, setReally] = useState<{ value: number; written: string }>();
  const { measure } = step;
  if (!measure) return null;
  const pour = (amount: number, asWritten: string): Promise<boolean> =>
    recorder.record(
      { kind: 'poured', stepId: step.id, amount, unit: measure.unit, asWritten },
      `${step.title}: ${formatAmount(amount, measure.unit)}.`,
    );
  return (
    <>
      <Box sx={{ mb: 2 }}>
        <FigureText figure={measure.amount} name={step.title} px={60} bare />
        {measure.tool && (
          <Typography component="span" sx={{ ml: 1.5, fontSize: 19 }}>
            {measure.tool}
          </Typography>
        )}
      </Box>
      <Button
        fullWidth
        variant="contained"
        size="large"
        disabled={recorder.busy}
        onClick={() => void pour(measure.amount.value, '')}
      >
        Poured
      </Button>
      {!other && (
        <Button fullWidth size="large" onClick={() => setOther(true)}>
          Poured something else
        </Button>
      )}
      {other && (
        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', mt: 2, alignItems: 'start' }}>
          <QuantityField
            autoFocus
            size="bench"
            label="Really poured"
            kind={quantityFor(measure.material, measure.unit)}
            value={really?.value}
            context={{ spoons: shelf.studio.spoons }}
            onChange={(value, written) => setReally({ value, written })}
          />
          <Button
            variant="outlined"
            size="large"
            disabled={!really || recorder.busy}
            onClick={() => really && void pour(really.value, really.written)}
          >
            Keep
          </Button>
        </Box>
      )}
    </>
  );
}

function WaitActions({ line, now, recorder }: Pick<StepLineProps, 'line' | 'now' | 'recorder'>) {
  const { step } = line;
  const done = (): void => void recorder.record({ kind: 'done', stepId: step.id }, `${step.title}: done.`);
  if (!step.wait)
    return (
      <Button fullWidth variant="contained" size="large" disabled={recorder.busy} onClick={done}>
        Done
      </Button>
    );
  const due = dueAtOf(line, now);
  if (line.status === 'waiting')
    return (
      <>
        <Box sx={{ mb: 2 }}>
          <Amount value={step.wait.value} unit="min" px={48} />
          {step.wait.sureness === 'estimate' && <Typography component="span"> about</Typography>}
        </Box>
        <Button
          fullWidth
          variant="contained"
          size="large"
          disabled={recorder.busy}
          onClick={() => void recorder.record({ kind: 'begun', stepId: step.id }, `${step.title}: begun.`)}
        >
          Begin, start the clock
        </Button>
        <Button fullWidth size="large" disabled={recorder.busy} onClick={done}>
          Already done
        </Button>
      </>
    );
  return (
    <>
      <Typography variant="pour" component="div">
        {due?.left ?? 'Due now'}
      </Typography>
      <Typography sx={{ mb: 2, mt: 1 }}>until {due && clockTime(due.at)}</Typography>
      <Button fullWidth variant="contained" size="large" disabled={recorder.busy} onClick={done}>
        Done
      </Button>
    </>
  );
}
