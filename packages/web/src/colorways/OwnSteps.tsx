import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  ACIDS,
  METHODS,
  OWN_STEP_LABELS,
  OWN_STEP_USUAL,
  type MethodOf,
  type OwnStep,
  type OwnStepKind,
  type Pass,
  type QuantityKindName,
  type ShelfResponse,
} from '@ythrion/core';
import { SmallKey } from '../sentence/SmallKey';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import type { Draft, Written } from './useDraft';

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
  const change = (steps: (now: readonly OwnStep[]) => OwnStep[], written: Written): void =>
    draft.changePass(
      pass.id,
      (now) =>
        now.method.kind === 'own way' ? { method: { ...now.method, steps: steps(now.method.steps) } } : {},
      written,
    );
  const { steps } = method;
  const path = (at: number): string => `passes.${pass.id}.step.${at}`;
  const writtenAt = (at: number): string => draft.colorway.asWritten[path(at)] ?? '';
  const put = (at: number, step: OwnStep, written = ''): void =>
    change((now) => now.map((other, i) => (i === at ? step : other)), { [path(at)]: written });
  const swap = (at: number): void =>
    change((now) => now.map((step, i) => now[i === at ? at + 1 : i === at + 1 ? at : i] ?? step), {
      [path(at)]: writtenAt(at + 1),
      [path(at + 1)]: writtenAt(at),
    });
  const leaveOut = (at: number): void =>
    change(
      (now) => now.filter((_, i) => i !== at),
      Object.fromEntries(steps.map((_, i) => [path(i), writtenAt(i < at ? i : i + 1)])),
    );
  return (
    <Box component="ol" aria-label="Steps of the own way" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {steps.map((step, at) => (
        <Box component="li" key={at} aria-label={`Step ${at + 1}, ${OWN_STEP_LABELS[step.do]}`}>
          <Sentence>
            {at + 1}.{' '}
            <SaidChoice<OwnStepKind>
              label={`Step ${at + 1}`}
              value={step.do}
              options={KINDS}
              onChange={(kind) => put(at, OWN_STEP_USUAL[kind])}
            />{' '}
            <StepSetting
              step={step}
              at={at}
              pass={pass}
              shelf={shelf}
              written={writtenAt(at)}
              onChange={(next, as) => put(at, next, as)}
            />
            <SmallKey word="↑" label={`Step ${at + 1} earlier`} off={at === 0} onPress={() => swap(at - 1)} />
            <SmallKey
              word="↓"
              label={`Step ${at + 1} later`}
              off={at === steps.length - 1}
              onPress={() => swap(at)}
            />
            <SmallKey
              label={`Leave out step ${at + 1}`}
              off={steps.length === 1}
              onPress={() => leaveOut(at)}
            />
          </Sentence>
        </Box>
      ))}
      <Box component="li">
        <Button
          disabled={steps.length >= 60}
          onClick={() =>
            change((now) => [...now, METHODS['own way'].usual.steps.at(-1) ?? OWN_STEP_USUAL.stand], {})
          }
        >
          Add a step
        </Button>
      </Box>
    </Box>
  );
}

interface StepSettingProps {
  step: OwnStep;
  at: number;
  pass: Pass;
  shelf: ShelfResponse;
  /** What was typed for its amount. */
  written: string;
  onChange: (step: OwnStep, written: string) => void;
}

/** What one step is about: how much, which dye, how hot, how long. */
function StepSetting({ step, at, pass, shelf, written, onChange }: StepSettingProps): ReactNode {
  const amount = (
    label: string,
    kind: QuantityKindName,
    value: number,
    next: (value: number) => OwnStep,
  ): ReactNode => (
    <SaidAmount
      label={`${label}, step ${at + 1}`}
      kind={kind}
      value={value}
      written={written}
      onChange={(typed, as) => onChange(next(typed), as)}
    />
  );
  const share = (label: string, sharePercent: number): ReactNode =>
    amount(label, 'sharePercent', sharePercent, (now) => ({ ...step, sharePercent: now }) as OwnStep);
  switch (step.do) {
    case 'water':
      return <>{share('Part of it', step.sharePercent)} of it</>;
    case 'goods in':
      return <>{share('Of the length', step.sharePercent)} of the length</>;
    case 'heat':
      return (
        <>
          to {amount('To', 'temperature', step.temperatureC, (temperatureC) => ({ ...step, temperatureC }))}
        </>
      );
    case 'dye':
      return (
        <SaidChoice
          label={`Which dye, step ${at + 1}`}
          value={step.lineId ?? ''}
          options={[
            { value: '', label: 'every dye' },
            ...pass.dyes.map((line) => ({
              value: line.id,
              label: shelf.dyes.find(({ id }) => id === line.dyeId)?.name ?? 'a dye',
            })),
          ]}
          onChange={(lineId) => onChange({ ...step, lineId: lineId === '' ? null : lineId }, '')}
        />
      );
    case 'acid':
      return (
        <SaidChoice
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
          onChange={(acidId) => onChange({ ...step, acidId }, '')}
        />
      );
    case 'hold':
    case 'stand':
      return (
        <>
          for {amount('For', 'minutes', step.minutes, (minutes) => ({ ...step, minutes }))}{' '}
          <SaidChoice
            label={`Until, step ${at + 1}`}
            value={step.untilClear ? 'clear' : 'time'}
            options={[
              { value: 'clear', label: 'clear', said: 'or until it is clear' },
              { value: 'time', label: 'time is up', said: 'by the clock' },
            ]}
            onChange={(until) => onChange({ ...step, untilClear: until === 'clear' }, written)}
          />
        </>
      );
    default:
      return null;
  }
}
