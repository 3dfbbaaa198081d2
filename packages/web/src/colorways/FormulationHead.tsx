import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { dayOf, type Colorway, type ColorwayOnList, type Formulation, type Plan } from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { saidOf } from '../api/client';
import { useSaveColorway } from '../studio/queries';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { MoreButton } from '../parts/MoreButton';
import type { MenuWord } from '../parts/WordMenu';
import type { Draft } from './useDraft';
import { say } from '../parts/say';

export interface FormulationHeadProps {
  draft: Draft;
  isNew: boolean;
  versions: readonly ColorwayOnList[];
  plan: Plan;
  formulation: Formulation;
  panel: Panel | null;
  onPanel: (panel: Panel) => void;
}

/** What can be opened under the head: another size or depth, another version beside it, an old note. */
export type Panel = 'size' | 'compare' | 'note';

/** The name and version of a colorway, and saving it: a saved version never changes, a change makes the next one. */
export function FormulationHead({
  draft,
  isNew,
  versions,
  plan,
  formulation,
  panel,
  onPanel,
}: FormulationHeadProps) {
  const { colorway } = draft;
  const save = useSaveColorway();
  const navigate = useNavigate();
  const newest = versions[0];
  const keep = async (changes: Partial<Colorway> = {}): Promise<void> => {
    if (!everythingReads()) return;
    const version = isNew ? 1 : (newest?.version ?? 0) + 1;
    try {
      // The server says what cannot be saved, field by field.
      const { savedAt: _, ...kept } = await save.mutateAsync({ ...draft.asItStands(), ...changes, version });
      draft.takeUp(kept);
      say(`Version ${kept.version} saved.`);
      if (isNew) void navigate(`/colorways/${kept.id}`, { replace: true });
    } catch (error) {
      say(saidOf(error));
    }
  };
  const openVersion = (version: string): void => {
    const found = versions.find((candidate) => String(candidate.version) === version);
    if (!found) return;
    const { savedAt: _, ...kept } = found;
    draft.open(kept);
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
        <Sentence>
          version{' '}
          <SaidChoice
            label="Version"
            value={String(colorway.version)}
            onChange={openVersion}
            options={versions.map((version) => ({
              value: String(version.version),
              label: `${version.version} · ${dayOf(version.savedAt)}`,
            }))}
          />
        </Sentence>
      )}
      <HeadBar
        draft={draft}
        plan={plan}
        formulation={formulation}
        panel={panel}
        onPanel={onPanel}
        versions={versions}
      />
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
      {draft.changed && newest && newest.version > colorway.version && (
        <Box
          role="alert"
          sx={{ flex: '1 1 100%', display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Typography variant="body2">
            Version {newest.version} was saved on {dayOf(newest.savedAt)}, and your changes stand on version{' '}
            {colorway.version}. Save them as version {newest.version + 1}, or leave them.
          </Typography>
          <Button size="small" variant="outlined" onClick={() => openVersion(String(newest.version))}>
            Leave my changes, open version {newest.version}
          </Button>
        </Box>
      )}
    </Box>
  );
}

interface HeadBarProps {
  draft: Draft;
  plan: Plan;
  formulation: Formulation;
  panel: Panel | null;
  onPanel: (panel: Panel) => void;
  versions: readonly ColorwayOnList[];
}

/** Undo and redo at hand, the rarer tools one tap further. */
function HeadBar({ draft, plan, formulation, panel, onPanel, versions }: HeadBarProps) {
  const sheet = async (): Promise<void> => {
    try {
      const { printRunSheet } = await import('./printRunSheet');
      await printRunSheet(formulation, plan, draft.colorway);
    } catch {
      say('The run sheet could not be made. Nothing was changed.');
    }
  };
  const tools: MenuWord[] = [
    { word: 'Size and depth', work: () => onPanel('size') },
    ...(versions.length > 0 ? [{ word: 'Compare versions', work: () => onPanel('compare') }] : []),
    { word: 'Old note', work: () => onPanel('note') },
    { word: 'Run sheet, PDF', work: () => void sheet() },
  ];
  return (
    <>
      <Button disabled={!draft.undo} onClick={() => draft.undo?.()} sx={{ minWidth: 0, px: 1 }}>
        Undo
      </Button>
      <Button disabled={!draft.redo} onClick={() => draft.redo?.()} sx={{ minWidth: 0, px: 1 }}>
        Redo
      </Button>
      {panel === null ? (
        <MoreButton word="Tools" items={tools} />
      ) : (
        <Button onClick={() => onPanel(panel)}>Close</Button>
      )}
    </>
  );
}
