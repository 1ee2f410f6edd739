import { t } from '@jasperwren/words/film';
import { Suspense } from 'react';
import { Link } from 'react-router';
import { SpeedAtMoment } from '../../roads/public';

/** How fast it was at a moment, and the way to where, where the drive has a trace. */
export function FaultSpeed({ driveId, atMs }: { readonly driveId: string; readonly atMs: number }) {
  return (
    <Suspense fallback={null}>
      <SpeedAtMoment driveId={driveId} atMs={atMs}>
        {(speed) => (
          <>
            {t('speedThen', { speed })} <Link to={`/drive/${driveId}/road`}>{t('whereItWas')}</Link>
          </>
        )}
      </SpeedAtMoment>
    </Suspense>
  );
}
