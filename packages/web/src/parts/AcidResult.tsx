import Typography from '@mui/material/Typography';
import type { PlannedAcid } from '@ythrion/core';
import { FigureText } from './FigureText';

/** One acid dose in the words of every school. */
export function AcidResult({ acid }: { acid: PlannedAcid | null }) {
  if (!acid) return <Typography variant="body2">No acid in this bath.</Typography>;
  return (
    <Typography component="div" variant="body2">
      <FigureText figure={acid.amount} name={`Acid, ${acid.label}`} px={20} /> {acid.label}
      <br />
      <FigureText figure={acid.gPerL} name="Pure acid per liter of bath" /> ·{' '}
      <FigureText figure={acid.percentOfGoods} name="Pure acid on weight of goods" /> of goods · or{' '}
      <FigureText figure={acid.instead.amount} name={`Instead, ${acid.instead.label}`} /> {acid.instead.label}
    </Typography>
  );
}
