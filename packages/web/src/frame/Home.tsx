import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { Navigate } from 'react-router';
import { useRunning } from '../studio/queries';

/** On a phone while something is wet, the pots; otherwise the quick pour. */
export function Home() {
  const phone = useMediaQuery(useTheme().breakpoints.down('sm'));
  const running = useRunning();
  if (!running.data && !running.error) return null;
  return <Navigate replace to={phone && (running.data?.length ?? 0) > 0 ? '/pots' : '/pour'} />;
}
