import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { SpokenNotice } from '@ythrion/core';

/** Things worth a second look: words and a mark, no color. What cannot be done like that says so. */
export function Notices({
  notices,
}: {
  notices: readonly Pick<SpokenNotice, 'text' | 'blocks' | 'jarId'>[];
}) {
  if (notices.length === 0) return null;
  return (
    <Stack component="ul" spacing={0.5} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {notices.map(({ text, blocks, jarId }, i) => (
        <Typography component="li" variant="body2" key={`${i} ${text}`} sx={{ display: 'flex', gap: 0.75 }}>
          <span aria-hidden>{blocks ? '✕' : '▲'}</span>
          <span>
            {blocks && <strong>This cannot be done. </strong>}
            {text}
            {jarId !== undefined && (
              <>
                {' '}
                <Link to={`/shelf/stocks/new?like=${jarId}`}>Make another jar</Link>
              </>
            )}
          </span>
        </Typography>
      ))}
    </Stack>
  );
}
