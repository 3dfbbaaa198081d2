import Typography from '@mui/material/Typography';
import { HANDLING_C, setMethodFacts, type Plan } from '@ythrion/core';
import { FigureText } from './FigureText';

/** What a set comes to: time on heat, what the place and the bundle allow, and how far the method can be relied on. */
export function SetResult({ plan }: { plan: Plan }) {
  const { set } = plan;
  return (
    <Typography component="div" variant="body2">
      <FigureText figure={plan.totals.onHeat} name="Time on heat, rise and hold" px={20} /> on heat, then cool
      in place <FigureText figure={set.cool} name="Cool in place" />
      {set.expectedCool && (
        <>
          {' '}
          (by itself to {HANDLING_C} °C: <FigureText figure={set.expectedCool} name="Cooling by itself" />)
        </>
      )}
      {set.centerHot && (
        <>
          {' '}
          · middle hot after <FigureText figure={set.centerHot} name="Center of the bundle hot" />
        </>
      )}
      <br />
      {set.method === 'simmer' ? (
        <>
          Water boils at <FigureText figure={set.boiling} name="Boiling point here" /> in this studio.
        </>
      ) : (
        setMethodFacts(set.method).confidence
      )}
    </Typography>
  );
}
