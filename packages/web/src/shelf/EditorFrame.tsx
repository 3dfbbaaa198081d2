import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import type { ShelfResource } from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutOnShelf } from '../studio/queries';
import { say } from '../parts/say';

export interface EditorFrameProps<T> {
  resource: ShelfResource;
  title: string;
  /** The thing as it is kept, undefined while it is new. */
  kept: T | undefined;
  /** Reads the form; gives the checked thing, or undefined after the form has marked what is wrong. */
  read: () => Promise<T | undefined>;
  children: ReactNode;
}

/** Around every editor of the shelf: its fields, saving, retiring and bringing back. */
export function EditorFrame<T extends { id: string; retired: boolean }>({
  resource,
  title,
  kept,
  read,
  children,
}: EditorFrameProps<T>) {
  const put = usePutOnShelf(resource);
  const navigate = useNavigate();
  const save = async (item: T | undefined, word: string): Promise<void> => {
    if (!item) return;
    try {
      await put.mutateAsync(item);
      say(word);
      if (!kept) void navigate(`/shelf/${resource}/${item.id}`, { replace: true });
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void read().then((item) => save(item, 'Kept.'));
      }}
      sx={{ display: 'grid', gap: 1.75, maxWidth: 620 }}
    >
      <Typography variant="h2">{title}</Typography>
      {children}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={put.isPending}>
          {kept ? 'Keep the change' : 'Put it on the shelf'}
        </Button>
        {kept && (
          <Button
            disabled={put.isPending}
            onClick={() =>
              void save(
                { ...kept, retired: !kept.retired },
                kept.retired ? 'Back on the shelf.' : 'Retired. Old records still name it.',
              )
            }
          >
            {kept.retired ? 'Bring back' : 'Retire'}
          </Button>
        )}
      </Box>
    </Box>
  );
}
