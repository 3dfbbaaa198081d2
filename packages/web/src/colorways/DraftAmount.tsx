import type { QuantityProps } from '../parts/useQuantity';
import { SaidAmount } from '../sentence/SaidAmount';
import type { Draft, Written } from './useDraft';

export interface DraftAmountProps extends Omit<QuantityProps, 'written' | 'onChange'> {
  draft: Draft;
  /** The place of the field in the recipe, by which what was typed is kept. */
  path: string;
  /** @param written goes with the change, so that both are taken back together */
  onChange: (value: number, written: Written) => void;
}

/** An amount of a colorway: what was typed is kept beside its value, and stands there again. */
export function DraftAmount({ draft, path, onChange, ...field }: DraftAmountProps) {
  return (
    <SaidAmount
      {...field}
      written={draft.colorway.asWritten[path]}
      onChange={(value, as) => onChange(value, { [path]: as })}
    />
  );
}
