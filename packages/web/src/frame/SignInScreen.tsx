import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { saidOfEntry } from '../api/client';
import { TextLine } from '../parts/TextLine';
import { deviceLabel, usePair, useSignIn } from '../studio/access';

/** A device that is not in yet: by the code that another shows, or by the studio's passphrase. */
export function SignInScreen() {
  const [code, setCode] = useState(() => location.hash.slice(1));
  const [person, setPerson] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const pair = usePair();
  const signIn = useSignIn();
  const label = deviceLabel();
  return (
    <Box sx={{ maxWidth: 480, mx: 'auto', p: 2, display: 'grid', gap: 3 }}>
      <Typography variant="h1">Into the studio</Typography>
      <Box
        component="form"
        aria-label="By a code"
        sx={{ display: 'grid', gap: 1 }}
        onSubmit={(event) => {
          event.preventDefault();
          pair.mutate({ code, label });
        }}
      >
        <Typography>
          On a device that is in, open Shelf, Studio, and let a device in: it shows a code.
        </Typography>
        <TextLine label="Code" value={code} onChange={setCode} maxLength={40} />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={code.trim() === '' || pair.isPending}
        >
          Come in
        </Button>
        {pair.error && <Typography role="alert">✕ {saidOfEntry(pair.error)}</Typography>}
      </Box>
      <Box
        component="form"
        aria-label="By the passphrase"
        sx={{ display: 'grid', gap: 1 }}
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate({ passphrase, person, label });
        }}
      >
        <Typography>Or by the studio’s passphrase.</Typography>
        <TextLine label="Your name" value={person} onChange={setPerson} maxLength={80} />
        <TextLine
          label="Passphrase"
          type="password"
          input={{ autoComplete: 'current-password' }}
          value={passphrase}
          onChange={setPassphrase}
          maxLength={200}
        />
        <Button
          type="submit"
          variant="outlined"
          size="large"
          disabled={person.trim() === '' || passphrase.trim() === '' || signIn.isPending}
        >
          Sign in
        </Button>
        {signIn.error && <Typography role="alert">✕ {saidOfEntry(signIn.error)}</Typography>}
      </Box>
    </Box>
  );
}
