import { say } from './say';

/**
 * Whether every amount on the screen can be read. The first that cannot is gone to and said; whoever asks keeps nothing
 * then: what a field shows and what is kept never differ.
 */
export function everythingReads(): boolean {
  const unread = document.querySelector<HTMLInputElement>('[data-quantity="unread"]');
  if (!unread) return true;
  unread.focus();
  const name = unread.ariaLabel ?? unread.labels?.[0]?.textContent ?? 'this field';
  const typed = unread.value.trim();
  say(
    typed === ''
      ? `${name} is empty: nothing was kept. Put an amount there.`
      : `${name} says “${typed}”, which is no amount: nothing was kept.`,
  );
  return false;
}
