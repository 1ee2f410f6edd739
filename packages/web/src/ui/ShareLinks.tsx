import { t } from '@jasperwren/words/debrief';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { NewShare, ShareView } from '@jasperwren/contract/shares';
import { useState, type ReactNode } from 'react';
import { CopyField } from './CopyField';
import { longDate } from './format';
import { Rows, Section } from './Page';
import styles from './share-links.module.css';
import { Empty, Failed, Loading } from './states';

const lengths = [7, 14, 30, 90];

interface Props {
  readonly title: string;
  readonly caution: string;
  readonly shares: readonly ShareView[] | undefined;
  /** Why they could not be fetched. */
  readonly error: unknown;
  readonly onRetry: () => void;
  /** The one that was just made. */
  readonly made: NewShare | undefined;
  readonly addError: string | undefined;
  readonly adding: boolean;
  /** Why none can be made now. */
  readonly waiting?: ReactNode;
  readonly onAdd: (days: number) => void;
  readonly onRevoke: (shareId: string) => void;
}

/** Links by which a learner reads one thing and nothing else, until they run out or are taken back. */
export function ShareLinks({
  title,
  caution,
  shares,
  error,
  onRetry,
  made,
  addError,
  adding,
  waiting,
  onAdd,
  onRevoke,
}: Props) {
  const [days, setDays] = useState(14);
  return (
    <div className={styles.sharing}>
      <Section title={title}>
        <p className="muted">{caution}</p>
        <div className={styles.form}>
          <TextField
            select
            label={t('expiresAfter')}
            value={days}
            onChange={(event) => setDays(Number(event.target.value))}
            sx={{ minWidth: 140 }}
          >
            {lengths.map((n) => (
              <MenuItem key={n} value={n}>
                {t('nDays', { n })}
              </MenuItem>
            ))}
          </TextField>
          <Button variant="outlined" disabled={waiting !== undefined || adding} onClick={() => onAdd(days)}>
            {t('createLink')}
          </Button>
          {waiting !== undefined && <span role="status">{waiting}</span>}
        </div>
        {addError !== undefined && <p role="alert">{addError}</p>}
        {made && <CopyField label={t('copyItNowItIsNot')} path={made.path} />}
        {error !== undefined && <Failed error={error} onRetry={onRetry} />}
        {error === undefined && !shares && <Loading what={t('shareLinks')} />}
        {shares?.length === 0 && <Empty>{t('noShareLinks')}</Empty>}
        {shares && shares.length > 0 && (
          <Rows>
            {shares.map((share) => (
              <LinkRow key={share.id} share={share} onRevoke={() => onRevoke(share.id)} />
            ))}
          </Rows>
        )}
      </Section>
    </div>
  );
}

function LinkRow({ share, onRevoke }: { readonly share: ShareView; readonly onRevoke: () => void }) {
  const over = share.revokedAt !== undefined || share.expiresAt < new Date().toISOString();
  return (
    <li className={styles.link}>
      <span>
        {t('createdDatePart', {
          date: longDate(share.createdAt),
          part: share.revokedAt
            ? t('revokedDate', { date: longDate(share.revokedAt) })
            : `${over ? t('expired') : t('expires')} ${longDate(share.expiresAt)}`,
        })}
      </span>
      {!over && (
        <Button variant="text" onClick={onRevoke}>
          {t('revokeLink')}
        </Button>
      )}
    </li>
  );
}
