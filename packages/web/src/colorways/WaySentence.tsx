import {
  LIES,
  changeWay,
  METHOD_KINDS,
  methodFacts,
  type Arrangement,
  type MethodKind,
  type Pass,
  type PlannedPass,
} from '@ythrion/core';
import { capital } from '../sentence/capital';
import { Further } from '../sentence/Further';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidWater } from '../sentence/SaidWater';
import { Sentence } from '../sentence/Sentence';
import { DraftAmount } from './DraftAmount';
import type { Change, Draft } from './useDraft';

const WAYS = METHOD_KINDS.map((value) => ({
  value,
  label: methodFacts(value).label,
  said: capital(methodFacts(value).label),
}));
const STARTS = [
  { value: 'cold', label: 'cold, heated with the goods in it' },
  { value: 'hot', label: 'hot before the goods go in' },
  { value: 'kettle', label: 'as boiling water from the kettle' },
] as const;
const COUNTED: Partial<Record<Arrangement['kind'], string>> = {
  twisted: 'Turns',
  'twisted tight': 'Turns',
  knotted: 'Knots',
  'tied sections': 'Ties',
};

export interface WaySentenceProps {
  draft: Draft;
  pass: Pass;
  planned: PlannedPass;
  first: boolean;
  /** True for a pass that was added a moment ago: it has the focus. */
  justAdded: boolean;
}

/** How dye and goods meet, how the goods lie, and the bath they lie in. */
export function WaySentence({ draft, pass, planned, first, justAdded }: WaySentenceProps) {
  const set = (changes: Change<Pass>): void => draft.changePass(pass.id, changes);
  const counted = COUNTED[pass.arrangement.kind];
  const { liquid } = methodFacts(pass.method.kind);
  const water = liquid === 'water';
  return (
    <Sentence>
      <SaidChoice<MethodKind>
        label="Way"
        value={pass.method.kind}
        autoFocus={justAdded}
        options={WAYS}
        onChange={(kind) => draft.changeRecipe((now) => changeWay(now, pass.id, kind))}
      />
      , goods{' '}
      <SaidChoice
        label="Goods go in"
        value={pass.goodsGoIn}
        options={[
          { value: 'wet', label: 'wet' },
          { value: 'dry', label: 'dry' },
        ]}
        onChange={(goodsGoIn) => set({ goodsGoIn })}
      />{' '}
      and{' '}
      <SaidChoice
        label="They lie"
        value={pass.arrangement.kind}
        options={LIES.map((kind) => ({ value: kind, label: kind }))}
        onChange={(kind) => set((now) => ({ arrangement: { ...now.arrangement, kind } }))}
      />
      {counted && (
        <>
          {' in '}
          <DraftAmount
            draft={draft}
            path={`passes.${pass.id}.arrangement.count`}
            label={counted}
            kind="steps"
            value={pass.arrangement.count}
            onChange={(count, written) =>
              draft.changePass(pass.id, (now) => ({ arrangement: { ...now.arrangement, count } }), written)
            }
          />{' '}
          {counted.toLowerCase()}
        </>
      )}
      {water && (
        <>
          , in{' '}
          <SaidWater
            water={pass.water}
            planned={planned}
            canKeep={!first}
            written={draft.colorway.asWritten[`passes.${pass.id}.water`]}
            onChange={(water, as) =>
              draft.changePass(pass.id, { water }, { [`passes.${pass.id}.water`]: as })
            }
          />
        </>
      )}
      {pass.method.kind === 'immersion' && (
        <Further label="How the bath starts" usual={pass.method.start === 'cold'}>
          {', '}
          <SaidChoice
            label="The bath starts"
            value={pass.method.start}
            options={STARTS}
            onChange={(start) =>
              set((now) => (now.method.kind === 'immersion' ? { method: { ...now.method, start } } : {}))
            }
          />
        </Further>
      )}
    </Sentence>
  );
}
