import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import { closeSnackbar, enqueueSnackbar } from 'notistack';
import { apiError } from '../base/client';

/** What can be taken back stands for so long, in milliseconds: twice as long as other messages. */
const undoMs = 12_000;

/** What came of a change that was sent. */
export interface Outcome {
  readonly error?: unknown;
}

/**
 * Says at the foot of the page what came of a change that has no place of its own to say it: why it failed, or these words,
 * with a way to take it back where there is one. True where it went well.
 */
export function told({ error }: Outcome, words?: string, undo?: () => PromiseLike<Outcome>): boolean {
  if (error) enqueueSnackbar(apiError(error)?.message);
  else if (words !== undefined)
    enqueueSnackbar(words, {
      ...(undo && {
        autoHideDuration: undoMs,
        action: (key) => (
          <Button
            color="inherit"
            onClick={() => {
              closeSnackbar(key);
              void undo().then(told);
            }}
          >
            {t('undo')}
          </Button>
        ),
      }),
    });
  return !error;
}
