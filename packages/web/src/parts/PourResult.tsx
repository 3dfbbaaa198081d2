import Typography from '@mui/material/Typography';
import type { PourLine } from '@ythrion/core';
import { FigureText } from './FigureText';

/** What one dye line comes to: the pour, large, and the dye in it. */
export function PourResult({ pour }: { pour: PourLine }) {
  return (
    <Typography
      component="div"
      variant="body2"
      sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}
    >
      <FigureText
        figure={pour.volume ?? pour.grams}
        name={pour.volume ? `Pour ${pour.dyeName}` : `Weigh ${pour.dyeName}`}
        px={24}
      />
      <span>
        {pour.volume ? `of ${pour.strengthPercent} % ${pour.dyeName}` : `${pour.dyeName} powder`}
        {pour.volume && (
          <>
            {' '}
            · <FigureText figure={pour.grams} name={`Dye in the pour of ${pour.dyeName}`} /> dye
          </>
        )}
        {pour.dosOnDyeable && (
          <>
            {' '}
            · <FigureText figure={pour.dosOnDyeable} name="Depth on the part that takes dye" /> on what takes
            dye
          </>
        )}
      </span>
    </Typography>
  );
}
