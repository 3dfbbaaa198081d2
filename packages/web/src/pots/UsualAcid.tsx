import Typography from '@mui/material/Typography';
import { formatAmount, usualAcidFor, type Batch, type LineState } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';

type PutAct = Extract<LineState['line']['act'], { kind: 'put' }>;

/** What is usual of an acid that nobody measured, for this bath. */
export function UsualAcid({ batch, act: { material } }: { batch: Batch; act: PutAct }) {
  const usual = material.kind === 'acid' ? usualAcidFor(batch, material) : null;
  return (
    usual && (
      <Typography>
        <FigureText figure={usual.amount} name="Acid that is usual for this bath" px={20} /> bring this bath
        to {formatAmount(usual.wished, 'pH')}, usual for its dyes.
      </Typography>
    )
  );
}
