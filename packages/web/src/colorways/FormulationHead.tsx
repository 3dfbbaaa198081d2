import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import { useNavigate } from 'react-router';
import { colorwaySchema, dayOf, type Colorway, type ColorwayOnList } from '@ythrion/core';
import { saidOf } from '../api/client';
import { useSaveColorway } from '../api/queries';
import { Choice } from '../parts/Choice';
import type { Draft } from './useDraft';

export interface FormulationHeadProps {
  draft: Draft;
  isNew: boolean;
  versions: readonly ColorwayOnList[];
}

/** The name and version of a colorway, and saving it: a saved version never changes, a change makes the next one. */
export function FormulationHead({ draft, isNew, versions }: FormulationHeadProps) {
  const { colorway } = draft;
  const save = useSaveColorway();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const newest = versions[0];
  const keep = async (changes: Partial<Colorway> = {}): Promise<void> => {
    const next = colorwaySchema.safeParse({
      ...colorway,
      ...changes,
      version: isNew ? 1 : (newest?.version ?? 0) + 1,
    });
    if (!next.success)
      return void enqueueSnackbar(next.error.issues[0]?.message ?? 'This cannot be saved yet.');
    try {
      const { savedAt: _, ...kept } = await save.mutateAsync(next.data);
      draft.takeUp(kept);
      enqueueSnackbar(`Version ${kept.version} saved.`);
      if (isNew) void navigate(`/colorways/${kept.id}`, { replace: true });
    } catch (error) {
      enqueueSnackbar(saidOf(error));
    }
  };
  const openVersion = (version: string): void => {
    const found = versions.find((candidate) => String(candidate.version) === version);
    if (!found) return;
    const { savedAt: _, ...kept } = found;
    draft.takeUp(kept);
  };
  return (
    <Box
      sx={{
        px: { xs: 1.5, sm: 2 },
        pt: 1,
        pb: 0.5,
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <InputBase
        value={colorway.name}
        onChange={(event) => draft.change({ name: event.target.value })}
        inputProps={{ 'aria-label': 'Name of the colorway', maxLength: 80 }}
        sx={(theme) => ({
          ...theme.typography.colorway,
          flex: '1 1 220px',
          minHeight: 44,
          borderBottom: '1px dotted',
          borderColor: 'divider',
        })}
      />
      <InputBase
        value={colorway.code}
        placeholder="code"
        onChange={(event) => draft.change({ code: event.target.value })}
        inputProps={{ 'aria-label': 'Code of the colorway', maxLength: 16 }}
        sx={{
          width: 90,
          minHeight: 44,
          borderBottom: '1px dotted',
          borderColor: 'divider',
          '& input::placeholder': { color: 'text.secondary', opacity: 1 },
        }}
      />
      {versions.length > 0 && (
        <Box sx={{ width: 190 }}>
          <Choice
            label="Version"
            value={String(colorway.version)}
            onChange={openVersion}
            options={versions.map((version) => ({
              value: String(version.version),
              label: `${version.version} · ${dayOf(version.savedAt)}`,
            }))}
          />
        </Box>
      )}
      {draft.changed && !isNew && newest && (
        <Button onClick={() => openVersion(String(newest.version))}>Put back</Button>
      )}
      {!isNew && !draft.changed && (
        <Button onClick={() => void keep({ retired: !colorway.retired })}>
          {colorway.retired ? 'Bring back' : 'Retire'}
        </Button>
      )}
      <Button
        variant={draft.changed ? 'contained' : 'outlined'}
        disabled={!draft.changed || save.isPending}
        onClick={() => void keep()}
      >
        {isNew ? 'Save' : `Save version ${(newest?.version ?? 0) + 1}`}
      </Button>
      {draft.changed && !isNew && (
        <Typography variant="caption" color="text.secondary" role="status">
          not saved yet; kept in this browser
        </Typography>
      )}
    </Box>
  );
}
