import { t } from '@jasperwren/words/desk';
import { Suspense } from 'react';
import { useAppDispatch } from '../../../base/hooks';
import { TraceConsent } from '../../../roads/public';
import { stepBack } from '../desk-slice';
import { Panel } from './Panel';

interface Props {
  readonly driveId: string;
  readonly name: string;
  readonly hasRoute: boolean;
}

/** Whether the car's way is noted, asked of the learner. */
export function TracePanel(props: Props) {
  const dispatch = useAppDispatch();
  return (
    <Panel title={t('recordATrace')}>
      <Suspense fallback={null}>
        <TraceConsent {...props} onDone={() => dispatch(stepBack())} />
      </Suspense>
    </Panel>
  );
}
