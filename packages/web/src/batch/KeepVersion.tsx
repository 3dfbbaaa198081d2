import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { titleOf, type Batch, type Reading, type VersionOf } from '@ythrion/core';
import { saidOf } from '../api/client';
import { useColorway, useSaveColorway } from '../studio/queries';
import { newId } from '../parts/newId';
import { say } from '../parts/say';

/** One tap makes what was really dyed the next version of its colorway, or a colorway of its own. */
export function KeepVersion({
  batch,
  version,
  reading,
  name = batch.name,
  onKept,
}: {
  batch: Batch;
  version: VersionOf | null;
  reading: Reading;
  /** What a colorway of its own is called. */
  name?: string;
  /** Told of the colorway that it became. */
  onKept?: (colorwayId: string) => Promise<unknown>;
}) {
  const versions = useColorway(batch.colorwayId ?? '', batch.colorwayId !== null);
  const save = useSaveColorway();
  const navigate = useNavigate();
  if (version === null) return null;
  const [newest] = versions.data ?? [];
  // Without its versions at hand nobody knows which is the next: it is never taken for a colorway of its own.
  const unknown = batch.colorwayId !== null && !versions.data;
  const keep = async (): Promise<void> => {
    try {
      // Schemas are loaded when something is kept: whoever only reads has no need of them.
      const { keptVersion } = await import('./keptVersion');
      const { colorway, problem } = keptVersion(batch, version, newest, { id: newId(), name });
      if (problem !== null) return void say(problem);
      const kept = await save.mutateAsync(colorway);
      await onKept?.(kept.id);
      say(`Kept as version ${kept.version}.`);
      void navigate(`/colorways/${kept.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ mt: 1.5 }}>
      <Button variant="outlined" disabled={save.isPending || unknown} onClick={() => void keep()}>
        {unknown
          ? 'Keep as the next version'
          : newest
            ? `Keep as version ${newest.version + 1} of ${newest.name}`
            : 'Keep as a colorway'}
      </Button>
      {version.lost.length > 0 && (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          A recipe has no words for: {version.lost.map(({ line }) => titleOf(line, reading)).join('; ')}. Dye
          again does it all the same.
        </Typography>
      )}
    </Box>
  );
}
