import { z } from 'zod';
import { blankPainting, blankPaintingSettings } from './blankPainting';
import { coolBath, coolBathSettings } from './coolBath';
import { dip, dipSettings } from './dip';
import { glaze, glazeSettings } from './glaze';
import { ice, iceSettings } from './ice';
import { immersion, immersionSettings } from './immersion';
import { lowImmersion, lowImmersionSettings } from './lowImmersion';
import type { Method } from './method';
import { ownWay, ownWaySettings } from './ownWay';
import { paintedStack, paintedStackSettings } from './paintedStack';
import { painting, paintingSettings } from './painting';
import { repeated, repeatedSettings } from './repeated';
import type { Section } from './settings';
import { sprinkle, sprinkleSettings } from './sprinkle';

/** How a pass brings dye and goods together, with just what that way needs. */
export const passMethodSchema = z.discriminatedUnion(
  'kind',
  [
    immersionSettings,
    lowImmersionSettings,
    coolBathSettings,
    glazeSettings,
    repeatedSettings,
    dipSettings,
    paintingSettings,
    sprinkleSettings,
    iceSettings,
    paintedStackSettings,
    blankPaintingSettings,
    ownWaySettings,
  ],
  { error: 'A pass must name its method, such as { "kind": "immersion" }.' },
);

export type PassMethod = z.infer<typeof passMethodSchema>;
export type MethodKind = PassMethod['kind'];
export type MethodOf<K extends MethodKind> = Extract<PassMethod, { kind: K }>;

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

/** The sections a method paints; none for the others. */
export const sectionsOf = (method: PassMethod): readonly Section[] => methodFacts(method.kind).places(method);

/** Share of the goods that a pass reaches, above 0 to 1. */
export const passShare = (method: PassMethod): number => methodFacts(method.kind).reach(method);

/** True when a pass goes on in the bath that is in the pot: paint, ice and a pan of its own size never do. */
export const keepsBath = (pass: { method: PassMethod; water: { basis: string } }): boolean =>
  pass.water.basis === 'kept' && methodFacts(pass.method.kind).liquid === 'water';
