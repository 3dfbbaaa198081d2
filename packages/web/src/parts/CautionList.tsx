import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Typography from '@mui/material/Typography';
import { CAUTIONS, type CautionName } from '@ythrion/core';

const WORDS: Record<CautionName, string> = {
  powder: 'open powder',
  acid: 'acid',
  scald: 'scalding water',
  steam: 'steam',
  oven: 'oven',
  microwave: 'microwave',
  unattended: 'heat',
  hotWool: 'hot wool',
  disposal: 'the spent bath',
};

/** The cautions of a recipe, named in one line and told in full when opened. */
export function CautionList({ names }: { names: readonly CautionName[] }) {
  if (names.length === 0) return null;
  return (
    <Accordion
      disableGutters
      square
      sx={{ border: 1, borderColor: 'divider', '&::before': { display: 'none' } }}
    >
      <AccordionSummary sx={{ minHeight: 44 }}>
        <Typography variant="body2">
          <strong>Mind:</strong> {names.map((name) => WORDS[name]).join(', ')} <span aria-hidden>▾</span>
        </Typography>
      </AccordionSummary>
      <AccordionDetails sx={{ pt: 0 }}>
        {names.map((name) => (
          <Typography variant="body2" key={name} sx={{ mb: 0.75 }}>
            {CAUTIONS[name]}
          </Typography>
        ))}
      </AccordionDetails>
    </Accordion>
  );
}
