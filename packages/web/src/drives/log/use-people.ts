import { t } from '@jasperwren/words/drives';
import { useSignedIn } from '../../base/signed-in';

/** Names the people who recorded something, "you" for whoever is signed in. */
export function usePeople(): (accountId: string) => string {
  const { account, colleagues } = useSignedIn();
  return (id) => (id === account.id ? 'you' : (colleagues.find((one) => one.id === id)?.name ?? t('someoneElse')));
}
