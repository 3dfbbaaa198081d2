import type { Shelf } from './materials';
import type { AcidMaterial } from '../materials/acids';
import { usualDose } from './usualDose';
import { newGoodsLine } from './newGoodsLine';
import { mediumEntry, SCHOOLS } from './dyeEntry';
import type { AcidDose, Colorway, DyeLine, Pass, Recipe, Water } from './recipe';
import { USUAL_PASS_HEAT, usualSet } from './usualSet';
import { methodFacts, METHODS, sectionsOf } from '../method';
import type { MethodKind, PassMethod } from '../method';

const onShelf = <T extends { retired: boolean }>(things: readonly T[]): T[] =>
  things.filter((thing) => !thing.retired);

/** What must be on the shelf before a colorway can be begun; null when nothing is missing. */
export function missingForColorway(shelf: Shelf): 'base' | 'dye' | null {
  if (onShelf(shelf.bases).length === 0) return 'base';
  return onShelf(shelf.dyes).length === 0 ? 'dye' : null;
}

/** A dye that goes in as the row before it does: by the same school, from a jar or as powder. */
export function newDyeLine(
  id: string,
  shelf: Shelf,
  used: readonly string[],
  sectionId: string | null = null,
  before?: Pick<DyeLine, 'entry' | 'stockId'>,
): DyeLine {
  const dyes = onShelf(shelf.dyes);
  const dye = dyes.find((candidate) => !used.includes(candidate.id)) ?? dyes[0];
  const stockId = dye && before?.stockId !== null ? jarFor(shelf, dye.id) : null;
  const asked = before?.entry.school ?? 'depth';
  const school = stockId === null && SCHOOLS[asked].needsJar ? 'depth' : asked;
  return { id, dyeId: dye?.id ?? '', entry: mediumEntry(school), stockId, sectionId };
}

/** The dyes of a pass and one more: the first on the shelf that is not among them yet, measured as the last of them. */
export const withAnotherDye = (
  dyes: readonly DyeLine[],
  id: string,
  shelf: Shelf,
  sectionId: string | null,
): DyeLine[] => [
  ...dyes,
  newDyeLine(
    id,
    shelf,
    dyes.map((line) => line.dyeId),
    sectionId,
    dyes.at(-1),
  ),
];

/** The first jar of a dye still in use; null for weighing the powder. */
export function jarFor(shelf: Shelf, dyeId: string): string | null {
  return onShelf(shelf.stocks).find((stock) => stock.dyeId === dyeId)?.id ?? null;
}

/** Acid a glaze starts from: strongly acid, cold (common practice, no source). */
const GLAZE_ACID = {
  id: 'acid1',
  material: 'citric',
  strengthPercent: 100,
  basis: 'gPerL',
  value: 6,
  when: 'start',
} as const;

/**
 * A pass made in one way, with what is usual for it and one dye.
 * @param before the pass it follows: acid, bath and the measure of the dye are those of it
 */
export function newPass(
  id: string,
  kind: MethodKind,
  shelf: Shelf,
  newId: () => string,
  before?: Pass,
): Pass {
  const { usual } = METHODS[kind];
  const first = newDyeLine(newId(), shelf, [], sectionsOf(usual)[0]?.id ?? null, before?.dyes.at(-1));
  return {
    id,
    method: usual,
    goodsGoIn: 'wet',
    arrangement: {
      kind:
        kind === 'repeated'
          ? 'twisted'
          : kind === 'painted stack' || kind === 'blank painting'
            ? 'laid flat'
            : 'open',
      count: 2,
    },
    dyes: changedFor(kind, [first]),
    partsDepthPercent: before?.partsDepthPercent ?? 1,
    printDepthPercent: before?.printDepthPercent ?? 1,
    water: usualBath(kind, before?.water),
    acids: [usualAcid(kind, shelf.studio?.habits.usualAcid, before?.acids[0])],
    topUpMl: 0,
    topUpWithAcid: true,
    potId: null,
    takesOverMl: 0,
    heat: usualHeat(kind, null),
  };
}

/** Heat of a pass: that of before where its way takes any, and what is usual where its way is led hot. */
const usualHeat = (kind: MethodKind, before: Pass['heat']): Pass['heat'] => {
  const { hot, hotUsually } = methodFacts(kind);
  return hot ? (before ?? (hotUsually ? USUAL_PASS_HEAT : null)) : null;
};

/**
 * A pass without dye, between two others or after them: steps in the bath that is there, and what the goods need before
 * they go on. It begins as a rinse and a rest; every step can be another.
 */
