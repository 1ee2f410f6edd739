import type { SharedRehearsal } from '@jasperwren/contract/driving-routes';
import { t } from '@jasperwren/words/rehearsal';
import { longDate } from '../../ui/format';
import { Page } from '../../ui/Page';
import { Player } from './Player';
import styles from './rehearsal.module.css';

/** A route as its learner rehearses it; also without a network once it was opened. */
export default function SharedRehearsalView({ shared }: { readonly shared: SharedRehearsal }) {
  const { school, name, expiresAt, reading, units, side, notes } = shared;
  const over = expiresAt < new Date().toISOString();
  return (
    <div className={styles.alone}>
      <Page title={t('rehearsal', { name })} over={school} sub={t('rehearsalCaution')}>
        {over ? <p role="alert">{t('linkIsOver')}</p> : <Player {...{ reading, units, side, notes }} />}
        <p className="muted">{t('openUntil', { date: longDate(expiresAt) })}</p>
      </Page>
    </div>
  );
}
