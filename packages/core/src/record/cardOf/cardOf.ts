import { dyeableShare } from '../../amounts/dyeableShare';
import type { VesselRole } from '../../process/act';
import { lineGrams } from '../../recipe/lineGrams';
import { named } from '../../recipe/materials';
import { keepsBath, methodFacts } from '../../recipe/methods';
import type { Plan } from '../../recipe/planTypes';
import type { Formulation, Pass } from '../../recipe/recipe';
import { stepPrefix } from '../../recipe/planPass';
import type { Step } from '../../recipe/steps';
import { PLAIN_LINE, type Card, type CardAct, type CardPass } from '../card';
import { CARD_VERSION } from '../cardVersion';
import type { Scene, Written } from './scene';
import { actsOf } from './stepActs';

const PANS = ['low immersion', 'painted stack'];
const PAINTED = ['painting', 'blank painting'];

/** The vessel that goods lie in during a pass, by its role. */
const vesselOf = ({ method }: Pass): VesselRole =>
  PANS.includes(method.kind) ? 'pan' : PAINTED.includes(method.kind) ? 'wrap' : 'pot';

/** Whether a pass has water of its own in the vessel its goods lie in; paint is measured into cups. */
const runsBath = ({ pass, planned }: Scene): boolean =>
  methodFacts(pass.method.kind).liquid !== 'paint' && (keepsBath(pass) || planned.water.value > 0);

/**
 * The card of a batch that begins: the plan's steps as acts, each step one act with a line of its own, and beside it
 * the quiet ones that go without saying.
 * @param plan the plan of this formulation
 */
export function cardOf(formulation: Formulation, plan: Plan): Card {
  const { recipe } = formulation;
  const vessels: Scene['vessels'] = new Map();
  const scenes: Scene[] = [];
  recipe.passes.forEach((pass, index) => {
    const planned = plan.passes[index];
    const before = scenes.at(-1);
    if (!planned) return;
    // Goods that go on in the bath of the pass before stay where that is.
    const vessel = before && keepsBath(pass) ? before.vessel : vesselOf(pass);
    scenes.push({
      formulation,
      pass,
      planned,
      index,
      prefix: stepPrefix(pass, index),
      vessel,
      afterBath: scenes.some((one) => one.vessel === vessel && runsBath(one)),
      counts: new Map(),
      vessels,
      setting: false,
    });
  });
  const acts = plan.steps.flatMap((step): Written[] => {
    const own = scenes.find(({ pass }) => pass.id === step.passId);
    const last = scenes.at(-1);
    const scene = own ?? (last && { ...last, setting: true });
    return scene ? actsOf(step, scene).map((written) => stepFacts(written, step)) : [];
  });
  return {
    version: CARD_VERSION,
    acts: uniquely([...bringGoods(formulation), ...bringVessels(formulation, vessels), ...acts]),
    passes: scenes.map(passFacts),
  };
}

/** What a step's own act takes over from it; the quiet ones beside it carry nothing. */
function stepFacts(written: Written, step: Step): Written {
  if (written.quiet) return written;
  return { ...written, cautions: step.cautions, estimated: step.wait?.sureness === 'estimate' };
}

/** Fills up what was left out, and gives a role that stands twice a number. */
function uniquely(acts: readonly Written[]): CardAct[] {
  const seen = new Map<string, number>();
  return acts.map((written) => {
    const times = (seen.get(written.id) ?? 0) + 1;
    seen.set(written.id, times);
    return {
      ...PLAIN_LINE,
      ...written,
      id: times === 1 ? written.id : `${written.id}:${times}`,
    };
  });
}

function passFacts({ pass, planned }: Scene): CardPass {
  return {
    id: pass.id,
    kind: pass.method.kind,
    goodsGrams: planned.goods.value,
    bathMl: planned.bath.value,
    keepsBath: keepsBath(pass),
    acidsBefore: planned.acidsBefore.map(({ material, pureGrams }) => ({ material, pureGrams })),
    phWindow: [planned.phWindow[0], planned.phWindow[1]],
  };
}

function bringGoods({ recipe, bases }: Formulation): Written[] {
  return recipe.goods.map((line) => {
    const base = named(bases, line.baseId, 'recipe.goods', 'yarn base');
    return {
      id: `bring.goods.${line.id}`,
      quiet: true,
      act: {
        kind: 'bring',
        pass: null,
        line: line.id,
        purpose: line.catchUp ? 'catch up' : null,
        thing: {
          kind: 'goods',
          name: base.name,
          baseId: base.id,
          form: line.form ?? base.form,
          count: line.count,
          grams: lineGrams(line),
          dyeableShare: dyeableShare(base.fibers),
          catchUp: line.catchUp,
          from: null,
        },
      },
    };
  });
}

/** Every vessel that an act names, once. The one the batch was begun in carries its name on the shelf. */
function bringVessels({ pot }: Formulation, vessels: Scene['vessels']): Written[] {
  const main = [...vessels.values()].find((role) => role === 'pot' || role === 'pan' || role === 'wrap');
  return [...vessels].map(([vessel, role]) => {
    const known = role === main ? pot : null;
    return {
      id: `bring.vessel.${vessel}`,
      quiet: true,
      act: {
        kind: 'bring',
        pass: null,
        line: null,
        purpose: null,
        thing: {
          kind: 'vessel',
          vessel,
          role,
          name: known?.name ?? '',
          shelfId: known?.id ?? null,
          capacityMl: known?.capacityMl ?? null,
        },
      },
    };
  });
}
