import Box from '@mui/material/Box';
import {
  dyePath,
  jarFor,
  jarWords,
  leftWords,
  methodFacts,
  pourFrom,
  SCHOOL_NAMES,
  SCHOOLS,
  type DyeLine,
  type Formulation,
  type Pass,
  type Plan,
  type School,
  type ShelfResponse,
  readingOf,
  sayDyeIn,
  spoonSetOf,
} from '@ythrion/core';
import { LadderStrip } from '../parts/LadderStrip';
import { SmallKey } from '../sentence/SmallKey';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidDye } from '../sentence/SaidDye';
import { Sentence } from '../sentence/Sentence';
import type { Draft } from './useDraft';

export interface DyeSentenceProps {
  draft: Draft;
  pass: Pass;
  line: DyeLine;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
  /** True for a row that was added a moment ago: it has the focus. */
  justAdded: boolean;
}

/** One dye: which, how much in whichever school, and from which jar. */
export function DyeSentence({ draft, pass, line, plan, formulation, shelf, justAdded }: DyeSentenceProps) {
  const dye = shelf.dyes.find((candidate) => candidate.id === line.dyeId);
  const { school } = line.entry;
  const set = (changes: Partial<DyeLine>, written: Record<string, string> = {}): void =>
    draft.changePass(
      pass.id,
      ({ dyes }) => ({
        dyes: dyes.map((other) => (other.id === line.id ? { ...other, ...changes } : other)),
      }),
      written,
    );
  const context = readingOf({ kind: 'dye', dyeId: line.dyeId, strengthPercent: null }, shelf);
  const say = (to: School): void => {
    // What was typed a moment ago, here or in another row, may not be shown yet.
    const now = draft.asItStands();
    const standing = now.recipe.passes.find(({ id }) => id === pass.id);
    const said =
      standing &&
      sayDyeIn(to, {
        pass: standing,
        lineId: line.id,
        wogGrams: plan.wog.value,
        from: {
          dyes: [...formulation.dyes, ...shelf.dyes],
          stocks: [...formulation.stocks, ...shelf.stocks],
          spoons: formulation.spoons,
        },
        written: now.asWritten,
        reading: context,
        spoons: spoonSetOf(shelf.studio),
      });
    if (said) draft.changePass(pass.id, said.pass, said.written);
  };
  const dry = methodFacts(pass.method.kind).dry;
  const jars = shelf.stocks.filter(
    (stock) => stock.dyeId === line.dyeId && (!stock.retired || stock.id === line.stockId),
  );
  const schools = SCHOOL_NAMES.filter(
    (name) => name === school || !SCHOOLS[name].needsJar || (line.stockId !== null && !dry),
  );
  return (
    <Sentence>
      <Box component="span" sx={{ display: 'inline-block', verticalAlign: '-7px', mr: 0.75 }}>
        {dye && (
          <LadderStrip
            dyeId={dye.id}
            swatchHex={dye.swatchHex}
            swatchDosPercent={dye.swatchDosPercent}
            width={34}
            height={26}
          />
        )}
      </Box>
      <SaidChoice
        label="Dye"
        value={line.dyeId}
        autoFocus={justAdded}
        options={shelf.dyes
          .filter((candidate) => !candidate.retired || candidate.id === line.dyeId)
          .map((candidate) => ({
            value: candidate.id,
            label: `${candidate.name} ${candidate.code}`.trim(),
            said: candidate.name,
          }))}
        onChange={(dyeId) => {
          const stockId = jarFor(shelf, dyeId);
          const keeps = stockId !== null || !SCHOOLS[school].needsJar;
          set({ dyeId, stockId, ...(!keeps && { entry: { school: 'depth', percent: 0.5 } }) });
        }}
      />{' '}
      <SaidDye
        // Spoons of what goes on dry are spoons of powder, whatever jar is kept for a way that pours.
        line={dry ? { ...line, stockId: null } : line}
        schools={schools}
        reading={context}
        written={draft.colorway.asWritten[dyePath(line.id, school)]}
        onChange={(entry, as) => set({ entry }, { [dyePath(line.id, entry.school)]: as })}
        onSchool={say}
      />
      {!dry && (
        <>
          {' from '}
          <SaidChoice
            label="From"
            value={line.stockId ?? ''}
            options={[
              ...jars.map((stock) => ({
                value: stock.id,
                label: `${jarWords(stock)}, ${stock.retired ? 'off the shelf' : leftWords(shelf.stockLeft[stock.id] ?? 0)}`,
                said: `the ${jarWords(stock)} jar`,
              })),
              { value: '', label: 'powder, weighed', said: 'powder' },
            ]}
            onChange={(id) => set(pourFrom(line, id === '' ? null : id, shelf))}
          />
        </>
      )}
      {(pass.dyes.length > 1 || pass.method.kind === 'own way') && (
        <SmallKey
          label={`Leave out ${dye?.name ?? 'this dye'}`}
          onPress={() =>
            draft.changePass(pass.id, ({ dyes }) => ({ dyes: dyes.filter((other) => other.id !== line.id) }))
          }
        />
      )}
    </Sentence>
  );
}
