import { mostEventsInABatch } from '@jasperwren/contract/batch';
import type { Review } from '@jasperwren/core/checks/memory';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { api, apiError } from '../app/api';
import { store } from '../app/store';
import { drivesApi } from '../drives/drives-api';
import { driveNowMs } from '../drives/log/drive-clock';
import { sentAmong } from '../drives/log/device-log';
import { eventsSent } from '../drives/log/drive-logs';
import { outboxApi } from './outbox-api';
import { makeSender, type Sent } from './sender';

const reviewsAtOnce = 100;

const sentBy = ({ error }: { readonly error?: unknown }): Sent => {
  const failure = apiError(error);
  return failure ? { ok: false, ...failure } : { ok: true };
};

/** The one outbox of this device: marks, answers and settings go through it. */
export const outbox = makeSender(
  {
    drive: {
      most: mostEventsInABatch,
      async send(driveId, bodies) {
        const open = store.getState().driveLogs.open[driveId];
        const events = bodies as readonly DriveEvent[];
        const request = {
          driveId,
          events,
          learnerId: open?.meta.learnerId,
          ...(open && { clockMs: driveNowMs(driveId) }),
        };
        return sentBy(await store.dispatch(drivesApi.endpoints.sendEvents.initiate(request, { track: false })));
      },
      arrived: (driveId, ids) => store.dispatch(eventsSent({ driveId, ids })),
    },
    reviews: {
      most: reviewsAtOnce,
      async send(url, bodies) {
        const request = { url, reviews: bodies as readonly Review[] };
        return sentBy(await store.dispatch(outboxApi.endpoints.sendReviews.initiate(request, { track: false })));
      },
    },
    put: {
      most: 1,
      async send(url, [body]) {
        const result = await store.dispatch(outboxApi.endpoints.putSetting.initiate({ url, body }, { track: false }));
        if (!result.error) store.dispatch(api.util.invalidateTags(['Lessons']));
        return sentBy(result);
      },
    },
  },
  store.dispatch,
  learnWhatOthersSent,
);

/** Another tab may have sent what was marked in this one. */
async function learnWhatOthersSent(): Promise<void> {
  for (const [driveId, { unsent }] of Object.entries(store.getState().driveLogs.open)) {
    const ids = unsent.length > 0 ? await sentAmong(unsent).catch(() => []) : [];
    if (ids.length > 0) store.dispatch(eventsSent({ driveId, ids }));
  }
}
