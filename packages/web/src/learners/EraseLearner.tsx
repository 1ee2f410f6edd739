import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { routes } from '@jasperwren/contract/routes';
import type { ErasureReceipt } from '@jasperwren/contract/school';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { forgetErased } from '../base/device/forget';
import { TypedNameDialog } from '../ui/TypedNameDialog';

// The page of the learner stays until the receipt was read.
api.enhanceEndpoints({ endpoints: { eraseLearner: { invalidatesTags: [] } } });

interface Props {
  readonly id: string;
  readonly name: string;
  readonly onClose: () => void;
}

/** Erases a learner who asks for it, once their name was typed; then shows the receipt. */
export function EraseLearner({ id, name, onClose }: Props) {
  const [erase, { isLoading, error }] = api.useEraseLearnerMutation();
  const [receipt, setReceipt] = useState<ErasureReceipt>();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const go = async (typed: string) => {
    const { data } = await erase({ learnerId: id, body: { name: typed } });
    if (!data) return;
    await forgetErased([id], []).catch(() => undefined);
    setReceipt(data);
  };
  const leave = () => {
    void navigate('/learners', { replace: true });
    dispatch(api.util.invalidateTags([...routes.eraseLearner.changes]));
  };
  if (receipt)
    return (
      <Dialog open aria-labelledby="erased">
        <DialogTitle id="erased">{t('learnerErased')}</DialogTitle>
        <DialogContent>
          <p>
            {t('countedWithCounted2Counted3Counted4And', {
              counted: t('mockTests', { count: receipt.erased['drives'] ?? 0 }),
              counted2: t('events', { count: receipt.erased['events'] ?? 0 }),
              counted3: t('testResults', { count: receipt.erased['sheets'] ?? 0 }),
              counted4: t('lessons', { count: receipt.erased['lessons'] ?? 0 }),
              counted5: t('answers', { count: receipt.erased['reviews'] ?? 0 }),
            })}
          </p>
          <p>
            {t('receiptWithoutNames')} <b>{receipt.id}</b>
          </p>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={leave}>
            {t('done')}
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <TypedNameDialog
      title={t('eraseName', { name })}
      name={name}
      keep={t('keepName', { name })}
      go={t('eraseForGood')}
      busy={isLoading}
      error={error}
      onGo={(typed) => void go(typed)}
      onClose={onClose}
    >
      <p>{t('everythingIsErasedMockTestsResults')}</p>
    </TypedNameDialog>
  );
}
