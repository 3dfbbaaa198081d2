import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  canLeaveOutPlace,
  LIES,
  withAnotherDye,
  withoutPlace,
  withPlace,
  ZONE_SHAPES,
  type Dose,
  type PaintedSection,
  type PlannedPart,
  type Section,
  type Zone,
} from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { Further } from '../sentence/Further';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';
import { SmallKey } from '../sentence/SmallKey';
import type { StageRow } from '../parts/YarnStage';
import type { PassRowsInputs } from './passRows';

const SHAPES: Record<Zone['shape'], string> = {
  band: 'as a band',
  sides: 'down both sides',
  zigzag: 'in a zigzag',
  patches: 'in patches',
};

/** One place that dyes are for: its name, its share and what else it has of its own on the left, what it comes to on the right. */
export function sectionRow(
  { draft, pass, planned, shelf, onAdded }: PassRowsInputs,
  place: Section,
): StageRow {
  const part = planned.parts.find((candidate) => candidate.id === place.id);
  const set = (changes: Partial<Section & Zone & PaintedSection & Dose>): void =>
    draft.changePass(pass.id, (now) => withPlace(now, place.id, changes));
  return {
    key: `section-${place.id}`,
    left: (
      <Sentence>
        <SaidText label="Section" value={place.name} maxLength={80} onChange={(name) => set({ name })} />
        {'minutes' in place ? (
          <DoseSettings dose={place as Dose} onChange={set} />
        ) : (
          <>
            {' on '}
            <SaidAmount
              label={`Share of ${place.name}`}
              kind="sharePercent"
              value={place.sharePercent}
              onChange={(sharePercent) => set({ sharePercent })}
            />{' '}
            of the {pass.method.kind === 'dip' ? 'length' : 'goods'}
          </>
        )}
        {'shape' in place && (
          <>
            {', '}
            <SaidChoice
              label={`How ${place.name} lies`}
              value={place.shape as Zone['shape']}
              options={ZONE_SHAPES.map((value) => ({ value, label: SHAPES[value] }))}
              onChange={(shape) => set({ shape })}
            />
          </>
        )}
        {'pickUpMlPerG' in place && (
          <OwnPaint section={place as PaintedSection} usual={usualPickUp(pass.method)} onChange={set} />
        )}
        <Button
          size="small"
          aria-label={`Add a dye to ${place.name}`}
          sx={{ minHeight: 32, ml: 1, px: 1 }}
          onClick={() => {
            const id = newId();
            onAdded(id);
            draft.changePass(pass.id, ({ dyes }) => ({ dyes: withAnotherDye(dyes, id, shelf, place.id) }));
          }}
        >
          Add a dye
        </Button>
        {canLeaveOutPlace(pass) && (
          <SmallKey
            label={`Leave out ${place.name}`}
            onPress={() => draft.changePass(pass.id, (now) => withoutPlace(now, place.id))}
          />
        )}
      </Sentence>
    ),
    right: part ? <PartResult part={part} /> : null,
  };
}

const usualPickUp = (method: object): number =>
  'pickUpMlPerG' in method && typeof method.pickUpMlPerG === 'number' ? method.pickUpMlPerG : 1;

/** How the goods are tied for a dose, and how long it strikes. */
function DoseSettings({ dose, onChange }: { dose: Dose; onChange: (changes: Partial<Dose>) => void }) {
  const { lies, minutes, name } = dose;
  return (
    <>
      : goods{' '}
      <SaidChoice
        label={`Goods lie for ${name}`}
        value={lies.kind}
        options={LIES.map((kind) => ({ value: kind, label: kind }))}
        onChange={(kind) => onChange({ lies: { ...lies, kind } })}
      />
      {lies.kind !== 'open' && lies.kind !== 'laid flat' && (
        <>
          {' '}
          <SaidAmount
            label={`Turns or knots for ${name}`}
            kind="steps"
            value={lies.count}
            onChange={(count) => onChange({ lies: { ...lies, count } })}
          />
          ×
        </>
      )}
      , strikes{' '}
      <SaidAmount
        label={`${name} strikes`}
        kind="minutes"
        value={minutes}
        onChange={(next) => onChange({ minutes: next })}
      />
    </>
  );
}

/** Paint that a section takes for itself, where that is more or less than the others. */
function OwnPaint({
  section,
  usual,
  onChange,
}: {
  section: PaintedSection;
  usual: number;
  onChange: (changes: Partial<PaintedSection>) => void;
}) {
  return (
    <Further label={`More about ${section.name}`} usual={section.pickUpMlPerG === null}>
      , takes{' '}
      <SaidAmount
        label={`Paint of ${section.name}`}
        kind="pickUp"
        value={section.pickUpMlPerG ?? usual}
        onChange={(pickUpMlPerG) => onChange({ pickUpMlPerG })}
      />
    </Further>
  );
}

function PartResult({ part }: { part: PlannedPart }) {
  if (part.dos.value === 0)
    return (
      <Typography variant="body2" component="div">
        <FigureText figure={part.goods} name={`Goods in ${part.name}`} /> of goods stay as they are
      </Typography>
    );
  return (
    <Typography variant="body2" component="div">
      {part.paint && part.fillUp ? (
        <>
          <FigureText figure={part.paint} name={`Paint for ${part.name}`} px={20} /> of paint for{' '}
          <FigureText figure={part.goods} name={`Goods in ${part.name}`} />, filled up with{' '}
          <FigureText figure={part.fillUp} name={`Water for ${part.name}`} /> ·{' '}
        </>
      ) : (
        <>
          <FigureText figure={part.goods} name={`Goods in ${part.name}`} /> of goods ·{' '}
        </>
      )}
      <FigureText figure={part.dos} name={`Depth on ${part.name}`} />
    </Typography>
  );
}
