import { mostEventsInABatch, mostPiecesInABatch } from '@jasperwren/contract/batch';
import type { VoiceView } from '@jasperwren/contract/voices';
import { api } from '../base/api';
import { apiError } from '../base/client';
import type { RouteOfLane } from '../base/device/lanes';
import { makeSender, type Sent } from '../base/outbox/sender';
import { store } from '../base/store';
import { clockOf, eventsArrived, learnFromOtherTabs, learnerOf } from '../drives/public';

const reviewsAtOnce = 100;

/** The one outbox of this device: marks, answers and settings go through it. */
export const outbox = makeSender(
  {
    sendEvents: {
      most: mostEventsInABatch,
      argOf: (driveId, events) => ({
        driveId,
        learnerId: learnerOf(driveId),
        body: { events, ...clockOf(driveId) },
      }),
      arrived: eventsArrived,
    },
    sendFixes: { most: mostPiecesInABatch, argOf: (driveId, pieces) => ({ driveId, body: { pieces } }) },
    sendVoice: {
      most: 1,
      argOf: (driveId, [body]) => {
        const { pin: pinId, ...voice } = body as VoiceView;
        return { driveId, pinId, body: voice };
      },
    },
    dropVoice: { most: 1, argOf: (driveId, [body]) => ({ driveId, pinId: (body as Pick<VoiceView, 'pin'>).pin }) },
    addReviews: { most: reviewsAtOnce, argOf: (learnerId, reviews) => ({ learnerId, body: { reviews } }) },
    addMyReviews: { most: reviewsAtOnce, argOf: (_, reviews) => ({ body: { reviews } }) },
    setFreeHours: { most: 1, argOf: (_, [body]) => ({ body }) },
  },
  send,
  store.dispatch,
  learnFromOtherTabs,
);

async function send(route: RouteOfLane, arg: object): Promise<Sent> {
  // What comes back is the same for all: whether it was taken.
  const { initiate } = api.endpoints[route] as typeof api.endpoints.sendEvents;
  const { error } = await store.dispatch(initiate(arg as Parameters<typeof initiate>[0], { track: false }));
  const failure = apiError(error);
  return failure ? { ok: false, ...failure } : { ok: true };
}
