import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';

/** Stands where the judgement of a learner would, when it cannot be had; the rest of the page stays. */
export function ReadinessUnavailable({ onRetry }: { readonly onRetry: () => unknown }) {
  return (
    <p className="muted" role="alert">
      {t('readinessUnavailable')}{' '}
      <Button variant="text" onClick={() => void onRetry()}>
        {t('tryAgain')}
      </Button>
    </p>
  );
}
