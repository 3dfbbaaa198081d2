import type { End } from '../../process/act';
import type { Place } from '../../process/place';
import { sectionsOf } from '../../recipe/methods';
import type { Pass } from '../../recipe/recipe';
import type { Step } from '../../recipe/steps';
import { moved, paintCup, type Scene, type Written } from './scene';

/** Painting: cups filled up, and each emptied onto its section, lightest first as they were put down. */
export function paint(step: Step, scene: Scene): Written[] {
  const { pass, planned, prefix } = scene;
  if (pass.method.kind === 'painted stack') return paintStack(scene, pass.method);
  const sections = sectionsOf(pass.method);
  const at = sections.findIndex((section) => step.id === `${prefix}paint-${section.id}`);
  const section = sections[at];
  if (!section) return [];
  const cup = paintCup(scene, section.id);
  const part = planned.parts.find(({ id }) => id === section.id);
  const fillUp = part?.fillUp?.value ?? 0;
  const before = sections.slice(0, at).reduce((sum, { sharePercent }) => sum + sharePercent / 100, 0);
  const across = pass.method.kind === 'blank painting' || layoutOf(pass) === 'across';
  const place: Place = {
    piece: null,
    axis: across ? 'along' : 'around',
    from: Math.min(before, 1),
    to: Math.min(1, before + section.sharePercent / 100),
  };
  return [
    ...(fillUp > 0
      ? [
          {
            ...moved(
              scene,
              `move.fill.${section.id}`,
              { vessel: paintCup(scene, 'water') },
              { vessel: cup },
              { ml: fillUp },
            ),
            quiet: true,
          },
        ]
      : []),
    {
      ...moved(scene, `paint.${section.id}`, { vessel: cup }, { place }, { share: 1 }),
      madeUp: { ml: part?.paint?.value ?? 0, tool: '' },
    },
  ].map((written) => ({ ...written, act: { ...written.act, line: section.id } }));
}

const layoutOf = ({ method }: Pass): string => (method.kind === 'painting' ? method.layout : '');

/** A stack is painted layer by layer from the top; what a layer does not keep drains to the one below. */
function paintStack(
  scene: Scene,
  { layers, drainPercent }: { layers: number; drainPercent: number },
): Written[] {
  const layer = (i: number): End => ({
    place: { piece: null, axis: 'layer', from: i / layers, to: (i + 1) / layers },
  });
  const { planned } = scene;
  const cup = paintCup(scene, 'all');
  const water = paintCup(scene, 'water');
  const quietly = (role: string, from: End, to: End, share: number): Written => ({
    ...moved(scene, role, from, to, { share }),
    quiet: true,
  });
  return [
    ...(planned.water.value > 0 || planned.acids.some(({ when }) => when === 'start')
      ? [quietly('move.fill', { vessel: water }, { vessel: cup }, 1)]
      : []),
    ...Array.from({ length: layers - 1 }, (_, i) => [
      quietly(`paint.layer${i + 1}`, { vessel: cup }, layer(i), 1 / (layers - i)),
      ...(drainPercent / 100 > 0
        ? [quietly(`drain.layer${i + 1}`, layer(i), layer(i + 1), drainPercent / 100)]
        : []),
    ]).flat(),
    moved(scene, `paint.layer${layers}`, { vessel: cup }, layer(layers - 1), { share: 1 }),
  ];
}
