import { lazy, Suspense, useState } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import {
  acidPath,
  behaviorWords,
  QUICK_ACIDS,
  sectionsOf,
  swapAcid,
  type AcidBasis,
  methodFacts,
  type AcidDose,
  type DyeLine,
  type Formulation,
  type Pass,
  type Plan,
  type PlannedAcid,
  type PlannedPass,
  type ShelfResponse,
  spoken,
  threeFigures,
  readingOf,
} from '@ythrion/core';
import { AcidSentence } from '../sentence/AcidSentence';
import { AcidResult } from '../parts/AcidResult';
import { FigureText } from '../parts/FigureText';
import { Notices } from '../parts/Notices';
import { PourResult } from '../parts/PourResult';
import { SaidChoice } from '../sentence/SaidChoice';
import { SmallKey } from '../sentence/SmallKey';
import { Sentence } from '../sentence/Sentence';
import type { StageRow } from '../parts/YarnStage';
import { DyeSentence } from './DyeSentence';
import { HeatSentence } from './HeatSentence';
import { hasMethodSentence, MethodSentence } from './MethodSentence';
import { sectionRow } from './sectionRow';
import { DraftAmount } from './DraftAmount';
import type { Draft } from './useDraft';
import { vesselRow } from './vesselRow';
import { WaySentence } from './WaySentence';

const PhChart = lazy(async () => ({ default: (await import('./PhChart')).PhChart }));

export interface PassRowsInputs {
  draft: Draft;
  pass: Pass;
  planned: PlannedPass;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
  index: number;
  /** The row or pass that was added a moment ago. */
  added: string | null;
  onAdded: (id: string) => void;
}

/** The rows of an open pass: what is decided on the left, what it comes to on the right. */
export function passRows(inputs: PassRowsInputs): StageRow[] {
  const { draft, pass, planned, plan, index } = inputs;
  const sections = sectionsOf(pass.method);
  const said = plan.notices.filter((notice) => notice.passId === pass.id);
  return [
    {
      key: 'way',
      left: (
        <WaySentence
          draft={draft}
          pass={pass}
          planned={planned}
          first={index === 0}
          justAdded={inputs.added === pass.id}
        />
      ),
      right: <WaterResult planned={planned} />,
    },
    ...(hasMethodSentence(pass)
      ? [
          {
            key: 'method',
            left: <MethodSentence draft={draft} pass={pass} shelf={inputs.shelf} />,
            right: <MethodResult planned={planned} />,
          },
        ]
      : []),
    ...(sections.length === 0
      ? pass.dyes.map((line) => dyeRow(inputs, line))
      : sections.flatMap((section, i) => [
          sectionRow(inputs, section),
          ...pass.dyes
            .filter(
              (line) =>
                (line.sectionId ?? sections[0]?.id) === section.id ||
                (i === 0 && !sections.some(({ id }) => id === line.sectionId)),
            )
            .map((line) => dyeRow(inputs, line)),
        ])),
    ...sharedDepthRow(inputs),
    ...pass.acids.map((dose) => acidRow(inputs, dose)),
    ...(pass.heat
      ? [
          {
            key: 'heat',
            left: <HeatSentence draft={draft} pass={pass} />,
            right: planned.heat && (
              <Typography variant="body2" component="div">
                <FigureText figure={planned.heat.rise} name="Time to heat" px={20} /> to get there, then{' '}
                <FigureText figure={planned.heat.hold} name="Hold of the pass" /> at{' '}
                <FigureText figure={planned.heat.temperature} name="Temperature of the pass" />
              </Typography>
            ),
          },
        ]
      : []),
    ...vesselRow(inputs),
    ...(pass.topUpMl > 0
      ? [
          {
            key: 'top-up',
            left: (
              <Sentence>
                Top up with{' '}
                <DraftAmount
                  draft={draft}
                  path={`passes.${pass.id}.topUpMl`}
                  label="Water topped up"
                  kind="topUp"
                  value={pass.topUpMl}
                  onChange={(topUpMl, written) => draft.changePass(pass.id, { topUpMl }, written)}
                />
                {' of water, '}
                <SaidChoice
                  label="With the water"
                  value={pass.topUpWithAcid ? 'acid' : 'none'}
                  options={[
                    { value: 'acid', label: 'with its acid: it was poured off or lifted out' },
                    { value: 'none', label: 'without acid: it steamed away, the acid is still there' },
                  ].map((one) => ({ ...one, said: one.label.split(':')[0] ?? one.label }))}
                  onChange={(brings) => draft.changePass(pass.id, { topUpWithAcid: brings === 'acid' })}
                />
                <SmallKey
                  label="Leave out the top-up"
                  onPress={() => draft.changePass(pass.id, { topUpMl: 0 })}
                />
              </Sentence>
            ),
            right: planned.topUp && (
              <Typography variant="body2" component="div">
                <FigureText figure={planned.topUp.water} name="Water to top up" px={20} /> water
                {planned.topUp.acid && (
                  <>
                    {' '}
                    with <FigureText
                      figure={planned.topUp.acid.amount}
                      name="Acid for the top-up"
                      px={20}
                    />{' '}
                    {planned.topUp.acid.label}: the bath keeps its acid per liter
                  </>
                )}
              </Typography>
            ),
          },
        ]
      : []),
    ...(said.length > 0
      ? [{ key: 'notices', left: null, right: <Notices notices={said.map(spoken)} /> }]
      : []),
  ];
}

