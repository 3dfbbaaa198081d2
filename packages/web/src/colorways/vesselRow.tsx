import Typography from '@mui/material/Typography';
import { fullMl, takenOverMl } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import type { StageRow } from '../parts/YarnStage';
import { Sentence } from '../sentence/Sentence';
import { SmallKey } from '../sentence/SmallKey';
import { DraftAmount } from './DraftAmount';
import { PassVessel } from './PassVessel';
import type { PassRowsInputs } from './passRows';

/** Where a pass is dyed that has a vessel for itself, and what goes on into it of the bath before; nothing otherwise. */
export function vesselRow({ draft, pass, planned, plan, shelf, index }: PassRowsInputs): StageRow[] {
  const own = shelf.pots.some(({ id }) => id === pass.potId);
  const over = index > 0 && takenOverMl(pass) > 0;
  if (!own && !over) return [];
  return [
    {
      key: 'vessel',
      left: (
        <Sentence>
          {own && (
            <PassVessel
              draft={draft}
              pass={pass}
              shelf={shelf}
              needsMl={fullMl(pass, planned, plan.wog.value) ?? 0}
            />
          )}
          {own && over && <br />}
          {over && (
            <>
              {own ? 'with ' : 'With '}
              <DraftAmount
                draft={draft}
                path={`passes.${pass.id}.takesOverMl`}
                label="Of the bath before"
                kind="takenOver"
                value={pass.takesOverMl}
                onChange={(takesOverMl, written) => draft.changePass(pass.id, { takesOverMl }, written)}
              />{' '}
              of the bath before
              <SmallKey
                label="Nothing of the bath before"
                onPress={() => draft.changePass(pass.id, { takesOverMl: 0 })}
              />
            </>
          )}
        </Sentence>
      ),
      right: planned.takenOver && (
        <Typography variant="body2" component="div">
          <FigureText figure={planned.takenOver} name="Of the bath before" px={20} /> of the bath of{' '}
          {plan.passes[index - 1]?.title ?? 'the pass before'}, with the acid in it
        </Typography>
      ),
    },
  ];
}
