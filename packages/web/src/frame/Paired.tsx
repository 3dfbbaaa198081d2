import { Navigate } from 'react-router';
import { useAccess } from '../studio/access';

/** Where a code leads: while the device is not in, its frame asks for the code in the address; then to the start. */
export function Paired() {
  return useAccess()?.signedIn ? <Navigate replace to="/" /> : null;
}
