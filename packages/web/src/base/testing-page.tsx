import type { SessionView } from '@jasperwren/contract/accounts';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { SignedIn } from './signed-in';
import { store } from './store';

const session = {
  account: { id: 'ada', name: 'Ada Instructor', role: 'instructor' },
  school: { id: 's', name: 'School' },
  colleagues: [{ id: 'ada', name: 'Ada Instructor' }],
} as unknown as SessionView;

/** A page on which Ada is signed in, around what is rendered. */
export const AdasPage = ({ children }: { readonly children: ReactNode }) => (
  <Provider store={store}>
    <SignedIn value={session}>{children}</SignedIn>
  </Provider>
);
