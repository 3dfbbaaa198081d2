import { lazy, Suspense, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  anotherVessel,
  canTakeOver,
  passIn,
  passSentence,
  vesselChoices,
  QUICK_ACIDS,
  canBeHeated,
  placesWord,
  sectionsOf,
  withBothEnds,
  withNewPlace,
  USUAL_PASS_HEAT,
  withAnotherDye,
  type AcidDose,
  type Formulation,
  type Pass,
  type Plan,
  type ShelfResponse,
  spoken,
} from '@ythrion/core';
import { useInUse } from '../batch/useInUse';
import { Hank } from '../parts/Hank';
import { MoreButton } from '../parts/MoreButton';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import type { MenuWord } from '../parts/WordMenu';
import { Waiting } from '../parts/Waiting';
import { YarnStage } from '../parts/YarnStage';
import { FoldedPours, passRows } from './passRows';
import type { PassActions } from './usePassActions';
import type { Draft } from './useDraft';

const LyingOtherwise = lazy(async () => ({
  default: (await import('./LyingOtherwise')).LyingOtherwise,
}));
const FromColor = lazy(async () => ({ default: (await import('./FromColor')).FromColor }));

export interface PassStageProps {
  draft: Draft;
  pass: Pass;
  index: number;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
  seed: string;
  open: boolean;
  onFold: () => void;
  /** Puts the passes in another order, beginning with this one. */
  onMove: () => void;
  actions: PassActions;
  /** The pass that was added a moment ago. */
  justAdded: string | null;
}

/** A pass on the yarn's way: open with all that is decided, or folded to one sentence. */
export function PassStage(props: PassStageProps) {
  const { draft, pass, index, plan, formulation, shelf, seed, open, onFold, onMove, justAdded } = props;
  const [fromColor, setFromColor] = useState(false);
  const [otherwise, setOtherwise] = useState(false);
  const [added, setAdded] = useState<string | null>(null);
  const planned = plan.passes.find((candidate) => candidate.id === pass.id);
  if (!planned) return null;
  const many = draft.colorway.recipe.passes.length > 1;
  const look = plan.goods[0]?.looks[index + 1];
  const title = `Pass ${index + 1}, ${planned.title}`;
  const blocking = plan.notices.filter((notice) => notice.passId === pass.id && notice.blocks);
  return (
    <YarnStage
      title={title}
      lead={
        many && (
          <Button onClick={onMove} aria-label={`Move ${title}`} sx={{ minWidth: 44, px: 0.5, my: '-6px' }}>
            Move
          </Button>
        )
      }
      action={
        <PassBar
          {...props}
          title={title}
          many={many}
          onAdded={setAdded}
          onFromColor={() => setFromColor(!fromColor)}
          otherwise={otherwise}
          onOtherwise={() => setOtherwise(!otherwise)}
          fromColor={fromColor}
        />
      }
      yarn={
        <Hank
          {...(look && { look })}
          seed={`${seed}-${pass.id}`}
          label={`The goods after pass ${index + 1}, an estimate`}
          width={open ? 124 : 92}
          height={open ? 150 : 92}
        />
      }
      rows={
        open
          ? [
              ...(fromColor
                ? [
                    {
                      key: 'from color',
                      left: (
                        <Suspense fallback={<Waiting />}>
                          <FromColor
                            draft={draft}
                            pass={pass}
                            shelf={shelf}
                            onDone={() => setFromColor(false)}
                          />
                        </Suspense>
                      ),
                      right: null,
                    },
                  ]
                : []),
              ...(otherwise
                ? [
                    {
                      key: 'otherwise',
                      left: (
                        <Suspense fallback={<Waiting />}>
                          <LyingOtherwise
                            plan={plan}
                            formulation={formulation}
                            index={index}
                            now={pass.arrangement}
                            seed={`${seed}-${pass.id}`}
                            onChoose={(arrangement) => draft.changePass(pass.id, { arrangement })}
                          />
                        </Suspense>
                      ),
                      right: null,
                    },
                  ]
                : []),
              ...passRows({
                draft,
                pass,
                planned,
                plan,
                formulation,
                shelf,
                index,
                added: added ?? justAdded,
                onAdded: setAdded,
              }),
            ]
          : [
              {
                key: 'folded',
                left: (
                  <Button
                    onClick={onFold}
                    aria-label={`Open ${title}`}
                    sx={{ justifyContent: 'flex-start', textAlign: 'left', fontWeight: 400, px: 0.5 }}
                  >
                    {passSentence(pass, planned)}
                  </Button>
                ),
                right: (
                  <>
                    <FoldedPours planned={planned} />
                    <Notices notices={blocking.map(spoken)} />
                  </>
                ),
              },
            ]
      }
    />
  );
}

/** What of a bath goes on until it is said otherwise, mL. */
const USUAL_OVER_ML = 1000;

/** What to press for the first place of a way that can do without. */
const FIRST_PLACE: Record<string, string> = {
  zone: 'Pour it in zones, white between',
  dose: 'Give each dose its own dye',
};

