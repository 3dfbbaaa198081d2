import Box from '@mui/material/Box';
import {
  LIES,
  changeMethod,
  METHOD_KINDS,
  methodFacts,
  type Arrangement,
  type MethodKind,
  type Pass,
  type PlannedPass,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { DraftAmount } from './DraftAmount';
import type { Change, Draft } from './useDraft';

const WAYS = METHOD_KINDS.map((value) => ({ value, label: methodFacts(value).label }));
const COUNTED: Partial<Record<Arrangement['kind'], string>> = {
  twisted: 'Turns',
  'twisted tight': 'Turns',
  knotted: 'Knots',
  'tied sections': 'Ties',
};

export interface WayFieldsProps {
  draft: Draft;
  pass: Pass;
  planned: PlannedPass;
  first: boolean;
}

/** How dye and goods meet, how the goods lie, and the bath they lie in. */
export function WayFields({ draft, pass, planned, first }: WayFieldsProps) {
  const set = (changes: Change<Pass>): void => draft.changePass(pass.id, changes);
  const counted = COUNTED[pass.arrangement.kind];
  const { liquid } = methodFacts(pass.method.kind);
  const water = liquid === 'water';
  const kept = pass.water.basis === 'kept';
  const columns = [
    '1.25fr',
    '0.85fr',
    '1.1fr',
    ...(counted ? ['0.6fr'] : []),
    ...(water ? [...(kept ? [] : ['0.85fr']), '1.05fr'] : []),
  ].join(' ');
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: '1fr 1fr', lg: columns },
        alignItems: 'start',
      }}
    >
      <Choice<MethodKind>
        label="Way"
        value={pass.method.kind}
        options={WAYS}
        onChange={(kind) => set((now) => changeMethod(now, kind))}
      />
      <Choice
        label="Goods go in"
        value={pass.goodsGoIn}
        options={[
          { value: 'wet', label: 'wet' },
          { value: 'dry', label: 'dry' },
        ]}
        onChange={(goodsGoIn) => set({ goodsGoIn })}
      />
      <Choice
        label="They lie"
        value={pass.arrangement.kind}
        options={LIES.map((kind) => ({ value: kind, label: kind }))}
        onChange={(kind) => set((now) => ({ arrangement: { ...now.arrangement, kind } }))}
      />
      {counted && (
        <DraftAmount
          draft={draft}
          path={`passes.${pass.id}.arrangement.count`}
          label={counted}
          kind="steps"
          value={pass.arrangement.count}
          onChange={(count, written) =>
            draft.changePass(pass.id, (now) => ({ arrangement: { ...now.arrangement, count } }), written)
          }
        />
      )}
      {water && (
        <>
          {pass.water.basis !== 'kept' && (
            <DraftAmount
              key={pass.water.basis}
              draft={draft}
              path={`passes.${pass.id}.water`}
              label={pass.water.basis === 'ratio' ? 'Liquor ratio' : 'Bath'}
              kind={pass.water.basis === 'ratio' ? 'liquorRatio' : 'volume'}
              value={pass.water.value}
              onChange={(value, written) =>
                draft.changePass(pass.id, { water: { ...pass.water, value } as Pass['water'] }, written)
              }
            />
          )}
          <Choice
            label="Water by"
            value={pass.water.basis}
            options={[
              { value: 'ratio', label: 'ratio' },
              { value: 'volume', label: 'volume' },
              ...(first ? [] : [{ value: 'kept' as const, label: 'bath before' }]),
            ]}
            onChange={(basis) =>
              draft.changePass(
                pass.id,
                {
                  water:
                    basis === 'kept'
                      ? { basis }
                      : {
                          basis,
                          value: Number(
                            (basis === 'ratio' ? planned.liquorRatio : planned.bath).value.toPrecision(6),
                          ),
                        },
                },
                { [`passes.${pass.id}.water`]: '' },
              )
            }
          />
        </>
      )}
    </Box>
  );
}
