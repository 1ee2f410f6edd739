import { topics } from '@jasperwren/contract/route';
import { t } from '@jasperwren/words/offline';
import Button from '@mui/material/Button';
import { useCallback, useEffect } from 'react';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { keptAnswers } from '../base/keep/kept-answers';
import { dayAndTime } from '../ui/format';
import frame from './frame.module.css';

/** That what is shown was kept on this device, and from when it is; asked for anew as soon as there is a network. */
export default function KeptNotice({ since }: { readonly since: string }) {
  const dispatch = useAppDispatch();
  const again = useCallback(() => {
    keptAnswers.clear();
    dispatch(api.util.invalidateTags([...topics]));
  }, [dispatch]);
  useEffect(() => {
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [again]);
  return (
    <p className={frame.notice} role="status">
      {since ? t('noConnection', { when: dayAndTime(since) }) : t('noConnectionUnknown')}
      <Button variant="text" onClick={again}>
        {t('tryAgain')}
      </Button>
    </p>
  );
}
