import type { SessionView } from '@jasperwren/contract/accounts';
import { createContext, use } from 'react';

export const SignedIn = createContext<SessionView | undefined>(undefined);

/** Who is signed in; only below the frame, which sees to it that somebody is. */
export function useSignedIn(): SessionView {
  const session = use(SignedIn);
  if (!session) throw new Error('Used outside the signed-in part of the application.');
  return session;
}
