import { useState } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import { missingForColorway, newColorway, type Colorway, type ShelfResponse } from '@ythrion/core';
import { useColorway, useShelf } from '../studio/queries';
import { newId } from '../parts/newId';
import { Waiting } from '../parts/Waiting';
import { Formulation } from './Formulation';

/** Opens a colorway, or begins a new one, once what it needs is at hand. */
export function FormulationScreen() {
  const { id = 'new' } = useParams();
  const shelf = useShelf();
  const versions = useColorway(id, id !== 'new');
  if (!shelf.data || (id !== 'new' && !versions.data))
    return <Waiting error={shelf.error ?? versions.error} />;
  if (id === 'new') return <NewFormulation shelf={shelf.data} />;
  const [newest] = versions.data ?? [];
  return newest ? (
    <Formulation
      key={newest.id}
      saved={withoutDate(newest)}
      isNew={false}
      shelf={shelf.data}
      versions={versions.data ?? []}
    />
  ) : (
    <Waiting />
  );
}

function withoutDate({ savedAt: _, ...colorway }: Colorway & { savedAt: string }): Colorway {
  return colorway;
}

function NewFormulation({ shelf }: { shelf: ShelfResponse }) {
  const missing = missingForColorway(shelf);
  const [fresh] = useState(() => (missing === null ? newColorway(newId(), shelf, newId) : null));
  if (fresh) return <Formulation saved={fresh} isNew shelf={shelf} versions={[]} />;
  return (
    <Stack spacing={2} sx={{ p: 3, alignItems: 'flex-start' }}>
      <Typography variant="h1">
        A colorway needs a {missing === 'base' ? 'yarn base' : 'dye'} first
      </Typography>
      <Button
        component={Link}
        to={missing === 'base' ? '/shelf/bases/new' : '/shelf/dyes/new'}
        variant="contained"
      >
        Put a {missing === 'base' ? 'base' : 'dye'} on the shelf
      </Button>
    </Stack>
  );
}
