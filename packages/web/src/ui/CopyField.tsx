import { t } from '@jasperwren/words/copy-link';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import styles from './copy-field.module.css';

/** A link that is shown once, to be copied by one touch or by hand. */
export function CopyField({ label, path }: { readonly label: string; readonly path: string }) {
  const address = `${window.location.origin}${path}`;
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => enqueueSnackbar(t('linkCopied')),
      () => enqueueSnackbar(t('notCopied')),
    );
  return (
    <div className={styles.copy}>
      <TextField
        label={label}
        value={address}
        slotProps={{
          htmlInput: {
            readOnly: true,
            onFocus: (event: React.FocusEvent<HTMLInputElement>) => event.target.select(),
          },
        }}
        fullWidth
      />
      <Button variant="outlined" onClick={() => void copy()}>
        {t('copyLink')}
      </Button>
    </div>
  );
}
