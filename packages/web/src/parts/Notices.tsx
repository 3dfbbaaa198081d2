import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';

/** Things worth a second look: words and a mark, no color. */
export function Notices({ texts }: { texts: readonly string[] }) {
  if (texts.length === 0) return null;
  return (
    <Stack component="ul" spacing={0.5} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {texts.map((text) => (
        <Typography component="li" variant="body2" key={text} sx={{ display: 'flex', gap: 0.75 }}>
          <span aria-hidden>▲</span>
          <span>{text}</span>
        </Typography>
      ))}
    </Stack>
  );
}
