import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  ACIDS,
  METHODS,
  OWN_STEP_LABELS,
  OWN_STEP_USUAL,
  ownStepWords,
  type MethodOf,
  type OwnStep,
  type OwnStepKind,
  type Pass,
  type QuantityKindName,
  type ShelfResponse,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { QuantityField } from '../parts/QuantityField';
import type { Draft } from './useDraft';

const KINDS = (Object.keys(OWN_STEP_LABELS) as OwnStepKind[]).map((value) => ({
  value,
  label: OWN_STEP_LABELS[value],
}));

export interface OwnStepsProps {
  draft: Draft;
  pass: Pass;
  method: MethodOf<'own way'>;
  shelf: ShelfResponse;
}

/** The steps of an own way, one a row, in the order they are done. */
export function OwnSteps({ draft, pass, method, shelf }: OwnStepsProps) {
  const change = (steps: (now: readonly OwnStep[]) => OwnStep[]): void =>
    draft.changePass(pass.id, (now) =>
      now.method.kind === 'own way' ? { method: { ...now.method, steps: steps(now.method.steps) } } : {},
    );
  const put = (at: number, step: OwnStep): void =>
    change((now) => now.map((other, i) => (i === at ? step : other)));
  const swap = (at: number): void =>
    change((now) => now.map((step, i) => now[i === at ? at + 1 : i === at + 1 ? at : i] ?? step));
  const { steps } = method;
  const names = {
    dye: (lineId: string): string | null => {
      const line = pass.dyes.find(({ id }) => id === lineId);
      return shelf.dyes.find(({ id }) => id === line?.dyeId)?.name ?? null;
    },
    acid: (acidId: string): string | null => {
      const dose = pass.acids.find(({ id }) => id === acidId);
      return dose ? ACIDS[dose.material].label : null;
    },
  };
  return (
    <Box component="ol" aria-label="Steps of the own way" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {steps.map((step, at) => (
        <Box
          component="li"
          key={at}
          aria-label={`Step ${at + 1}, ${OWN_STEP_LABELS[step.do]}`}
          sx={{
            display: 'grid',
            gap: 0.5,
            mb: { xs: 1.5, sm: 1 },
            alignItems: 'start',
            gridTemplateColumns: { xs: '1fr 1fr', sm: '1.2fr 1.4fr auto' },
          }}
        >
          <Typography variant="body2" sx={{ gridColumn: '1 / -1', fontWeight: 600 }}>
            {at + 1}. {ownStepWords(step, names)}
          </Typography>
          <Choice<OwnStepKind>
            label={`Step ${at + 1}`}
            value={step.do}
            options={KINDS}
            onChange={(kind) => put(at, OWN_STEP_USUAL[kind])}
          />
          <StepSetting step={step} at={at} pass={pass} shelf={shelf} onChange={(next) => put(at, next)} />
          <Box sx={{ display: 'flex', gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
            <Button
              sx={{ minWidth: 44 }}
              disabled={at === 0}
              aria-label={`Step ${at + 1} earlier`}
              onClick={() => swap(at - 1)}
            >
              ↑
            </Button>
            <Button
              sx={{ minWidth: 44 }}
              disabled={at === steps.length - 1}
              aria-label={`Step ${at + 1} later`}
              onClick={() => swap(at)}
            >
              ↓
            </Button>
            <Button
              sx={{ minWidth: 44 }}
              disabled={steps.length === 1}
              aria-label={`Leave out step ${at + 1}`}
              onClick={() => change((now) => now.filter((_, i) => i !== at))}
            >
              ✕
            </Button>
          </Box>
        </Box>
      ))}
      <Box component="li">
        <Button
          disabled={steps.length >= 60}
          onClick={() =>
            change((now) => [...now, METHODS['own way'].usual.steps.at(-1) ?? OWN_STEP_USUAL.stand])
          }
        >
          Add a step
        </Button>
      </Box>
    </Box>
  );
}

/** What one step is about: how much, which dye, how hot, how long. */
function StepSetting({
  step,
  at,
  pass,
  shelf,
  onChange,
}: {
  step: OwnStep;
  at: number;
  pass: Pass;
  shelf: ShelfResponse;
  onChange: (step: OwnStep) => void;
}) {
  const amount = (
    label: string,
    kind: QuantityKindName,
    value: number,
    next: (value: number) => OwnStep,
  ): ReactNode => (
    <QuantityField
      label={`${label}, step ${at + 1}`}
      kind={kind}
      value={value}
      onChange={(typed) => onChange(next(typed))}
    />
  );
  switch (step.do) {
    case 'water':
      return amount('Part of it', 'sharePercent', step.sharePercent, (sharePercent) => ({
        ...step,
        sharePercent,
      }));
    case 'goods in':
      return amount('Of the length', 'sharePercent', step.sharePercent, (sharePercent) => ({
        ...step,
        sharePercent,
      }));
    case 'heat':
      return amount('To', 'temperature', step.temperatureC, (temperatureC) => ({ ...step, temperatureC }));
    case 'dye':
      return (
        <Choice
          label={`Which dye, step ${at + 1}`}
          value={step.lineId ?? ''}
          options={[
            { value: '', label: 'every dye' },
            ...pass.dyes.map((line) => ({
              value: line.id,
              label: shelf.dyes.find(({ id }) => id === line.dyeId)?.name ?? 'a dye',
            })),
          ]}
          onChange={(lineId) => onChange({ ...step, lineId: lineId === '' ? null : lineId })}
        />
      );
    case 'acid':
      return (
        <Choice
          label={`Which acid, step ${at + 1}`}
          value={step.acidId}
          options={[
            ...pass.acids.map((dose, i) => ({
              value: dose.id,
              label: `${i + 1}: ${ACIDS[dose.material].short}`,
            })),
            ...(pass.acids.some(({ id }) => id === step.acidId)
              ? []
              : [{ value: step.acidId, label: 'none of the doses' }]),
          ]}
          onChange={(acidId) => onChange({ ...step, acidId })}
        />
      );
    case 'hold':
    case 'stand':
      return (
        <Box sx={{ display: 'grid', gap: 0.5, gridTemplateColumns: '1fr 1fr' }}>
          {amount('For', 'minutes', step.minutes, (minutes) => ({ ...step, minutes }))}
          <Choice
            label={`Until, step ${at + 1}`}
            value={step.untilClear ? 'clear' : 'time'}
            options={[
              { value: 'clear', label: 'clear' },
              { value: 'time', label: 'time is up' },
            ]}
            onChange={(until) => onChange({ ...step, untilClear: until === 'clear' })}
          />
        </Box>
      );
    default:
      return <Box />;
  }
}
