import { t } from '@jasperwren/words/learn';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api } from '../base/api';
import { apiError } from '../base/client';
import form from '../ui/form.module.css';
import { Page } from '../ui/Page';

/** A learner comes in by a code of the instructor; the one in the address is already written there. */
export default function LearnSignInPage() {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const [code, setCode] = useState(params.get('code') ?? '');
  const [signIn, { isLoading, error }] = api.useLearnerSignInMutation();
  return (
    <Page title={t('practice')} sub={t('enterTheCodeFromYourInstructor')}>
      <form
        className={form.form}
        onSubmit={(event) => {
          event.preventDefault();
          void signIn({ body: { code } }).then(({ error: failed }) => {
            if (!failed) void navigate('/learn', { replace: true });
          });
        }}
      >
        <TextField
          label={t('code')}
          value={code}
          onChange={(event) => setCode(event.target.value)}
          error={error !== undefined}
          helperText={error ? (apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message) : ' '}
          slotProps={{ htmlInput: { autoCapitalize: 'characters', autoComplete: 'one-time-code', maxLength: 40 } }}
        />
        <div className={form.actions}>
          <Button type="submit" variant="contained" disabled={isLoading || code.trim().length < 6}>
            {t('signIn')}
          </Button>
        </div>
      </form>
    </Page>
  );
}
