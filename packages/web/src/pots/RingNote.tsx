import { useState } from 'react';
import Button from '@mui/material/Button';
import { SaidOnce } from '../parts/SaidOnce';
import { askForNotes, notePermission } from './notify';

/** Said when the first clock runs: how a device rings, and when it cannot. */
export function RingNote() {
  const [permission, setPermission] = useState(notePermission);
  return (
    <SaidOnce
      name="ring-read"
      action={
        permission === 'default' && (
          <Button size="small" onClick={() => void askForNotes().then(() => setPermission(notePermission()))}>
            Show notes too
          </Button>
        )
      }
    >
      Every device on which Ythrion is open, and was touched once, rings when this is due. One that is locked
      cannot: leave a screen on.
    </SaidOnce>
  );
}
