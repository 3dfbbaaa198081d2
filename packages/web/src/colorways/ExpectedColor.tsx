import { useQuery } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  API,
  colorName,
  evenRecipe,
  expectedAddress,
  fiveWords,
  spreadFigure,
  spreadWords,
  type EvenRecipe,
  type ExpectedColor as Expectation,
  type ExpectedResponse,
  type YarnLook,
} from '@ythrion/core';
import { ask } from '../api/client';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { useRested } from '../parts/useRested';
import { KEYS } from '../studio/queries';

/** How long typing rests before a color is asked for, ms. */
const REST_MS = 250;

/** What goods of one color are expected to come out as, and how sure that is; nothing where that cannot be known. */
export function ExpectedColor({ look }: { look: YarnLook }) {
  const asked = useRested(JSON.stringify(evenRecipe(look)), REST_MS);
  const { data } = useQuery({
    queryKey: [...KEYS.colors, 'expected', asked],
    queryFn: () =>
      ask<ExpectedResponse>(`${API.expected}?${expectedAddress(JSON.parse(asked) as EvenRecipe)}`),
    enabled: asked !== 'null',
    placeholderData: (before) => before,
  });
  if (!data || asked === 'null') return null;
  return (
    <>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Comes out about {colorName(data.lab)}; four of five within ΔE00{' '}
        <FigureText figure={spreadFigure(data)} name="How sure this color is" bare />,{' '}
        {spreadWords(data.spreadDE00)}.
      </Typography>
      <FiveDyeings expected={data} />
    </>
  );
}

/** Five dyeings of it as small hanks, pale to deep, the likeliest in the middle: how sure it is, seen at once. */
function FiveDyeings({ expected }: { expected: Expectation }) {
  return (
    <Box
      component="figure"
      sx={{ m: 0, mb: 1, display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}
    >
      <Box aria-hidden sx={{ display: 'flex', bgcolor: 'booth', p: '3px', flex: 'none' }}>
        {expected.five.map(({ hex }, i) => (
          <Hank key={i} hex={hex} seed={`dyeing ${i}`} label="" shown="twisted" width={26} height={40} />
        ))}
      </Box>
      <Typography variant="caption" component="figcaption" color="text.secondary">
        Five dyeings of it: {fiveWords(expected)}
      </Typography>
    </Box>
  );
}
