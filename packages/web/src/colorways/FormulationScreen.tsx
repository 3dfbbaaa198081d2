import { useState } from 'react';
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import {
  missingForColorway,
  newColorway,
  type Colorway,
  type ColorwayOnList,
  type Recipe,
  type ShelfResponse,
} from '@ythrion/core';
import { useColorway, useColorways, useShelf } from '../studio/queries';
import { newId } from '../parts/newId';
import { Waiting } from '../parts/Waiting';
import { Formulation } from './Formulation';
import { useKeptDraft } from './useKeptDraft';

/** Opens a colorway, or begins a new one, once what it needs is at hand. */
export function FormulationScreen() {
  const { id = 'new' } = useParams();
  const shelf = useShelf();
  const versions = useColorway(id, id !== 'new');
  const colorways = useColorways(id === 'new');
  if (!shelf.data || (id !== 'new' && !versions.data))
    return <Waiting error={shelf.error ?? versions.error} />;
  if (id === 'new') {
    // What was worked on last is only a convenience: where the list cannot be had, a new one begins all the same.
    // Asked for once: one that was begun without it stays where it is when the list is asked for anew.
    if (!colorways.isFetched && colorways.fetchStatus !== 'paused') return <Waiting />;
    const [last] = (colorways.data ?? []).toSorted((a, b) => b.savedAt.localeCompare(a.savedAt));
    return <NewFormulation shelf={shelf.data} before={last?.recipe} />;
  }
  const [newest] = versions.data ?? [];
  return newest ? (
    <SavedFormulation key={newest.id} newest={newest} shelf={shelf.data} versions={versions.data ?? []} />
  ) : (
    <Waiting />
  );
}

interface SavedProps {
  newest: ColorwayOnList;
  shelf: ShelfResponse;
  versions: readonly ColorwayOnList[];
}

/** A colorway that was saved before, with what was changed in this browser since. */
function SavedFormulation({ newest, shelf, versions }: SavedProps) {
  const [opened] = useState(newest);
  const kept = useKeptDraft(opened);
  if (kept === undefined) return <Waiting />;
  return (
    <Formulation saved={withoutDate(newest)} kept={kept} isNew={false} shelf={shelf} versions={versions} />
  );
}

function withoutDate({ savedAt: _, ...colorway }: Colorway & { savedAt: string }): Colorway {
  return colorway;
}

function NewFormulation({ shelf, before }: { shelf: ShelfResponse; before: Recipe | undefined }) {
  const missing = missingForColorway(shelf);
  const [fresh] = useState(() => (missing === null ? newColorway(newId(), shelf, newId, before) : null));
  if (fresh) return <Formulation saved={fresh} kept={null} isNew shelf={shelf} versions={[]} />;
  return (
    <Box sx={{ display: 'grid', gap: 2, p: 3, justifyItems: 'start' }}>
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
      <Button component={Link} to="/shelf/start" variant="outlined">
        Set up the studio from lists
      </Button>
    </Box>
  );
}
