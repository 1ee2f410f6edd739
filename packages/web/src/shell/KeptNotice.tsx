import { topics } from '@jasperwren/contract/route';
import { t } from '@jasperwren/words/offline';
import Button from '@mui/material/Button';
import { useCallback, useEffect } from 'react';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { forgetKept } from '../base/keep/kept-answers';
import { dayAndTime } from '../ui/format';
import frame from './frame.module.css';

/** The server is looked for again after so long, in milliseconds. */
const lookEveryMs = 10_000;

/** That what is shown was kept on this device, and from when it is; asked for anew as soon as there is a network. */
export default function KeptNotice({ since }: { readonly since: string }) {
  const dispatch = useAppDispatch();
  const again = useCallback(() => {
    forgetKept();
    dispatch(api.util.invalidateTags([...topics]));
  }, [dispatch]);
  useEffect(() => {
    // What the browser says of the network may be early, or wrong: the server itself is asked.
    const look = () =>
      void fetch('/healthz').then(
        ({ ok }) => ok && again(),
        () => undefined,
      );
    window.addEventListener('online', look);
    const timer = setInterval(look, lookEveryMs);
    return () => {
      window.removeEventListener('online', look);
      clearInterval(timer);
    };
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
