import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { lyingOtherwise, type Arrangement, type Formulation, type Plan } from '@ythrion/core';
import { Hank } from '../parts/Hank';

export interface LyingOtherwiseProps {
  plan: Plan;
  formulation: Formulation;
  /** Of the pass, from 0. */
  index: number;
  now: Arrangement;
  seed: string;
  onChoose: (arrangement: Arrangement) => void;
}

/** The same pass with the goods laid in eight ways, side by side: pressed, it is laid so. */
export function LyingOtherwise({ plan, formulation, index, now, seed, onChoose }: LyingOtherwiseProps) {
  return (
    <Box
      component="ul"
      aria-label="The same pass, laid otherwise"
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 1 }}
    >
      {lyingOtherwise(plan, formulation, index).map(({ arrangement, name, look }) => {
        const chosen = arrangement.kind === now.kind && (name === 'open' || arrangement.count === now.count);
        return (
          <Box component="li" key={name}>
            <ButtonBase
              aria-pressed={chosen}
              onClick={() => onChoose(arrangement)}
              sx={{
                display: 'block',
                bgcolor: 'booth',
                p: 0.5,
                outline: chosen ? 2 : 0,
                color: 'text.primary',
              }}
            >
              <Hank look={look} seed={seed} label={`Laid ${name}, an estimate`} width={112} height={136} />
              <Typography variant="body2" sx={{ bgcolor: 'background.paper', px: 0.5 }}>
                {name}
              </Typography>
            </ButtonBase>
          </Box>
        );
      })}
    </Box>
  );
}
