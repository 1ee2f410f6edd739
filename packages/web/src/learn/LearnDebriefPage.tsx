import { useParams } from 'react-router';
import { SharedView } from '../drives/debrief/SharedView';
import { Failed, Loading } from '../ui/states';
import { useMyDebriefQuery } from './me-api';

export default function LearnDebriefPage() {
  const { shareId = '' } = useParams();
  const { data, error, refetch } = useMyDebriefQuery(shareId);
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  return data ? <SharedView shared={data} /> : <Loading what="the debrief" />;
}
