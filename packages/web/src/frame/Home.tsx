import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { Navigate } from 'react-router';
import { useRunning } from '../api/queries';

/** On a phone while something is wet, the pots; otherwise the quick pour. */
export function Home() {
  const phone = useMediaQuery(useTheme().breakpoints.down('sm'));
  const running = useRunning();
  if (running.isPending) return null;
  return <Navigate replace to={phone && (running.data?.length ?? 0) > 0 ? '/pots' : '/pour'} />;
}
