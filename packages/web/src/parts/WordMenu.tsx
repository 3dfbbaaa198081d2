import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';

export interface WordMenuProps {
  anchor: HTMLElement;
  /** In their order: the word, and what it does; `off` where that cannot be done now. */
  items: readonly MenuWord[];
  onClose: () => void;
}

export interface MenuWord {
  word: string;
  work: () => void;
  off?: boolean;
}

/** What else can be done, one word a line. Loaded when first opened. */
export function WordMenu({ anchor, items, onClose }: WordMenuProps) {
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      {items.map(({ word, work, off = false }) => (
        <MenuItem
          key={word}
          disabled={off}
          sx={{ minHeight: 44 }}
          onClick={() => {
            onClose();
            work();
          }}
        >
          {word}
        </MenuItem>
      ))}
    </Menu>
  );
}
