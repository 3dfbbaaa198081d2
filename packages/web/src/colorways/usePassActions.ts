import {
  newPass,
  newStepsPass,
  passFromPattern,
  withPassAfter,
  type MethodKind,
  type Pass,
  type Pattern,
  type ShelfResponse,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutOnShelf } from '../studio/queries';
import { newId } from '../parts/newId';
import type { Draft } from './useDraft';
import { say } from '../parts/say';

/** What can be done with the passes of a colorway as a whole. */
export interface PassActions {
  add: (kind: MethodKind) => void;
  /** Steps without dye, after the last pass. */
  addSteps: () => void;
  addPattern: (pattern: Pattern) => void;
  move: (from: number, to: number) => void;
  duplicate: (pass: Pass) => void;
  remove: (pass: Pass) => void;
  keepPattern: (pass: Pass) => void;
}

/** Adding, moving, doubling, leaving out and keeping passes. @param opened told of a pass that should stand open */
export function usePassActions(
  draft: Draft,
  shelf: ShelfResponse,
  opened: (passId: string) => void,
): PassActions {
  const put = usePutOnShelf('patterns');
  const { passes } = draft.colorway.recipe;
  const append = (pass: Pass): void => {
    draft.changeRecipe((now) => ({ passes: withPassAfter(now, pass) }));
    opened(pass.id);
  };
  return {
    add: (kind) => append(newPass(newId(), kind, shelf, newId, passes.at(-1))),
    addSteps: () => {
      const last = passes.at(-1);
      if (last) append(newStepsPass(newId(), last));
    },
    addPattern: (pattern) => append(passFromPattern(pattern, newId)),
    duplicate: (pass) => {
      const twin = { ...pass, id: newId(), dyes: pass.dyes.map((line) => ({ ...line, id: newId() })) };
      draft.changeRecipe((now) => ({
        passes: now.passes.flatMap((one) => (one.id === pass.id ? [one, twin] : [one])),
      }));
      opened(twin.id);
    },
    move: (from, to) => {
      if (!passes[from] || to < 0 || to >= passes.length) return;
      draft.changeRecipe((now) => {
        const rest = now.passes.filter((_, i) => i !== from);
        return {
          passes: withFirstBath([
            ...rest.slice(0, to),
            ...now.passes.slice(from, from + 1),
            ...rest.slice(to),
          ]),
        };
      });
    },
    remove: ({ id }) =>
      draft.changeRecipe((now) => ({ passes: withFirstBath(now.passes.filter((pass) => pass.id !== id)) })),
    keepPattern: (pass) => {
      const name = `${pass.method.kind}, ${pass.dyes.length} ${pass.dyes.length === 1 ? 'dye' : 'dyes'}`;
      put
        .mutateAsync({ id: newId(), name, pass, note: '', retired: false } as { id: string })
        .then(() => say(`Kept as the pattern “${name}”.`))
        .catch((error: unknown) => say(saidOf(error)));
    },
  };
}

/** The first pass has no bath before it: one that was to use it gets water of its own. */
const withFirstBath = (passes: Pass[]): Pass[] =>
  passes.map((pass, i) =>
    i === 0 && pass.water.basis === 'kept' ? { ...pass, water: { basis: 'ratio', value: 30 } } : pass,
  );