export function newStepsPass(id: string, before: Pass): Pass {
  return {
    ...before,
    id,
    method: {
      kind: 'own way',
      steps: [{ do: 'lift' }, { do: 'rinse' }, { do: 'stand', minutes: 10, untilClear: false }],
    },
    dyes: [],
    water: { basis: 'kept' },
    acids: [],
    topUpMl: 0,
    takesOverMl: 0,
    heat: null,
  };
}

/** Acid a pass begins with: strong for a glaze, otherwise as in the pass before, and in a first one as the studio does. */
function usualAcid(
  kind: MethodKind,
  material: AcidMaterial | undefined,
  before: AcidDose | undefined,
): AcidDose {
  if (kind === 'glaze') return GLAZE_ACID;
  const { acidTimes, acidUsually } = methodFacts(kind);
  const dose = before ?? usualDose(material ?? 'vinegar');
  const when = acidUsually === 'start' ? dose.when : acidUsually;
  return {
    ...dose,
    id: 'acid1',
    when: acidTimes.includes(when) ? when : (acidTimes[0] ?? 'start'),
  };
}

/** Bath a pass begins with: shallow under powder, otherwise as large as in the pass before. */
export function usualBath(kind: MethodKind, before: Water | undefined): Water {
  if (kind === 'sprinkle' || kind === 'ice') return { basis: 'ratio', value: 8 };
  return before && before.basis !== 'kept' ? before : { basis: 'ratio', value: 30 };
}

/** Dyes as a way takes them: where powder goes on dry, none is counted in stock. */
const changedFor = (kind: MethodKind, dyes: readonly DyeLine[]): DyeLine[] =>
  dyes.map((line) =>
    methodFacts(kind).dry && SCHOOLS[line.entry.school].needsJar
      ? { ...line, entry: mediumEntry('depth') }
      : line,
  );

/**
 * A pass led in another way: dyes, acid and goods carry over, each method's own settings start from what is usual.
 * Lines of sections that are gone go to the first.
 */
export function changeMethod(pass: Pass, kind: MethodKind): Pass {
  if (pass.method.kind === kind) return pass;
  const method: PassMethod = METHODS[kind].usual;
  const sections = sectionsOf(method);
  return {
    ...pass,
    method,
    dyes: changedFor(kind, pass.dyes).map((line) => ({
      ...line,
      sectionId: sections.find((section) => section.id === line.sectionId)?.id ?? sections[0]?.id ?? null,
    })),
    acids: acidsMoved(pass, kind),
    heat: usualHeat(kind, pass.heat),
  };
}

/** Acid that went in when it usually does goes in when it usually does in the other way. */
function acidsMoved({ method, acids }: Pass, kind: MethodKind): AcidDose[] {
  const [before, after] = [methodFacts(method.kind).acidUsually, methodFacts(kind).acidUsually];
  return before === after
    ? acids
    : acids.map((dose) => (dose.when === before ? { ...dose, when: after } : dose));
}

/**
 * A recipe with one of its passes led in another way. Goods that are painted or iced last have no bath to simmer in: as
 * long as nobody decided on the set, they are steamed.
 */
export function changeWay(recipe: Recipe, passId: string, kind: MethodKind): Pick<Recipe, 'passes' | 'set'> {
  const passes = recipe.passes.map((pass) => (pass.id === passId ? changeMethod(pass, kind) : pass));
  const bare = passes.at(-1)?.id === passId && (methodFacts(kind).needs === 'wrap' || kind === 'ice');
  const usual = JSON.stringify(recipe.set) === JSON.stringify(usualSet('simmer'));
  return { passes, set: bare && usual ? usualSet('steam') : recipe.set };
}

/**
 * A first version to start from: one pass, one dye, usual water, acid and set. Needs a base and a dye on the shelf.
 * @param before the recipe worked on last: its base is taken
 */
export function newColorway(id: string, shelf: Shelf, newId: () => string, before?: Recipe): Colorway {
  const bases = onShelf(shelf.bases);
  const base = bases.find((candidate) => candidate.id === before?.goods[0]?.baseId) ?? bases[0];
  return {
    id,
    code: '',
    name: 'New colorway',
    note: '',
    version: 1,
    asWritten: {},
    retired: false,
    recipe: {
      goods: base ? [newGoodsLine(newId(), base)] : [],
      wettingMinutes: 30,
      passes: [newPass(newId(), 'immersion', shelf, newId)],
      potId: null,
      set: usualSet('simmer'),
    },
  };
}
