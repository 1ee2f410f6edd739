import type { DriveNews, DriveSummary, DriveView, EventReceipt } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { Standard } from '@jasperwren/core/marking/standard';
import { api, everybodys } from '../app/api';

interface EventsToSend {
  /** Whose drive it is, where that is known: then nobody else’s pages are asked for again. */
  readonly learnerId?: string | undefined;
  readonly driveId: string;
  readonly events: readonly DriveEvent[];
  /** The drive's clock as the batch leaves, in milliseconds; unknown where the drive is not open. */
  readonly clockMs?: number;
}

export const drivesApi = api.injectEndpoints({
  endpoints: (build) => ({
    standards: build.query<readonly Standard[], void>({ query: () => '/standards', providesTags: ['Standards'] }),
    latestDrives: build.query<readonly DriveSummary[], void>({
      query: () => '/drives',
      providesTags: [everybodys('Drives')],
    }),
    drive: build.query<DriveView, string>({ query: (id) => `/drives/${id}`, keepUnusedDataFor: 0 }),
    /** Nothing where the server has no more events than are known here. */
    driveNews: build.query<DriveNews | null, { readonly driveId: string; readonly known: number }>({
      query: ({ driveId, known }) => `/drives/${driveId}/news?known=${known}`,
      keepUnusedDataFor: 0,
    }),
    sendEvents: build.mutation<EventReceipt, EventsToSend>({
      query: ({ driveId, events, clockMs }) => ({
        url: `/drives/${driveId}/events`,
        method: 'POST',
        body: { events, ...(clockMs !== undefined && { clockMs }) },
      }),
      invalidatesTags: (receipt, _, { learnerId: id }) => {
        if (!receipt) return [];
        if (id === undefined) return ['Drives', 'Learners'];
        return [everybodys('Drives'), { type: 'Drives', id }, everybodys('Learners'), { type: 'Learners', id }];
      },
    }),
  }),
});

export const { useStandardsQuery, useLatestDrivesQuery } = drivesApi;
export const usePrefetchStandards = drivesApi.usePrefetch;
