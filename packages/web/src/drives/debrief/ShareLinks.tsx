import { t } from '@jasperwren/words/debrief';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ShareView } from '@jasperwren/contract/shares';
import { useState } from 'react';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { longDate } from '../../ui/format';
import { Rows, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import styles from './debrief.module.css';

const lengths = [7, 14, 30, 90];

interface Props {
  readonly driveId: string;
  readonly name: string;
  /** Something of the drive has not reached the server yet. */
  readonly waiting: boolean;
}

/** Links by which the learner reads this page and nothing else, until they run out or are taken back. */
export function ShareLinks({ driveId, name, waiting }: Props) {
  const { data: shares, error, refetch } = api.useSharesQuery({ driveId });
  const [add, adding] = api.useShareMutation();
  const [days, setDays] = useState(14);
  const address = adding.data && `${window.location.origin}${adding.data.path}`;
  return (
    <div className={styles.sharing}>
      <Section title={t('shareLinkForName', { name })}>
        <p className="muted">{t('anyoneWithTheLinkCanRead')}</p>
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
          <Button
            variant="outlined"
            disabled={waiting || adding.isLoading}
            onClick={() => void add({ driveId, body: { days } })}
          >
            {t('createLink')}
          </Button>
          {waiting && <span role="status">{t('theMockTestIsStillBeing')}</span>}
        </div>
        {adding.error && <p role="alert">{apiError(adding.error)?.message}</p>}
        {address && (
          <TextField
            label={t('copyItNowItIsNot')}
            value={address}
            slotProps={{
              htmlInput: {
                readOnly: true,
                onFocus: (event: React.FocusEvent<HTMLInputElement>) => event.target.select(),
              },
            }}
            fullWidth
          />
        )}
        {error && <Failed error={error} onRetry={() => void refetch()} />}
        {!error && !shares && <Loading what={t('shareLinks')} />}
        {shares?.length === 0 && <Empty>{t('noShareLinks')}</Empty>}
        {shares && shares.length > 0 && (
          <Rows>
            {shares.map((share) => (
              <LinkRow key={share.id} share={share} driveId={driveId} />
            ))}
          </Rows>
        )}
      </Section>
    </div>
  );
}

function LinkRow({ share, driveId }: { readonly share: ShareView; readonly driveId: string }) {
  const [revoke, { isLoading }] = api.useRevokeShareMutation();
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
        <Button variant="text" disabled={isLoading} onClick={() => void revoke({ driveId, shareId: share.id })}>
          {t('revokeLink')}
        </Button>
      )}
    </li>
  );
}
