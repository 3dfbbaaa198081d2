import type { End, Purpose } from '../../process/act';
import { EVERYWHERE } from '../../process/place';
import { methodFacts } from '../../recipe/methods';
import type { PlannedAcid, PourLine } from '../../recipe/planTypes';
import type { Step } from '../../recipe/steps';
import { paint } from './paintActs';
import {
  along,
  bathOf,
  dilutionOf,
  iceOf,
  idIn,
  nthTime,
  of,
  paintCup,
  theOne,
  type Scene,
  type Written,
} from './scene';
import { heating, holding, liftedOut, lift, setHold, setVessel, standing } from './waitActs';

/** The acts of one step: one that has a line on the card, and the quiet ones around it. */
export function actsOf(step: Step, scene: Scene): Written[] {
  switch (step.kind) {
    case 'wet':
      return soak(step, scene);
    case 'arrange':
      return arrange(step, scene);
    case 'water':
      return [...emptied(scene, step), water(step, scene)];
    case 'dilute':
      return dilution(step, scene);
    case 'dye':
      return [dye(step, scene)];
    case 'acid':
      return [acid(step, scene)];
    case 'ice':
      return [
        {
          id: idIn(scene, 'put.ice'),
          act: {
            kind: 'put',
            ...of(scene, null),
            material: { kind: 'ice' },
            amount: step.measure?.amount.value ?? null,
            unit: 'g',
            into: { vessel: iceOf(scene) },
          },
        },
      ];
    case 'goods':
      return goodsIn(step, scene);
    case 'paint':
      return paint(step, scene);
    case 'wait':
      return [standing(step, scene)];
    case 'heat':
      return [...liftedOut(scene), heating(step, scene)];
    case 'hold':
      return holding(step, scene);
    case 'set':
      return [setHold(step, scene)];
    case 'cool':
      return [
        {
          id: 'cool',
          act: {
            kind: 'cool',
            ...of(scene, 'set'),
            vessel: setVessel(scene),
            toC: step.toC ?? null,
            minutes: step.wait?.value ?? null,
          },
        },
      ];
    case 'rinse':
      return [{ id: 'rinse', act: { kind: 'rinse', ...of(scene, null), goods: [], soap: true } }];
    case 'dry':
      return [
        { id: 'wring', quiet: true, act: { kind: 'wring', ...of(scene, null), goods: [] } },
        { id: 'dry', act: { kind: 'dry', ...of(scene, null), goods: [] } },
      ];
  }
}

function soak(step: Step, scene: Scene): Written[] {
  return [
    {
      id: idIn(scene, 'place.soak'),
      quiet: true,
      act: {
        kind: 'place',
        ...of(scene, 'soak'),
        goods: [],
        vessel: theOne(scene, 'soak'),
        reach: null,
        lies: null,
        wet: false,
      },
    },
    {
      id: idIn(scene, 'stand.soak'),
      act: {
        kind: 'stand',
        ...of(scene, 'soak'),
        vessel: theOne(scene, 'soak'),
        minutes: step.wait?.value ?? null,
        leaves: null,
      },
    },
  ];
}

/** Tying before a pass, and between the doses of a repeated one. */
function arrange(step: Step, scene: Scene): Written[] {
  const between = step.id !== `${scene.prefix}arrange`;
  const tie: Written = {
    id: idIn(scene, between ? 'handle.re-tie' : 'handle.tie'),
    act: {
      kind: 'handle',
      ...of(scene, between ? 'dose' : null),
      goods: [],
      what: 're-tie',
      lies: scene.pass.arrangement,
    },
  };
  return scene.index === 0 && !between ? [tie] : [lift(scene), tie];
}

/** The bath before is poured off when a later pass runs its own into the same vessel. */
function emptied(scene: Scene, step: Step): Written[] {
  const { pass, prefix } = scene;
  const runsBath = step.id === `${prefix}water`;
  if (!scene.afterBath || !runsBath || methodFacts(pass.method.kind).liquid === 'paint') return [];
  return [
    {
      id: idIn(scene, 'move.drain'),
      quiet: true,
      act: {
        kind: 'move',
        ...of(scene, null),
        from: { vessel: bathOf(scene) },
        to: null,
        ml: null,
        share: 1,
        holds: null,
      },
    },
  ];
}

function water(step: Step, scene: Scene): Written {
  const { pass, prefix, formulation } = scene;
  const topUp = step.id === `${prefix}top-up`;
  const paints = methodFacts(pass.method.kind).liquid === 'paint' && !topUp;
  return {
    id: idIn(scene, topUp ? 'run.top-up' : 'run.bath'),
    act: {
      kind: 'run',
      ...of(scene, topUp ? 'top up' : paints ? 'paint' : 'bath'),
      vessel: paints ? paintCup(scene, 'water') : bathOf(scene),
      ml: step.measure?.amount.value ?? null,
      celsius: formulation.place.tapC,
    },
  };
}

function dilution(step: Step, scene: Scene): Written[] {
  const material = step.measure?.material;
  const pour = scene.planned.pours.find(({ stepId }) => step.id === `${stepId}-dilute`);
  if (material?.kind !== 'dilution' || !pour?.dilution) return [];
  const vessel = dilutionOf(scene, pour.lineId);
  return [
    {
      id: idIn(scene, `put.dilution.${pour.lineId}`),
      tool: pour.dilution.takeWith,
      madeUp: { ml: pour.dilution.makeUp.value, tool: pour.dilution.makeUpWith },
      act: {
        kind: 'put',
        ...of(scene, 'dilution', pour.lineId),
        material: {
          kind: 'dye',
          dyeId: material.dyeId,
          stockId: material.stockId,
          strengthPercent: material.strengthPercent,
          lotStrength: pour.lotStrength,
        },
        amount: step.measure?.amount.value ?? null,
        unit: 'mL',
        into: { vessel },
      },
    },
    {
      id: idIn(scene, `run.dilution.${pour.lineId}`),
      quiet: true,
      act: {
        kind: 'run',
        ...of(scene, 'dilution', pour.lineId),
        vessel,
        ml: pour.dilution.makeUp.value - pour.dilution.take.value,
        celsius: scene.formulation.place.tapC,
      },
    },
  ];
}

