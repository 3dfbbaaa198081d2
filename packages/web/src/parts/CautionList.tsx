import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CAUTION_WORDS, CAUTIONS, type CautionName } from '@ythrion/core';

/** The cautions of a recipe, named in one line and told in full when opened. */
export function CautionList({ names }: { names: readonly CautionName[] }) {
  if (names.length === 0) return null;
  return (
    <Box component="details" sx={{ border: 1, borderColor: 'divider', px: 1.5 }}>
      <Box component="summary" sx={{ minHeight: 44, alignContent: 'center', cursor: 'pointer' }}>
        <Typography component="span" variant="body2">
          <strong>Mind:</strong> {names.map((name) => CAUTION_WORDS[name]).join(', ')}
        </Typography>
      </Box>
      {names.map((name) => (
        <Typography variant="body2" key={name} sx={{ mb: 0.75 }}>
          {CAUTIONS[name]}
        </Typography>
      ))}
    </Box>
  );
}
