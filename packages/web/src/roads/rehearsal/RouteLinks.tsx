import { t } from '@jasperwren/words/rehearsal';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { ShareLinks } from '../../ui/ShareLinks';
import { told } from '../../ui/told';

/** Links by which a learner rehearses this route. */
export function RouteLinks({ routeId }: { readonly routeId: string }) {
  const { data, error, refetch } = api.useRouteSharesQuery({ routeId });
  const [add, adding] = api.useShareRouteMutation();
  const [revoke] = api.useRevokeRouteShareMutation();
  return (
    <ShareLinks
      title={t('linkForALearner')}
      caution={t('anyoneWithLinkRehearses')}
      shares={data}
      error={error}
      onRetry={() => void refetch()}
      made={adding.data}
      addError={apiError(adding.error)?.message}
      adding={adding.isLoading}
      onAdd={(days) => void add({ routeId, body: { days } })}
      onRevoke={(linkId) => void revoke({ routeId, linkId }).then(told)}
    />
  );
}
