import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { formatAmount, type PlannedLoad, type Room, type SplitOrder, type VesselChoice } from '@ythrion/core';
import { Tick } from '../parts/Tick';

interface OrderVesselsProps {
  choices: readonly VesselChoice[];
  split: SplitOrder | null;
  isChosen: (id: string) => boolean;
  onTick: (id: string) => void;
}

/** The vessels to dye in, each with what it holds of this. */
export function OrderVessels({ choices, split, isChosen, onTick }: OrderVesselsProps) {
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0 }}>
      <Typography component="legend" variant="h2">
        In these vessels at once
      </Typography>
      {choices.map(({ pot, holds }) => {
        const room = split?.holds.get(pot.id);
        return (
          <Box key={pot.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
            {holds === null ? (
              <Tick
                label={`${pot.name}, ${formatAmount(pot.capacityMl, 'mL')}`}
                checked={isChosen(pot.id)}
                onChange={() => onTick(pot.id)}
              />
            ) : (
              <Typography color="text.secondary" sx={{ py: 1 }}>
                {pot.name}: {holds} is in it
              </Typography>
            )}
            {holds === null && room && (
              <Typography variant="body2" component="span">
                {roomWords(room)}
              </Typography>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

const roomWords = ({ fewest, most, all }: Room): string =>
  all
    ? 'holds all of them'
    : most === 0
      ? 'holds not one piece of this'
      : fewest === most
        ? `holds ${most} at most`
        : `holds ${fewest} or more, by the base`;

/** What each load takes. @param baseOf the name of a base, where they differ */
export function OrderLoads({
  loads,
  baseOf,
}: {
  loads: readonly PlannedLoad[];
  baseOf: ((id: string | null) => string) | null;
}) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        aria-label="Loads"
        sx={{
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', py: 0.5, pr: 2, borderBottom: 1 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">Vessel</th>
            <th scope="col">Pieces</th>
            {baseOf && <th scope="col">Base</th>}
            <th scope="col">Pour</th>
            <th scope="col">Water</th>
            <th scope="col">Acid</th>
          </tr>
        </thead>
        <tbody>
          {loads.map(({ pot, baseId, count, plan }) => (
            <tr key={pot.id}>
              <th scope="row">{pot.name}</th>
              <td>{count}</td>
              {baseOf && <td>{baseOf(baseId)}</td>}
              <td>
                {plan.passes
                  .flatMap(({ pours }) => pours)
                  .map(({ volume, grams, dyeName }) => {
                    const { value, unit } = volume ?? grams;
                    return `${formatAmount(value, unit)} ${dyeName}`;
                  })
                  .join(', ')}
              </td>
              <td>{formatAmount(plan.totals.water.value, 'mL')}</td>
              <td>
                {plan.passes
                  .flatMap(({ acids }) => acids)
                  .map(({ amount, label }) => `${formatAmount(amount.value, amount.unit)} ${label}`)
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