function dyeRow(
  { draft, pass, planned, plan, formulation, shelf, added }: PassRowsInputs,
  line: DyeLine,
): StageRow {
  const pour = planned.pours.find((candidate) => candidate.lineId === line.id);
  const dye = shelf.dyes.find(({ id }) => id === line.dyeId);
  return {
    key: line.id,
    left: (
      <DyeSentence
        draft={draft}
        pass={pass}
        line={line}
        plan={plan}
        formulation={formulation}
        shelf={shelf}
        justAdded={added === line.id}
      />
    ),
    right: pour ? <PourResult pour={pour} known={dye ? behaviorWords(dye.behavior) : []} /> : null,
  };
}

/** The depth that parts or print values share, where any line is counted in them. */
function sharedDepthRow({ draft, pass }: PassRowsInputs): StageRow[] {
  const uses = (school: string): boolean => pass.dyes.some((line) => line.entry.school === school);
  const fields = [
    ...(uses('parts')
      ? [
          <span key="parts">
            All parts together are{' '}
            <DraftAmount
              draft={draft}
              path={`passes.${pass.id}.partsDepthPercent`}
              label="All parts together"
              kind="dos"
              value={pass.partsDepthPercent}
              onChange={(partsDepthPercent, written) =>
                draft.changePass(pass.id, { partsDepthPercent }, written)
              }
            />{' '}
            depth
          </span>,
        ]
      : []),
    ...(uses('print')
      ? [
          <span key="print">
            100 % of an ink is{' '}
            <DraftAmount
              draft={draft}
              path={`passes.${pass.id}.printDepthPercent`}
              label="100 % ink is"
              kind="dos"
              value={pass.printDepthPercent}
              onChange={(printDepthPercent, written) =>
                draft.changePass(pass.id, { printDepthPercent }, written)
              }
            />{' '}
            depth
          </span>,
        ]
      : []),
  ];
  return fields.length === 0
    ? []
    : [
        {
          key: 'shared depth',
          left: <Sentence>{fields}</Sentence>,
          right: uses('print') ? (
            <Typography variant="body2">
              A print value is a place to start, no match: dab it, then correct one dye at a time.
            </Typography>
          ) : null,
        },
      ];
}

function acidRow({ draft, pass, planned, formulation, shelf }: PassRowsInputs, dose: AcidDose): StageRow {
  const path = acidPath(pass.id, dose.id);
  // A dose of nothing is not planned, nor one that no step of an own way puts in.
  const acid = planned.acids.find(({ id }) => id === dose.id) ?? null;
  const put = (next: AcidDose | null, written: string): void =>
    draft.changePass(
      pass.id,
      ({ acids }) => ({
        acids: next
          ? acids.map((other) => (other.id === dose.id ? next : other))
          : acids.filter(({ id }) => id !== dose.id),
      }),
      { [path]: written },
    );
  return {
    key: `acid-${dose.id}`,
    left: (
      <AcidSentence
        dose={dose}
        written={draft.colorway.asWritten[path]}
        restate={(basis) => restated(acid, basis) ?? dose.value}
        swap={(from, to) => swapAcid(from, to, acid, planned.bath.value / 1000)}
        reading={readingOf({ kind: 'acid', acid: dose.material }, shelf)}
        fallback={QUICK_ACIDS.vinegar}
        times={methodFacts(pass.method.kind).acidTimes}
        onChange={put}
      />
    ),
    right: <AcidWithCurve acid={acid} pass={pass} planned={planned} formulation={formulation} />,
  };
}

