import { useMemo } from 'react';
import Typography from '@mui/material/Typography';
import { formatAmount, phAdvice, phRange, type Batch } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';

/** What the latest measured pH asks for, in place of the expected one. */
export function PhAdviceLine({ batch }: { batch: Batch }) {
  const advice = useMemo(() => phAdvice(batch), [batch]);
  if (!advice) return null;
  const { correction } = advice;
  const measured = `${formatAmount(advice.measured, 'pH')} measured, usual for these dyes ${phRange(advice.window)}.`;
  return (
    <Typography component="div" sx={{ mt: 1 }} role="status">
      {measured} {advice.stands === 'in' && 'Leave it.'}
      {advice.stands === 'below' && 'More acid than usual: add no more, and expect a fast strike.'}
      {correction && (
        <>
          For pH {correction.wished.toFixed(1)} add{' '}
          <FigureText figure={correction.add} name={`${correction.label} for the wished pH`} px={24} />{' '}
          {correction.label}.
        </>
      )}
    </Typography>
  );
}
