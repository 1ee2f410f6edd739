import { t } from '@jasperwren/words/debrief';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { ShareLinks } from '../../ui/ShareLinks';
import { told } from '../../ui/told';

interface Props {
  readonly driveId: string;
  readonly name: string;
  /** Something of the drive has not reached the server yet. */
  readonly waiting: boolean;
}

/** Links by which the learner reads this debrief. */
export function DebriefLinks({ driveId, name, waiting }: Props) {
  const { data, error, refetch } = api.useSharesQuery({ driveId });
  const [add, adding] = api.useShareMutation();
  const [revoke] = api.useRevokeShareMutation();
  return (
    <ShareLinks
      title={t('shareLinkForName', { name })}
      caution={t('anyoneWithTheLinkCanRead')}
      shares={data}
      error={error}
      onRetry={() => void refetch()}
      made={adding.data}
      addError={apiError(adding.error)?.message}
      adding={adding.isLoading}
      {...(waiting && { waiting: t('theMockTestIsStillBeing') })}
      onAdd={(days) => void add({ driveId, body: { days } })}
      onRevoke={(shareId) => void revoke({ driveId, shareId }).then(told)}
    />
  );
}
