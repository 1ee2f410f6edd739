import { t } from '@jasperwren/words/routes';
import { useParams } from 'react-router';
import { api } from '../../base/api';
import { Failed, Loading } from '../../ui/states';
import SharedRehearsalView from './SharedRehearsalView';

/** What a learner rehearses by a link. */
export default function SharedRehearsalPage() {
  const { token = '' } = useParams();
  const { data, error, refetch } = api.useSharedRouteQuery({ token });
  if (data) return <SharedRehearsalView shared={data} />;
  return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading what={t('routeReading')} />;
}
