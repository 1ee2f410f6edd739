import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { PasswordLink } from '@jasperwren/contract/accounts';
import { CopyField } from '../ui/CopyField';
import { longDate } from '../ui/format';

export interface LinkFor {
  readonly name: string;
  readonly email: string;
  readonly link: PasswordLink;
}

/** A link that somebody is to get: it is shown once, and works once. */
export function LinkToSend({
  link: { name, email, link },
  onClose,
}: {
  readonly link: LinkFor;
  readonly onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="link">
      <DialogTitle id="link">{t('shareLinkForName', { name })}</DialogTitle>
      <DialogContent>
        <p>{t('sendItToEmailItLets', { email, name, date: longDate(link.expiresAt) })}</p>
        <CopyField label={t('linkToSend')} path={link.path} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t('done')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
