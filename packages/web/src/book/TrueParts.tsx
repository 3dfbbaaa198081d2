import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { TruePart } from '@ythrion/core';
import { FigureText } from '../parts/FigureText';

/** A record summed up: each pass with its dyes by place, its water, acids and waits, and the set. */
export function TrueParts({ parts }: { parts: readonly TruePart[] }) {
  return parts.map(({ key, title, lines }) => (
    <Box component="section" key={key} aria-label={title} sx={{ mt: 1.5 }}>
      <Typography variant="body1" component="h3" sx={{ fontWeight: 700 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {lines.map((line) => (
          <Box
            component="li"
            key={line.key}
            sx={{ display: 'flex', gap: 1, alignItems: 'center', minHeight: 34 }}
          >
            <Typography variant="body2" sx={{ flex: 1 }}>
              {line.what}
              {line.note !== null && (
                <Typography variant="caption" component="span" color="text.secondary">
                  {' '}
                  {line.note}
                </Typography>
              )}
            </Typography>
            {line.figure && <FigureText figure={line.figure} name={`${title}: ${line.what}`} />}
          </Box>
        ))}
      </Box>
    </Box>
  ));
}
