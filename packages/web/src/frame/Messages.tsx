import { useEffect } from 'react';
import Button from '@mui/material/Button';
import { closeSnackbar, enqueueSnackbar, SnackbarProvider } from 'notistack';
import { showMessagesWith } from '../parts/say';

/** Shows what is said, two at a time, each for six seconds. */
export function Messages() {
  useEffect(
    () =>
      showMessagesWith(({ words, action }) => {
        enqueueSnackbar(
          words,
          action && {
            action: (key) => (
              <Button
                color="inherit"
                onClick={() => {
                  closeSnackbar(key);
                  action.work();
                }}
              >
                {action.word}
              </Button>
            ),
          },
        );
      }),
    [],
  );
  return (
    <SnackbarProvider
      maxSnack={2}
      autoHideDuration={6000}
      anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
    />
  );
}
