import { t } from '@jasperwren/words/learn';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { SharedRehearsalView } from '../roads/public';
import { Failed, Loading } from '../ui/states';

export default function LearnRoutePage() {
  const { routeId = '' } = useParams();
  const { data, error, refetch } = api.useMyRouteQuery({ routeId });
  if (data) return <SharedRehearsalView shared={data} />;
  return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading what={t('routes2')} />;
}
