import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import type { Blocker } from 'react-router';
import form from './form.module.css';

/** Asks before a page is left with something on it that is not saved. */
export function Unsaved({ blocker, what }: { readonly blocker: Blocker; readonly what: string }) {
  if (blocker.state !== 'blocked') return null;
  return (
    <div role="alert" className={form.actions}>
      <span>{t('whatYouWhatIsNotSaved', { what })}</span>
      <Button variant="text" onClick={() => blocker.proceed()}>
        {t('discardChanges')}
      </Button>
      <Button variant="outlined" onClick={() => blocker.reset()}>
        {t('keepEditing')}
      </Button>
    </div>
  );
}
