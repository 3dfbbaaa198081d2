import { lazy, Suspense, useState } from 'react';
import Box from '@mui/material/Box';
import { passSentence, type Formulation, type Pass, type Plan, type ShelfResponse } from '@ythrion/core';
import { Waiting } from '../parts/Waiting';
import type { PassInOrder } from './PassOrder';
import { PassStage } from './PassStage';
import type { PassActions } from './usePassActions';
import type { Draft } from './useDraft';

const PassOrder = lazy(async () => ({ default: (await import('./PassOrder')).PassOrder }));

export interface PassListProps {
  draft: Draft;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
  seed: string;
  isOpen: (passId: string) => boolean;
  onFold: (passId: string) => void;
  actions: PassActions;
  /** The pass that was added a moment ago. */
  justAdded: string | null;
}

/** The passes in order; while one is being moved, each is a sentence that can be dragged to another place. */
export function PassList({ draft, isOpen, onFold, actions, plan, ...rest }: PassListProps) {
  const { passes } = draft.colorway.recipe;
  const [moving, setMoving] = useState<string | null>(null);
  return (
    <>
      {moving !== null && (
        <Suspense fallback={<Waiting />}>
          <PassOrder
            passes={inOrder(passes, plan)}
            first={moving}
            onMove={actions.move}
            onDone={() => setMoving(null)}
          />
        </Suspense>
      )}
      {/* Kept while the order is changed: what is typed in them and does not read yet stays. */}
      <Box hidden={moving !== null}>
        {passes.map((pass, index) => (
          <PassStage
            key={pass.id}
            draft={draft}
            pass={pass}
            index={index}
            plan={plan}
            open={isOpen(pass.id)}
            onFold={() => onFold(pass.id)}
            onMove={() => setMoving(pass.id)}
            actions={actions}
            {...rest}
          />
        ))}
      </Box>
    </>
  );
}

/** The passes as they are listed to be moved. */
const inOrder = (passes: readonly Pass[], plan: Plan): PassInOrder[] =>
  passes.flatMap((pass, index) => {
    const planned = plan.passes.find(({ id }) => id === pass.id);
    return planned
      ? { id: pass.id, title: `Pass ${index + 1}, ${planned.title}`, sentence: passSentence(pass, planned) }
      : [];
  });