/** Where a line's dye goes. */
function dyeEnd(scene: Scene, sectionId: string | null): End {
  switch (scene.pass.method.kind) {
    case 'painting':
    case 'blank painting':
      return { vessel: paintCup(scene, sectionId ?? 'all') };
    case 'painted stack':
      return { vessel: paintCup(scene, 'all') };
    case 'sprinkle':
      return { place: EVERYWHERE };
    case 'ice':
      return { vessel: iceOf(scene) };
    default:
      return { vessel: bathOf(scene) };
  }
}

function dye(step: Step, scene: Scene): Written {
  const material = step.measure?.material;
  if (material?.kind !== 'dye') throw new RangeError(`The step ${step.id} measures no dye.`);
  const pour = scene.planned.pours.find(({ lineId }) => lineId === material.lineId) as PourLine;
  const nth = nthTime(scene, material.lineId);
  const into = dyeEnd(scene, pour.sectionId);
  const amount = step.measure?.amount.value ?? null;
  const unit = step.measure?.unit ?? 'mL';
  const put = {
    kind: 'dye' as const,
    dyeId: material.dyeId,
    stockId: material.stockId,
    strengthPercent: material.strengthPercent,
    lotStrength: material.lotStrength,
  };
  return {
    id: idIn(scene, `dye.${material.lineId}${nth === 1 ? '' : `.dose${nth}`}`),
    tool: pour.dilution
      ? pour.dilution.pourWith
      : pour.measured
        ? { name: pour.measured.toolName, fills: pour.measured.fills }
        : null,
    askedGrams: pour.grams.value / pour.doses,
    dose: pour.doses > 1 ? { nth, of: pour.doses } : null,
    act: material.diluted
      ? {
          kind: 'move',
          ...of(scene, 'dose', material.lineId),
          from: { vessel: dilutionOf(scene, material.lineId) },
          to: into,
          ml: amount,
          share: null,
          holds: put,
        }
      : { kind: 'put', ...of(scene, 'dose', material.lineId), material: put, amount, unit, into },
  };
}

const ACID_PURPOSE: Record<PlannedAcid['when'], Purpose> = {
  soak: 'soak',
  start: 'bath',
  warm: 'warm',
  last: 'late',
  'with powder': 'with powder',
};

function acidPurpose(step: Step, { pass, planned, prefix }: Scene): Purpose {
  if (step.id === `${prefix}acid-melt`) return 'melt';
  if (step.id === `${prefix}top-up-acid`) return 'top up';
  const at = planned.acids.findIndex(({ stepId }) => stepId === step.id);
  // The citric that powder is cut with is planned behind the doses that were decided.
  if (at >= pass.acids.filter((dose) => dose.value > 0).length) return 'cut';
  return ACID_PURPOSE[planned.acids[at]?.when ?? 'start'];
}

function acid(step: Step, scene: Scene): Written {
  const material = step.measure?.material;
  if (material?.kind !== 'acid') throw new RangeError(`The step ${step.id} measures no acid.`);
  const purpose = acidPurpose(step, scene);
  const { pass } = scene;
  const dry = purpose === 'cut' || purpose === 'with powder';
  const paints =
    methodFacts(pass.method.kind).liquid === 'paint' && (purpose === 'bath' || purpose === 'with powder');
  return {
    id: idIn(scene, `acid.${purpose.replace(' ', '-')}`),
    act: {
      kind: 'put',
      ...of(scene, purpose),
      material: { kind: 'acid', acid: material.material, strengthPercent: material.strengthPercent },
      amount: step.measure?.amount.value ?? null,
      unit: step.measure?.unit ?? 'mL',
      into:
        purpose === 'soak'
          ? { vessel: theOne(scene, 'soak') }
          : dry && pass.method.kind === 'sprinkle'
            ? { place: EVERYWHERE }
            : { vessel: paints ? paintCup(scene, 'water') : bathOf(scene) },
    },
  };
}

function goodsIn(step: Step, scene: Scene): Written[] {
  const { pass, index, formulation } = scene;
  const vessel = bathOf(scene);
  const { recipe } = formulation;
  if (step.id === 'catch-up')
    return [
      {
        id: 'place.catch-up',
        act: {
          kind: 'place',
          ...of(scene, 'catch up'),
          goods: recipe.goods.filter((line) => line.catchUp).map((line) => line.id),
          vessel,
          reach: null,
          lies: null,
          wet: true,
        },
      },
    ];
  const { method } = pass;
  return [
    {
      id: idIn(scene, 'place.goods'),
      dose: method.kind === 'repeated' ? { nth: nthTime(scene, 'goods'), of: method.repeats } : null,
      act: {
        kind: 'place',
        ...of(scene, null),
        goods: [],
        vessel,
        reach: method.kind === 'dip' ? along(method.sharePercent / 100) : null,
        lies: pass.arrangement,
        wet: index > 0 || (pass.goodsGoIn === 'wet' && recipe.wettingMinutes > 0),
      },
    },
  ];
}