interface PassBarProps extends PassStageProps {
  title: string;
  many: boolean;
  fromColor: boolean;
  onFromColor: () => void;
  otherwise: boolean;
  onOtherwise: () => void;
  onAdded: (id: string) => void;
}

/** What can be done with a pass: the usual additions in one tap, the rest one tap further. */
function PassBar(props: PassBarProps) {
  const {
    draft,
    pass,
    index,
    shelf,
    open,
    onFold,
    actions,
    title,
    many,
    fromColor,
    onFromColor,
    otherwise,
    onOtherwise,
    onAdded,
  } = props;
  const last = draft.colorway.recipe.passes.length - 1;
  const sections = sectionsOf(pass.method);
  const addDye = (): void => {
    const id = newId();
    onAdded(id);
    draft.changePass(pass.id, ({ dyes }) => ({
      dyes: withAnotherDye(dyes, id, shelf, sections[0]?.id ?? null),
    }));
  };
  const places = placesWord(pass.method.kind);
  const addSection = (): void => {
    const [id, lineId] = [newId(), newId()];
    onAdded(lineId);
    draft.changePass(pass.id, (now) => ({
      ...withNewPlace(now, id),
      dyes: withAnotherDye(now.dyes, lineId, shelf, id),
    }));
  };
  // The first place takes the dyes that are there.
  const firstPlace = (): void => {
    const id = newId();
    draft.changePass(pass.id, (now) => withNewPlace(now, id));
  };
  const bothEnds = (): void => {
    const ids = [newId(), newId()] as const;
    const lineId = newId();
    onAdded(lineId);
    draft.changePass(pass.id, (now) => ({
      ...withBothEnds(now, ids),
      dyes: withAnotherDye(now.dyes, lineId, shelf, ids[1]),
    }));
  };
  const { potId } = draft.colorway.recipe;
  const others = vesselChoices(shelf.pots, useInUse()).filter(({ pot }) => pot.id !== potId);
  const another = anotherVessel(pass, others);
  const ownVesselOrNone = (): void =>
    draft.changePass(pass.id, (now) =>
      now.potId === null && another ? { ...passIn(now, another), potId: another.id } : { potId: null },
    );
  const addAcid = (): void =>
    draft.changePass(pass.id, ({ acids }) => ({
      acids: [
        ...acids,
        { ...(acids.at(-1) ?? QUICK_ACIDS.vinegar), id: newId(), when: 'last' } satisfies AcidDose,
      ],
    }));
  const item = (word: string, work: () => void, off = false): MenuWord => ({ word, work, off });
  return (
    <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
      {open && sections.length === 0 && <Button onClick={addDye}>Add a dye</Button>}
      {open && sections.length > 0 && places !== null && sections.length < places.most && (
        <Button onClick={addSection}>Add a {places.word}</Button>
      )}
      {open && pass.heat === null && canBeHeated(pass.method) && (
        <Button onClick={() => draft.changePass(pass.id, { heat: USUAL_PASS_HEAT })}>Heat it</Button>
      )}
      {many && (
        <Button aria-expanded={open} onClick={onFold}>
          {open ? 'Fold' : 'Open'}
        </Button>
      )}
      <MoreButton
        label={`More for ${title}`}
        items={[
          ...(open
            ? [
                item(
                  pass.acids.length === 0 ? 'Add acid' : 'Add another acid dose',
                  addAcid,
                  pass.acids.length >= 6,
                ),
                ...(sections.length === 0 && places !== null
                  ? [
                      pass.method.kind === 'dip'
                        ? item('Dip both ends', bothEnds)
                        : item(FIRST_PLACE[places.word] ?? `In ${places.word}s`, firstPlace),
                    ]
                  : []),
                item(
                  pass.potId === null ? 'In a vessel of its own' : 'In the vessel of the batch',
                  ownVesselOrNone,
                  pass.potId === null && another === null,
                ),
                ...(index > 0 && canTakeOver(pass)
                  ? [
                      item(
                        pass.takesOverMl > 0
                          ? 'Nothing of the bath before'
                          : 'Go on with some of the bath before',
                        () =>
                          draft.changePass(pass.id, {
                            takesOverMl: pass.takesOverMl > 0 ? 0 : USUAL_OVER_ML,
                          }),
                      ),
                    ]
                  : []),
                item(pass.topUpMl > 0 ? 'No top-up' : 'Top up water', () =>
                  draft.changePass(pass.id, { topUpMl: pass.topUpMl > 0 ? 0 : 500 }),
                ),
                item(otherwise ? 'Close the eight ways to lie' : 'See it lie in eight ways', onOtherwise),
                item(fromColor ? 'Close print values' : 'From print values or a screen color', onFromColor),
              ]
            : []),
          item('Move up', () => actions.move(index, index - 1), index === 0),
          item('Move down', () => actions.move(index, index + 1), index === last),
          item('Duplicate', () => actions.duplicate(pass), last >= 11),
          item('Keep as a pattern', () => actions.keepPattern(pass)),
          item('Leave this pass out', () => actions.remove(pass), !many),
        ]}
      />
    </Box>
  );
}
