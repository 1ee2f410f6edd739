import { SafeMoments } from '../safety-questions/public';
import { Page } from '../ui/Page';

export default function LearnSafePage() {
  return (
    <Page title="When it is safe" sub="Look far ahead, look in the mirror, then act. Nobody hurries you.">
      <SafeMoments />
    </Page>
  );
}
