import type { SessionView } from '@jasperwren/contract/accounts';
import { api } from '../base/api';
import { keepToken } from '../base/client';
import type { AppDispatch } from '../base/store';
import { arrive } from './leave';

/** Has somebody who has just signed in be the person of this page. */
export async function enter(session: SessionView, dispatch: AppDispatch): Promise<void> {
  keepToken(session.csrfToken);
  await arrive(session.account.id, dispatch);
  // An answer of before the sign-in may still be on its way: it would say that nobody is signed in.
  await dispatch(api.util.getRunningQueryThunk('session', undefined));
  await dispatch(api.util.upsertQueryData('session', undefined, session));
}
