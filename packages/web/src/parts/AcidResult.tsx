import type { ReactNode } from 'react';
import Typography from '@mui/material/Typography';
import { ACIDS, phRange, type PlannedAcid } from '@ythrion/core';
import { FigureText } from './FigureText';

/** One acid dose in the words of every school. */
export function AcidResult({
  acid,
  phWindow,
  children,
}: {
  acid: PlannedAcid | null;
  /** pH usual for the dyes in this bath. */
  phWindow: readonly [number, number];
  /** Stands at the end of the line. */
  children?: ReactNode;
}) {
  if (!acid) return <Typography variant="body2">No acid in this bath.</Typography>;
  return (
    <Typography component="div" variant="body2">
      <FigureText figure={acid.amount} name={`Acid, ${acid.label}`} px={20} /> {ACIDS[acid.material].short}
      {' · '}
      <FigureText figure={acid.pH} name="Expected pH with the goods in" px={20} />, usual {phRange(phWindow)}
      {children}
      <br />
      <FigureText figure={acid.gPerL} name="Pure acid per liter of bath" px={13.5} /> ·{' '}
      <FigureText figure={acid.percentOfGoods} name="Pure acid on weight of goods" px={13.5} /> owf ·{' '}
      {acid.instead.samePh ? (
        <>
          <FigureText figure={acid.instead.samePh} name={`${acid.instead.label} for the same pH`} px={13.5} />{' '}
          {acid.instead.label}
        </>
      ) : (
        `no amount of ${acid.instead.label} makes it as acid`
      )}
      , by protons{' '}
      <FigureText
        figure={acid.instead.sameProtons}
        name={`${acid.instead.label} for as many protons`}
        px={13.5}
      />
    </Typography>
  );
}
