import Box from '@mui/material/Box';

/**
 * An amount in spoons or cups, its measures at half the size of its numbers, as `5 tbsp + 2 tsp`: no number is parted from
 * its measure by a line break.
 */
export function Spoken({ words, px }: { words: string; px: number }) {
  const small = Math.max(12, px < 24 ? px * 0.85 : px / 2);
  return (
    <Box component="span" sx={{ fontSize: px, fontWeight: 600, lineHeight: 1.1 }}>
      {words.split(/\s*\+\s*/).map((part, i) => {
        const [, number = '', measure = part] = /^([\d\s./,]*\d)\s*(.*)$/.exec(part) ?? [];
        return (
          <span key={i}>
            {i > 0 && ' + '}
            <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
              {number}
              <Box component="span" sx={{ fontSize: small, fontWeight: 500 }}>
                {number === '' ? measure : ` ${measure}`}
              </Box>
            </Box>
          </span>
        );
      })}
    </Box>
  );
}
