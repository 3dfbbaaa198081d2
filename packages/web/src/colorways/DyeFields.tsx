import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  convertLine,
  entryAmount,
  entryContext,
  entryIn,
  jarFor,
  jarWords,
  leftWords,
  methodFacts,
  parseQuantity,
  passShare,
  pourFrom,
  SCHOOL_NAMES,
  SCHOOLS,
  type DyeEntry,
  type DyeLine,
  type Formulation,
  type Pass,
  type Plan,
  type School,
  type ShelfResponse,
  readingOf,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { LadderStrip } from '../parts/LadderStrip';
import { QuantityField } from '../parts/QuantityField';
import type { Draft } from './useDraft';

const AMOUNT: Record<School, string> = {
  depth: 'Depth',
  grams: 'Grams',
  stock: 'Stock',
  'stock spoons': 'Spoons',
  'powder spoons': 'Spoons',
  parts: 'Parts',
  print: 'Ink',
};

export interface DyeFieldsProps {
  draft: Draft;
  pass: Pass;
  line: DyeLine;
  plan: Plan;
  formulation: Formulation;
  shelf: ShelfResponse;
}

/** One dye: which, how much in whichever school, and from which jar. */
export function DyeFields({ draft, pass, line, plan, formulation, shelf }: DyeFieldsProps) {
  const dye = shelf.dyes.find((candidate) => candidate.id === line.dyeId);
  const { school } = line.entry;
  const path = (of: School): string => `dyes.${line.id}.${of === 'depth' ? 'dosPercent' : of}`;
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
    const mine = standing?.dyes.find(({ id }) => id === line.id);
    if (!standing || !mine) return;
    const against = entryContext(standing, mine, plan.wog.value, passShare(standing.method), {
      dyes: [...formulation.dyes, ...shelf.dyes],
      stocks: [...formulation.stocks, ...shelf.stocks],
      spoons: formulation.spoons,
    });
    const converted = convertLine(standing, line.id, to, against);
    if (!converted) return;
    const entry = converted.dyes.find((other) => other.id === line.id)?.entry;
    draft.changePass(pass.id, rounded(converted, line.id), {
      [path(to)]: entry ? stillReads(now.asWritten[path(to)], entry, context) : '',
    });
  };
  const dry = methodFacts(pass.method.kind).dry;
  const jars = shelf.stocks.filter(
    (stock) => stock.dyeId === line.dyeId && (!stock.retired || stock.id === line.stockId),
  );
  const schools = SCHOOL_NAMES.filter(
    (name) => name === school || !SCHOOLS[name].needsJar || (line.stockId !== null && !dry),
  );
  const { kind, label: word } = SCHOOLS[school];
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        alignItems: 'start',
        gridTemplateColumns: {
          xs: '1fr 1fr',
          lg: dry ? '34px 1.5fr 1fr 1.15fr 32px' : '34px 1.5fr 0.85fr 0.95fr 1.4fr 32px',
        },
      }}
    >
      <Box sx={{ display: { xs: 'none', lg: 'block' }, pt: 0.75 }}>
        {dye && (
          <LadderStrip
            swatchHex={dye.swatchHex}
            swatchDosPercent={dye.swatchDosPercent}
            width={34}
            height={30}
          />
        )}
      </Box>
      <Choice
        label="Dye"
        value={line.dyeId}
        options={shelf.dyes
          .filter((candidate) => !candidate.retired || candidate.id === line.dyeId)
          .map((candidate) => ({
            value: candidate.id,
            label: `${candidate.name} ${candidate.code}`.trim(),
          }))}
        onChange={(dyeId) => {
          const stockId = jarFor(shelf, dyeId);
          const keeps = stockId !== null || !SCHOOLS[school].needsJar;
          set({ dyeId, stockId, ...(!keeps && { entry: { school: 'depth', percent: 0.5 } }) });
        }}
      />
      <QuantityField
        key={school}
        label={AMOUNT[school]}
        kind={kind}
        value={entryAmount(line.entry)}
        written={draft.colorway.asWritten[path(school)]}
        context={context}
        onChange={(amount, as) => set({ entry: entryIn(school, amount) }, { [path(school)]: as })}
      />
      <Choice<School>
        label="Measured in"
        value={school}
        options={(schools.includes(school) ? schools : [school, ...schools]).map((name) => ({
          value: name,
          label: name === school ? word : SCHOOLS[name].label,
        }))}
        onChange={say}
      />
      {!dry && (
        <Choice
          label="From"
          value={line.stockId ?? ''}
          options={[
            ...jars.map((stock) => ({
              value: stock.id,
              label: `${jarWords(stock)}, ${leftWords(shelf.stockLeft[stock.id] ?? 0)}`,
            })),
            { value: '', label: 'powder, weighed' },
          ]}
          onChange={(id) => set(pourFrom(line, id === '' ? null : id, shelf))}
        />
      )}
      {pass.dyes.length > 1 && (
        <Button
          aria-label={`Leave out ${dye?.name ?? 'this dye'}`}
          onClick={() =>
            draft.changePass(pass.id, ({ dyes }) => ({ dyes: dyes.filter((other) => other.id !== line.id) }))
          }
          sx={{
            minWidth: 32,
            px: 0,
            gridColumn: { xs: 2, lg: 'auto' },
            justifySelf: { xs: 'end', lg: 'auto' },
          }}
        >
          ✕
        </Button>
      )}
    </Box>
  );
}

/** A converted number with no more figures than it is worth, so that the field shows it as a dyer would write it. */
function rounded(converted: NonNullable<ReturnType<typeof convertLine>>, lineId: string): Partial<Pass> {
  return {
    ...converted,
    dyes: converted.dyes.map((line) =>
      line.id === lineId
        ? { ...line, entry: entryIn(line.entry.school, Number(entryAmount(line.entry).toPrecision(9))) }
        : line,
    ),
  };
}

/** What was typed in a school before stays, as long as it still reads as the same amount. */
function stillReads(
  text: string | undefined,
  entry: DyeEntry,
  context: Parameters<typeof parseQuantity>[2],
): string {
  if (text === undefined) return '';
  const read = parseQuantity(text, SCHOOLS[entry.school].kind, context);
  return read.ok && Math.abs(read.value - entryAmount(entry)) <= 1e-6 * read.value ? text : '';
}
