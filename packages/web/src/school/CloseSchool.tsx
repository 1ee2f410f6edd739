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
      <p>Everybody’s account, every learner and every drive goes. Save what you need first.</p>
      <Button variant="outlined" color="error" onClick={() => setAsking(true)}>
        Close the school …
      </Button>
      {asking && (
        <TypedNameDialog
          title={`Close ${name}?`}
          name={name}
          keep="Keep the school"
          go="Close it for good"
          busy={isLoading}
          error={error}
          onGo={(typed) => void go(typed)}
          onClose={() => setAsking(false)}
        >
          <p>It cannot be undone. Nobody of the school can sign in any more.</p>
        </TypedNameDialog>
      )}
    </>
  );
}
