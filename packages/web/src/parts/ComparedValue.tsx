import type { ComparedLine } from '@ythrion/core';
import { FigureText } from './FigureText';

/** One side of a comparison: a figure, a word, or nothing there. */
export function ComparedValue({
  value,
  name,
  px,
}: {
  value: ComparedLine['before'];
  name: string;
  px?: number;
}) {
  if (value === null) return 'none';
  if (typeof value === 'string') return value;
  return <FigureText figure={value} name={name} {...(px !== undefined && { px })} />;
}
