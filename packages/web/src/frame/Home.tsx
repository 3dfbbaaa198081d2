import { useTheme } from '@mui/material/styles';
import { Navigate } from 'react-router';
import { useRunning } from '../studio/queries';

/** On a phone while something is wet, the pots; otherwise the quick pour. */
export function Home() {
  const narrow = useTheme().breakpoints.down('sm').replace('@media ', '');
  const running = useRunning();
  if (!running.data && !running.error) return null;
  const phone = window.matchMedia(narrow).matches;
  return <Navigate replace to={phone && running.data?.length ? '/pots' : '/pour'} />;
}
