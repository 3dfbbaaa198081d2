import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sectionsOf, withAnotherDye, type Pass, type PlannedPart, type Section } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { SmallKey } from '../sentence/SmallKey';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';
import type { StageRow } from '../parts/YarnStage';
import type { PassRowsInputs } from './passRows';

/** One painted section: its name and share on the left, its paint on the right. */
export function sectionRow(
  { draft, pass, planned, shelf, onAdded }: PassRowsInputs,
  section: Section,
): StageRow {
  const part = planned.parts.find((candidate) => candidate.id === section.id);
  const sections = sectionsOf(pass.method);
  const set = (changes: Partial<Section>): void =>
    draft.changePass(pass.id, (now) =>
      withSections(now, (all) =>
        all.map((other) => (other.id === section.id ? { ...other, ...changes } : other)),
      ),
    );
  return {
    key: `section-${section.id}`,
    left: (
      <Sentence>
        <SaidText label="Section" value={section.name} maxLength={80} onChange={(name) => set({ name })} /> on{' '}
        <SaidAmount
          label={`Share of ${section.name}`}
          kind="sharePercent"
          value={section.sharePercent}
          onChange={(sharePercent) => set({ sharePercent })}
        />{' '}
        of the goods
        <Button
          size="small"
          aria-label={`Add a dye to ${section.name}`}
          sx={{ minHeight: 32, ml: 1, px: 1 }}
          onClick={() => {
            const id = newId();
            onAdded(id);
            draft.changePass(pass.id, ({ dyes }) => ({
              dyes: withAnotherDye(dyes, id, shelf, section.id),
            }));
          }}
        >
          Add a dye
        </Button>
        {sections.length > 1 && (
          <SmallKey
            label={`Leave out ${section.name}`}
            onPress={() => draft.changePass(pass.id, (now) => withoutSection(now, section.id))}
          />
        )}
      </Sentence>
    ),
    right: part ? <PartResult part={part} /> : null,
  };
}

/** A pass with its sections changed. */
const withSections = (pass: Pass, change: (sections: readonly Section[]) => Section[]): Partial<Pass> => ({
  method: { ...pass.method, sections: change(sectionsOf(pass.method)) } as Pass['method'],
});

/** A pass without a section and its dyes; when those were all, one of them goes to what is left. */
function withoutSection(pass: Pass, id: string): Partial<Pass> {
  const sections = sectionsOf(pass.method);
  const rest = sections.filter((other) => other.id !== id);
  const dyes = pass.dyes.filter((line) => (line.sectionId ?? sections[0]?.id) !== id);
  return {
    ...withSections(pass, () => rest),
    dyes:
      dyes.length > 0
        ? dyes
        : pass.dyes.slice(0, 1).map((line) => ({ ...line, sectionId: rest[0]?.id ?? null })),
  };
}

function PartResult({ part }: { part: PlannedPart }) {
  return (
    <Typography variant="body2" component="div">
      {part.paint && part.fillUp ? (
        <>
          <FigureText figure={part.paint} name={`Paint for ${part.name}`} px={20} /> of paint for{' '}
          <FigureText figure={part.goods} name={`Goods in ${part.name}`} />, filled up with{' '}
          <FigureText figure={part.fillUp} name={`Water for ${part.name}`} /> ·{' '}
        </>
      ) : null}
      <FigureText figure={part.dos} name={`Depth on ${part.name}`} />
    </Typography>
  );
}
