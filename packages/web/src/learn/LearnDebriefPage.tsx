import { t } from '@jasperwren/words/learn';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { SharedView } from '../drives/public';
import { Failed, Loading } from '../ui/states';

export default function LearnDebriefPage() {
  const { shareId = '' } = useParams();
  const { data, error, refetch } = api.useMyDebriefQuery({ shareId });
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  return data ? <SharedView shared={data} /> : <Loading what={t('debrief')} />;
}
