import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  formulateColorway,
  nextAttempt,
  orWhy,
  planFormulation,
  planInFirstFree,
  plannedDyes,
  type Attempt,
  type NextAttempt as Next,
  type ShelfResponse,
  type Sought,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { studioNow } from '../api/studioClock';
import { useInUse } from '../batch/useInUse';
import { outbox } from '../outbox/thisDevice';
import { everythingReads } from '../parts/everythingReads';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { useBeginBatch } from '../studio/queries';

const KINDS = {
  same: 'the same as',
  half: 'half as dark as, the same dye on twice the goods:',
  paler: 'a step paler than',
  deeper: 'a step deeper than',
  times: 'all dye so many % of',
  dye: 'one dye more or less than in',
  between: 'halfway between',
} as const;
type Kind = keyof typeof KINDS;

export interface NextAttemptProps {
  sought: Sought;
  /** Those that got dye, in order. */
  attempts: readonly Attempt[];
  /** Which attempt comes next. */
  number: number;
  shelf: ShelfResponse;
}

/** The next attempt, from what really went into an earlier one: as a sentence, with what it will take. */
export function NextAttempt({ sought, attempts, number, shelf }: NextAttemptProps) {
  const [kind, setKind] = useState<Kind>('same');
  const [fromId, setFromId] = useState(attempts.at(-1)?.batch.id ?? '');
  const [otherId, setOtherId] = useState(attempts.at(-2)?.batch.id ?? '');
  const [percent, setPercent] = useState(90);
  const from = attempts.find(({ batch }) => batch.id === fromId) ?? attempts[0];
  const [dyeId, setDyeId] = useState(from?.dyes[0]?.dyeId ?? '');
  const other = attempts.find(({ batch }) => batch.id === otherId);
  const inUse = useInUse();
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const name = `${sought.name}, attempt ${number}`;
  const next = useMemo((): Next | null => {
    if (kind === 'times') return { kind, times: percent / 100 };
    if (kind === 'dye') return { kind, dyeId, times: percent / 100 };
    if (kind === 'between') return other ? { kind, other } : null;
    return { kind };
  }, [kind, percent, dyeId, other]);
  const made = useMemo(
    () => (from && next ? madeOf(name, from, next, shelf, inUse) : null),
    [name, from, next, shelf, inUse],
  );
  if (!from) return null;
  const attemptChoices = attempts.map(({ batch, number: nth }) => ({
    value: batch.id,
    label: `attempt ${nth}`,
  }));
  const start = async (): Promise<void> => {
    if (!made?.formulation || !everythingReads()) return;
    try {
      const batch = await begin.mutateAsync({
        id: newId(),
        name,
        colorwayId: null,
        colorwayVersion: null,
        againOf: from.batch.id,
        loadOf: null,
        startedAt: studioNow(),
        formulation: made.formulation,
      });
      await outbox.enter(batch.id, [{ event: { kind: 'sought', color: sought.id }, at: batch.startedAt }]);
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box component="section" aria-label="The next attempt">
      <Typography variant="h2">Attempt {number}</Typography>
      <Sentence>
        <SaidChoice
          label="It is"
          value={kind}
          options={(Object.keys(KINDS) as Kind[])
            .filter((one) => one !== 'between' || attempts.length > 1)
            .map((one) => ({ value: one, label: KINDS[one] }))}
          onChange={setKind}
        />{' '}
        <SaidChoice
          label="From attempt"
          value={from.batch.id}
          options={attemptChoices}
          onChange={setFromId}
        />
        {kind === 'between' && (
          <>
            {' and '}
            <SaidChoice
              label="And attempt"
              value={otherId}
              options={attemptChoices.filter(({ value }) => value !== from.batch.id)}
              onChange={setOtherId}
            />
          </>
        )}
        {kind === 'dye' && (
          <>
            {': '}
            <SaidChoice
              label="Dye"
              value={dyeId}
              options={from.dyes.map((dye) => ({ value: dye.dyeId, label: dye.dyeName }))}
              onChange={setDyeId}
            />
          </>
        )}
        {(kind === 'dye' || kind === 'times') && (
          <>
            {', '}
            <SaidAmount
              label="So much of it as there was"
              kind="dyePercent"
              value={percent}
              onChange={setPercent}
            />
            {' of what it was'}
          </>
        )}
      </Sentence>
      {made?.problem && <Typography sx={{ mt: 1 }}>✕ {made.problem}</Typography>}
      {made?.plan && (
        <Box component="ul" aria-label="What it takes" sx={{ m: 0, mt: 1, pl: 2.5 }}>
          {plannedDyes(made.plan).map((dye) => (
            <li key={dye.dyeId}>
              {dye.dyeName} <FigureText figure={dye.amount} name={dye.dyeName} px={20} />,{' '}
              <FigureText figure={dye.dos} name={`Depth of ${dye.dyeName}`} px={14} />
            </li>
          ))}
          <li>
            on <FigureText figure={made.plan.wog} name="Goods" />
            {made.formulation?.pot
              ? `, in ${made.formulation.pot.name}`
              : ', no vessel is free and large enough'}
          </li>
        </Box>
      )}
      <Button
        variant="contained"
        size="large"
        sx={{ mt: 1 }}
        disabled={begin.isPending || !made?.formulation}
        onClick={() => void start()}
      >
        Begin attempt {number}
      </Button>
    </Box>
  );
}

/** The next attempt planned, or why it cannot be. */
function madeOf(
  name: string,
  from: Attempt,
  next: Next,
  shelf: ShelfResponse,
  inUse: ReadonlyMap<string, string>,
): ReturnType<typeof planInFirstFree> {
  const { value: planned, problem } = orWhy(() =>
    nextAttempt(from, next, (one) =>
      planFormulation(formulateColorway({ name, recipe: one, asWritten: {} }, shelf)),
    ),
  );
  if (!planned) return { plan: null, formulation: null, problem };
  const { recipe, asWritten } = planned;
  return planInFirstFree({ name, recipe: { ...recipe, potId: null }, asWritten }, shelf, inUse, {
    left: shelf.stockLeft,
  });
}
