import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { DraftView } from '@jasperwren/contract/standards';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Failed, Loading } from '../../ui/states';
import { Differences } from '../Differences';

interface Props {
  readonly draft: DraftView['standard'];
  readonly open: boolean;
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onPublish: () => void;
}

/** Asks once more before a version is published, with what it changes. */
export function PublishDialog({ draft, open, busy, onClose, onPublish }: Props) {
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>{t('publishVersionVersion', { version: draft.version })}</DialogTitle>
      <DialogContent>
        <p>{t('newMockTestsUseItEarlier')}</p>
        <Changes draft={draft} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button variant="contained" onClick={onPublish} disabled={busy}>
          {t('publish')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** What the draft changes, against the version before or the standard it was made from. */
function Changes({ draft }: { readonly draft: DraftView['standard'] }) {
  const from = draft.version > 1 ? { id: draft.id, version: draft.version - 1 } : draft.basedOn;
  const { data, ...asked } = api.useStandardVersionQuery(from ?? { id: '', version: 0 }, { skip: !from });
  const failed = failureOf(asked);
  if (!from) return null;
  if (failed) return <Failed {...failed} />;
  if (!data) return <Loading what={t('previousVersion')} />;
  return (
    <>
      <h3>{t('againstDataVersionVersion', { data: data.name, version: data.version })}</h3>
      <Differences before={data} after={draft} />
    </>
  );
}
