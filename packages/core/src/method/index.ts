import { blankPainting } from './blankPainting';
import { coolBath } from './coolBath';
import { dip } from './dip';
import { glaze } from './glaze';
import { ice } from './ice';
import { immersion } from './immersion';
import { lowImmersion } from './lowImmersion';
import type { Method } from './method';
import { ownWay } from './ownWay';
import { paintedStack } from './paintedStack';
import { painting } from './painting';
import { repeated } from './repeated';
import type { MethodKind, MethodOf, PassMethod, Section } from './settings';
import { sprinkle } from './sprinkle';

export type { MethodKind, MethodOf, PassMethod } from './settings';

/** Every way of dyeing. A way that is missing here, or lacks a part, does not compile. */
export const METHODS = {
  immersion,
  'low immersion': lowImmersion,
  'cool bath': coolBath,
  glaze,
  repeated,
  dip,
  painting,
  sprinkle,
  ice,
  'painted stack': paintedStack,
  'blank painting': blankPainting,
  'own way': ownWay,
} satisfies { [K in MethodKind]: Method<MethodOf<K>> };

export const METHOD_KINDS = Object.keys(METHODS) as [MethodKind, ...MethodKind[]];

/** A way under the general type, whatever its settings: it is only to be given settings of its own kind. */
export type AnyMethod = Method<PassMethod>;

/** A way by its kind. */
export const methodFacts = (kind: MethodKind): AnyMethod => METHODS[kind] as unknown as AnyMethod;

/** Whether a pass can be led hot: goods without a bath around them are heated by the set. */
export const canBeHeated = (method: PassMethod): boolean =>
  methodFacts(method.kind).hot && !methodFacts(method.kind).onGoods(method);

/** The places that dyes of a pass can be for; none where they go everywhere. */
export const sectionsOf = (method: PassMethod): readonly Section[] => methodFacts(method.kind).places(method);

/** Share of the goods that a pass reaches, above 0 to 1. */
export const passShare = (method: PassMethod): number => methodFacts(method.kind).reach(method);

/** True when a pass goes on in the bath that is in the pot: paint, ice and a pan of its own size never do. */
export const keepsBath = (pass: { method: PassMethod; water: { basis: string } }): boolean =>
  pass.water.basis === 'kept' && methodFacts(pass.method.kind).liquid === 'water';
