import { figure } from '../figure/figure';
import { HANDLING_C, setMethodFacts } from '../heat/setMethods';
import type { CautionName } from '../materials/cautionNames';
import { toppedUp } from '../method/bath';
import { WARM_C } from '../method/heat';
import type { WayStep, Written } from '../method/line';
import { DRIPPING_ML_PER_GRAM, SQUEEZED_ML_PER_GRAM } from '../method/ready';
import { theOne, type AnyScene } from '../method/scene';
import type { Purpose, VesselRole } from '../process/act';
import type { State } from '../process/state';
import type { HeatSet } from '../recipe/recipe';

const PRACTICE = 'common practice, no source';

/** The vessel of each way to set that is not the bath itself. */
const SET_VESSELS: Partial<Record<HeatSet['method'], VesselRole>> = {
  steam: 'steamer',
  oven: 'oven',
  microwave: 'microwave',
};

const SET_CAUTIONS: Record<HeatSet['method'], CautionName[]> = {
  simmer: ['scald', 'unattended'],
  steam: ['steam', 'unattended'],
  oven: ['oven', 'scald', 'unattended'],
  microwave: ['microwave', 'scald'],
  'warm rest': [],
};

/** What the set and everything after it is made from. */
export interface SetInputs {
  set: HeatSet;
  /** The last pass; its goods are what is set. */
  scene: AnyScene;
  /** Acid of it that waits for the warm and for the level bath. */
  owed: { warm: readonly Written[]; last: readonly Written[] };
}

/** Vessels that nobody puts on heat. */
const COLD_VESSELS: readonly VesselRole[] = ['tray', 'rack'];

const of = (purpose: Purpose | null): { pass: null; line: null; purpose: Purpose | null } => ({
  pass: null,
  line: null,
  purpose,
});

/** The heat set, cooling in place, rinse and drying. Acid of the last pass that waited for heat goes in on the way. */
export function setSteps(inputs: SetInputs): WayStep[] {
  const { set, scene, owed } = inputs;
  const felting: CautionName[] = scene.felts && set.method !== 'warm rest' ? ['hotWool'] : [];
  const cautions = [...SET_CAUTIONS[set.method], ...felting];
  const away = SET_VESSELS[set.method];
  // Goods on a rack are set in a pan together with what melted under them.
  const tray = away === undefined && COLD_VESSELS.includes(scene.roles.get(scene.vessel) ?? 'pot');
  const vessel = away ? theOne(scene, away) : tray ? theOne(scene, 'pan') : scene.vessel;
  return [
    ({ pieces }) => {
      // Those that caught what dripped lie there already.
      const dry = scene.catchUp.filter((line) => (pieces.get(line)?.at.length ?? 0) === 0);
      return dry.length > 0 ? [spareGoodsIn(scene, dry)] : [];
    },
    ...(tray ? intoPan(scene, vessel) : []),
    ...toppedUp(tray ? { ...scene, vessel } : scene),
    ...(away
      ? [
          ...owed.warm,
          ...(set.waits ? [bagged] : []),
          ...liftedOut(set, scene, vessel),
          ...heatAway(set, vessel, cautions),
        ]
      : potRise(inputs, vessel, cautions)),
    ...owed.last,
    {
      id: 'hold.set',
      hands: 5,
      cautions,
      act: {
        kind: 'hold',
        ...of('set'),
        vessel,
        atC: set.temperatureC,
        minutes: set.minutes,
        untilClear: false,
        leaves: null,
        onHeat: set.method !== 'warm rest',
      },
    },
    ...(set.coolMinutes > 0
      ? [
          {
            id: 'cool',
            hands: 0,
            cautions: felting,
            act: { kind: 'cool' as const, ...of('set'), vessel, toC: HANDLING_C, minutes: set.coolMinutes },
          },
        ]
      : []),
    {
      id: 'rinse',
      hands: 8,
      cautions: ['disposal'],
      act: { kind: 'rinse', ...of(null), goods: [], soap: true },
    },
    scene.pressed
      ? {
          id: 'press',
          quiet: true,
          act: { kind: 'handle', ...of(null), goods: [], what: 'press', lies: null },
        }
      : { id: 'wring', quiet: true, act: { kind: 'wring', ...of(null), goods: [] } },
    { id: 'dry', hands: 5, act: { kind: 'dry', ...of(null), goods: [] } },
  ];
}

