import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { METHOD_KINDS, methodFacts, type ShelfResponse } from '@ythrion/core';
import type { PassActions } from './usePassActions';

/** Another pass: one of the ways, each with what it gives, or a pattern kept before. */
export function AddPass({
  shelf,
  count,
  actions,
  onDone,
}: {
  shelf: ShelfResponse;
  count: number;
  actions: PassActions;
  onDone: () => void;
}) {
  const patterns = shelf.patterns.filter((pattern) => !pattern.retired);
  const choose = (work: () => void) => (): void => {
    onDone();
    work();
  };
  if (count >= 12)
    return (
      <Typography variant="body2" sx={{ px: 2, py: 0.5 }}>
        Twelve passes are the most a recipe holds.
      </Typography>
    );
  return (
    <Box sx={{ px: { xs: 1.5, sm: 2 }, pt: 0.5 }}>
      <Box
        component="ul"
        aria-label="Ways of a pass"
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'grid',
          columnGap: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr', lg: '1fr 1fr 1fr' },
        }}
      >
        {METHOD_KINDS.map((kind) => (
          <Way
            key={kind}
            name={methodFacts(kind).label}
            says={methodFacts(kind).gives}
            onChoose={choose(() => actions.add(kind))}
          />
        ))}
        <Way
          name="steps without dye"
          says="Acid, heat, a wait, a turn, another tie, a rinse or a set, between passes."
          onChoose={choose(actions.addSteps)}
        />
        {patterns.map((pattern) => (
          <Way
            key={pattern.id}
            name={`Pattern: ${pattern.name}`}
            says={pattern.note || methodFacts(pattern.pass.method.kind).gives}
            onChoose={choose(() => actions.addPattern(pattern))}
          />
        ))}
      </Box>
    </Box>
  );
}

function Way({ name, says, onChoose }: { name: string; says: string; onChoose: () => void }) {
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider' }}>
      <ButtonBase
        onClick={onChoose}
        sx={{ display: 'block', width: '100%', textAlign: 'left', minHeight: 56, py: 0.75 }}
      >
        <Typography sx={{ fontWeight: 600 }}>{name}</Typography>
        <Typography variant="body2" color="text.secondary">
          {says}
        </Typography>
      </ButtonBase>
    </Box>
  );
}
