import MenuItem from '@mui/material/MenuItem';
import MenuList from '@mui/material/MenuList';
import Typography from '@mui/material/Typography';
import type { Finding } from '@ythrion/core';

/** Kinds that are called otherwise. */
const KIND_WORDS: Partial<Record<Finding['kind'], string>> = { stock: 'jar', sought: 'looked for' };

/** What was found, each a tap away. */
export function FoundList({ found, onGo }: { found: readonly Finding[]; onGo: (finding: Finding) => void }) {
  if (found.length === 0)
    return (
      <Typography variant="body2" sx={{ p: 1.5 }}>
        Nothing by that name or code.
      </Typography>
    );
  return (
    <MenuList dense aria-label="Found">
      {found.map((finding) => (
        <MenuItem
          key={`${finding.kind}-${finding.id}`}
          onClick={() => onGo(finding)}
          sx={{ minHeight: 44, gap: 1 }}
        >
          <Typography variant="caption" color="text.secondary" sx={{ width: 64 }}>
            {KIND_WORDS[finding.kind] ?? finding.kind}
          </Typography>
          <Typography noWrap>
            {finding.name} {finding.code}
          </Typography>
        </MenuItem>
      ))}
    </MenuList>
  );
}