/** Goods that wait for a set they share: no clock runs, they keep for days. */
const bagged: Written = {
  id: 'handle.bag',
  hands: 5,
  act: { kind: 'handle', ...of('rest'), goods: [], what: 'wrap', lies: null },
};

/** Spare goods into the bath, for what is left in it. */
const spareGoodsIn = ({ vessel }: AnyScene, goods: string[]): Written => ({
  id: 'place.catch-up',
  hands: 3,
  act: { kind: 'place', ...of('catch up'), goods, vessel, reach: null, lies: null, wet: true },
});

/** Rise in the pot, with acid “when warm” on the way. */
function potRise({ set, scene, owed }: SetInputs, vessel: string, cautions: CautionName[]): WayStep[] {
  // A warm rest has no rise: it stands at whatever the room gives.
  if (setMethodFacts(set.method).riseMinutes !== undefined) return [...owed.warm];
  const rise =
    (id: string, toC: number, below: number) =>
    (state: State): Written[] => {
      const minutes = scene.rise(state, vessel, toC, set.rampCPerMin);
      return minutes.value > 0 && (state.vessels.get(vessel)?.liquid.celsius ?? 0) < below
        ? [
            {
              id,
              act: {
                kind: 'heat',
                ...of('set'),
                vessel,
                toC,
                rampCPerMin: set.rampCPerMin,
                minutes: minutes.value,
              },
              estimated: true,
              because: minutes,
              hands: 3,
              cautions,
            },
          ]
        : [];
    };
  const warms = owed.warm.length > 0 && set.temperatureC > WARM_C;
  return [
    ...(warms ? [rise('heat.warm', WARM_C, WARM_C)] : []),
    ...owed.warm,
    rise('heat', set.temperatureC, Number.POSITIVE_INFINITY),
  ];
}

/** Goods out of their bath, wrapped and laid in; painted goods are wrapped as they lie. */
function liftedOut(set: HeatSet, scene: AnyScene, vessel: string): Written[] {
  return [
    ...(scene.leaves === 'as they lie'
      ? []
      : [
          {
            id: 'lift.set',
            quiet: true,
            act: {
              kind: 'lift' as const,
              ...of('set'),
              goods: [],
              keepsMlPerGram: scene.leaves === 'squeezed' ? SQUEEZED_ML_PER_GRAM : DRIPPING_ML_PER_GRAM,
            },
          },
        ]),
    ...(set.wrap === 'none'
      ? []
      : [
          {
            id: 'handle.wrap',
            quiet: true,
            act: { kind: 'handle' as const, ...of('set'), goods: [], what: 'wrap' as const, lies: null },
          },
        ]),
    {
      id: 'place.set',
      quiet: true,
      act: {
        kind: 'place',
        ...of('set'),
        goods: [],
        vessel,
        reach: 'none',
        lies: null,
        wet: true,
      },
    },
  ];
}

/** Steamer, oven or microwave brought to heat. */
function heatAway(set: HeatSet, vessel: string, cautions: CautionName[]): Written[] {
  const { label, riseMinutes = 0 } = setMethodFacts(set.method);
  if (riseMinutes <= 0) return [];
  return [
    {
      id: 'heat',
      estimated: true,
      because: figure(
        riseMinutes,
        'min',
        () => `${riseMinutes} min to get the ${label} hot`,
        'estimate',
        PRACTICE,
      ),
      hands: 10,
      cautions,
      act: {
        kind: 'heat',
        ...of('set'),
        vessel,
        toC: set.temperatureC,
        rampCPerMin: set.rampCPerMin,
        minutes: riseMinutes,
      },
    },
  ];
}

/** From the rack into a pan, with what melted. */
const intoPan = (scene: AnyScene, vessel: string): WayStep[] => [
  ({ vessels }) =>
    (vessels.get(scene.vessel)?.liquid.ml ?? 0) > 0
      ? [
          {
            id: 'move.set',
            quiet: true,
            act: {
              kind: 'move',
              ...of('set'),
              from: { vessel: scene.vessel },
              to: { vessel },
              ml: null,
              share: 1,
              holds: null,
            },
          },
        ]
      : [],
  {
    id: 'place.set',
    hands: 5,
    act: { kind: 'place', ...of('set'), goods: [], vessel, reach: null, lies: null, wet: true },
  },
];