function restated(acid: PlannedAcid | null, basis: AcidBasis): number | null {
  if (!acid) return null;
  const figure = { gPerL: acid.gPerL, percentOfGoods: acid.percentOfGoods, amount: acid.amount }[basis];
  return Number(figure.value.toPrecision(6));
}

interface AcidWithCurveProps {
  acid: PlannedAcid | null;
  pass: Pass;
  planned: PlannedPass;
  formulation: Formulation;
}

/** What an acid dose comes to; opened, pH against the amount of acid in this bath. */
function AcidWithCurve({ acid, pass, planned, formulation }: AcidWithCurveProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <AcidResult acid={acid} phWindow={planned.phWindow}>
        {', '}
        <ButtonBase
          aria-expanded={open}
          aria-label={`pH curve of the ${acid?.label ?? 'acid'}`}
          onClick={() => setOpen(!open)}
          sx={{
            font: 'inherit',
            fontWeight: 600,
            verticalAlign: 'baseline',
            minHeight: 24,
            textDecoration: 'underline',
          }}
        >
          curve
        </ButtonBase>
      </AcidResult>
      {open && acid && (
        <Suspense>
          <PhChart acid={acid} pass={pass} planned={planned} formulation={formulation} />
        </Suspense>
      )}
    </>
  );
}

function WaterResult({ planned }: { planned: PlannedPass }) {
  return (
    <Typography variant="body2" component="div">
      {planned.water.value === 0 ? (
        'No water to run; a bath of '
      ) : (
        <>
          <FigureText figure={planned.water} name="Water to run" px={20} /> water, for a bath of{' '}
        </>
      )}
      <FigureText figure={planned.bath} name="Bath" />,{' '}
      <FigureText figure={planned.liquorRatio} name="Liquor ratio" />
    </Typography>
  );
}

/** What only this way needs to know, one figure after the other. */
function MethodResult({ planned }: { planned: PlannedPass }) {
  const layers = planned.kind === 'painted stack' ? planned.parts : [];
  return (
    <Typography variant="body2" component="div">
      {planned.figures.map(({ name, figure }, i) => (
        <span key={name}>
          {i > 0 && ' · '}
          {name} <FigureText figure={figure} name={name} />
        </span>
      ))}
      {layers.length > 0 && ' · '}
      {layers.map((part, i) => (
        <span key={part.id}>
          {i > 0 && ', '}
          {part.name} <FigureText figure={part.dos} name={`Depth on ${part.name}`} />
        </span>
      ))}
    </Typography>
  );
}

/** An open pass in one line of what to pour, for when it is folded. */
export function FoldedPours({ planned }: { planned: PlannedPass }) {
  return (
    <Typography variant="body2" component="div">
      {planned.pours.map((pour, i) => (
        <span key={pour.lineId}>
          {i > 0 && ', '}
          <FigureText
            figure={pour.volume ?? pour.grams}
            name={`${pour.volume ? 'Pour' : 'Weigh'} ${pour.dyeName}`}
          />{' '}
          {pour.dyeName}
          {pour.strengthPercent !== null && ` ${threeFigures(pour.strengthPercent)} %`}
        </span>
      ))}
      {planned.water.value > 0 && (
        <>
          , <FigureText figure={planned.water} name="Water to run" /> water
        </>
      )}
      {planned.acids.map((acid) => (
        <span key={acid.actId}>
          , <FigureText figure={acid.amount} name={`Acid, ${acid.label}`} /> {acid.label}
        </span>
      ))}
      {planned.bathAcid && (
        <>
          {' · '}
          <FigureText figure={planned.bathAcid.pH} name="Expected pH of the pass" />
        </>
      )}
    </Typography>
  );
}
