import InputAdornment from '@mui/material/InputAdornment';
import { TextLine } from './TextLine';
import { useQuantity, type QuantityProps } from './useQuantity';

export interface QuantityFieldProps extends QuantityProps {
  size?: 'desk' | 'bench';
}

/** A labeled field for an amount: at the pots and on the shelf. Under what was typed stands how it was read, never over it. */
export function QuantityField({ size = 'desk', ...props }: QuantityFieldProps) {
  const { text, take, onKeyDown, unit, readBack, remark, wrong, input } = useQuantity(props);
  const said = [readBack, remark].filter(Boolean).join('. ');
  return (
    <TextLine
      label={props.label}
      value={text}
      onChange={take}
      onKeyDown={onKeyDown}
      said={said === '' ? undefined : said}
      wrong={wrong}
      autoFocus={props.autoFocus ?? false}
      end={unit === null ? undefined : <InputAdornment position="end">{unit}</InputAdornment>}
      input={{ ...input, ...(size === 'bench' && { style: { fontSize: 28, fontWeight: 600 } }) }}
    />
  );
}
