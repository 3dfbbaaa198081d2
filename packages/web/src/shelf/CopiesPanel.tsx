import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { API, copyWords, sizeWords, type CheckResponse, type StudioCopy } from '@ythrion/core';
import { saidOf } from '../api/client';
import { useCheckStudio, useCopies, useGoBackTo, useMakeCopy } from '../studio/queries';
import { say } from '../parts/say';

const SHOWN = 5;

/** Copies of the whole studio: when the last was made, one key for another, the way back to any of them. */
export function CopiesPanel() {
  const found = useCopies();
  const make = useMakeCopy();
  const [all, setAll] = useState(false);
  const copies = found.data?.copies ?? [];
  const [newest] = copies;
  const another = (): void =>
    void make
      .mutateAsync()
      .then(() => say('Copied, and the copy checked.'))
      .catch((error: unknown) => say(saidOf(error)));
  return (
    <Box component="section" aria-label="Copies" sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">Copies</Typography>
      <Typography variant="body2">
        A copy is made by itself every day and before every change of the file, checked, and kept beside the
        studio: for days, weeks and months. Take one out to another disk now and then; a disk that dies takes
        both.
      </Typography>
      {found.error ? (
        <Typography role="alert">✕ {saidOf(found.error)}</Typography>
      ) : (
        <Typography>
          {newest ? (
            <>
              Last copy: <strong>{copyWords(newest)}</strong>.
            </>
          ) : (
            found.data && 'No copy yet. The first is made a few seconds after the start.'
          )}
        </Typography>
      )}
      {found.data?.overdue && (
        <Typography role="alert">
          ✕ That is more than two days ago: the daily copy did not come. Make one now; if it cannot be made,
          you are told why.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" disabled={make.isPending} onClick={another}>
          Make a copy now
        </Button>
        <Check />
      </Box>
      {copies.length > 0 && (
        <Box component="ol" aria-label="All copies" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {copies.slice(0, all ? undefined : SHOWN).map((copy) => (
            <CopyLine key={copy.name} copy={copy} />
          ))}
        </Box>
      )}
      {copies.length > SHOWN && !all && (
        <Button sx={{ justifySelf: 'start' }} onClick={() => setAll(true)}>
          Show all {copies.length}
        </Button>
      )}
    </Box>
  );
}

/** One copy, and the way back to it: asked once more, since what came after it leaves the Book. */
function CopyLine({ copy }: { copy: StudioCopy }) {
  const goBack = useGoBackTo();
  const [asked, setAsked] = useState(false);
  const words = copyWords(copy);
  const go = (): void =>
    void goBack
      .mutateAsync(copy.name)
      .then(() => say('The studio is as it was then. What stood here is the newest copy now.'))
      .catch((error: unknown) => say(saidOf(error)))
      .finally(() => setAsked(false));
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', minHeight: 44 }}>
        <Typography variant="body2" sx={{ flex: 1 }}>
          {words} · {sizeWords(copy.bytes)}
        </Typography>
        {!asked && (
          <Button
            size="small"
            component="a"
            href={`${API.copies}/${copy.name}`}
            download
            aria-label={`Take out the copy of ${words}`}
          >
            Take out
          </Button>
        )}
        {!asked && (
          <Button size="small" aria-label={`Go back to the copy of ${words}`} onClick={() => setAsked(true)}>
            Go back to it
          </Button>
        )}
      </Box>
      {asked && (
        <Box role="group" aria-label="Go back" sx={{ pb: 1 }}>
          <Typography sx={{ mb: 1 }}>
            Everything entered after {words.split(',')[0]} leaves the studio, on every device. It is copied
            first, and you can go back to that copy the same way.
          </Typography>
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button variant="contained" disabled={goBack.isPending} onClick={go}>
              Go back
            </Button>
            <Button disabled={goBack.isPending} onClick={() => setAsked(false)}>
              Leave it as it is
            </Button>
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** Looks the whole studio over when asked. */
function Check() {
  const check = useCheckStudio();
  const [result, setResult] = useState<CheckResponse>();
  return (
    <>
      <Button
        variant="outlined"
        disabled={check.isPending}
        onClick={() =>
          void check
            .mutateAsync()
            .then(setResult)
            .catch((error: unknown) => say(saidOf(error)))
        }
      >
        {check.isPending ? 'Looking …' : 'Look it over'}
      </Button>
      <Box role="status" sx={{ flexBasis: '100%' }}>
        {result &&
          (result.faults.length === 0 ? (
            <Typography>
              ✓ Sound: {result.batches} batches with {result.events} entries, every record readable, jars and
              Book agree with them.
            </Typography>
          ) : (
            result.faults.map((fault, i) => <Typography key={i}>✕ {fault}</Typography>)
          ))}
        {result?.missing.map((said) => (
          <Typography key={said}>{said}</Typography>
        ))}
      </Box>
    </>
  );
}
