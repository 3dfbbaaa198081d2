import Typography from '@mui/material/Typography';
import { setMethodFacts, type Plan } from '@ythrion/core';
import { FigureText } from './FigureText';

/** What a set comes to: time on heat, and how far the method can be relied on. */
export function SetResult({ plan }: { plan: Plan }) {
  return (
    <Typography component="div" variant="body2">
      <FigureText figure={plan.totals.onHeat} name="Time on heat, rise and hold" px={20} /> on heat, then cool
      in place <FigureText figure={plan.set.cool} name="Cool in place" />
      <br />
      {setMethodFacts(plan.set.method).confidence}
    </Typography>
  );
}
