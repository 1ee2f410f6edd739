import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { leave } from '../session/public';
import { TypedNameDialog } from '../ui/TypedNameDialog';

/** Takes the whole school out, once its name was typed. */
export function CloseSchool({ name }: { readonly name: string }) {
  const [asking, setAsking] = useState(false);
  const [close, { isLoading, error }] = api.useCloseSchoolMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const go = async (typed: string) => {
    if ((await close({ body: { name: typed } })).error) return;
    await leave(dispatch);
    void navigate('/sign-in', { replace: true });
  };
  return (
    <>
      <p>{t('allAccountsLearnersAndMockTests')}</p>
      <Button variant="outlined" color="error" onClick={() => setAsking(true)}>
        {t('closeSchool')}
      </Button>
      {asking && (
        <TypedNameDialog
          title={t('closeName', { name })}
          name={name}
          keep={t('keepSchool')}
          go={t('closeForGood')}
          busy={isLoading}
          error={error}
          onGo={(typed) => void go(typed)}
          onClose={() => setAsking(false)}
        >
          <p>{t('youCannotUndoThisNoOne')}</p>
        </TypedNameDialog>
      )}
    </>
  );
}
