import type { ReactNode } from 'react';
import { styled } from '@mui/material/styles';

/**
 * A line as a dyer would say it: words that stay, and words that can be changed in place. What is wrong with one of them is
 * said in a line of its own under the line it stands in.
 */
export const Sentence = styled('div')(({ theme }) => ({
  display: 'flow-root',
  fontSize: 16,
  lineHeight: '36px',
  [theme.breakpoints.up('md')]: { lineHeight: '32px' },
}));

const Line = styled('span')<{ wrong: boolean }>(({ wrong }) => ({
  // Drops under the line without breaking it.
  float: 'left',
  clear: 'left',
  width: '100%',
  fontSize: 13.5,
  lineHeight: 1.3,
  paddingBottom: 4,
  fontWeight: wrong ? 600 : 400,
}));

/** What is wrong with a word of a sentence, or to be known about it. */
export function UnderWord({
  id,
  wrong = false,
  children,
}: {
  id: string;
  wrong?: boolean;
  children: ReactNode;
}) {
  return (
    <Line id={id} wrong={wrong}>
      {wrong && '✕ '}
      {children}
    </Line>
  );
}
