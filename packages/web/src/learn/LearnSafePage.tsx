import { t } from '@jasperwren/words/learn';
import { SafeMoments } from '../safety-questions/public';
import { Page } from '../ui/Page';

export default function LearnSafePage() {
  return (
    <Page title={t('safeMoment')} sub={t('lookWellAheadCheckTheMirror')}>
      <SafeMoments />
    </Page>
  );
}
