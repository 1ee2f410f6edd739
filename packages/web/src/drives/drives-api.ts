import type { DriveSummary, DriveView, EventReceipt } from '@jasperwren/contract/drives';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import type { Standard } from '@jasperwren/core/marking/standard';
import { api } from '../app/api';

export const drivesApi = api.injectEndpoints({
  endpoints: (build) => ({
    standards: build.query<readonly Standard[], void>({ query: () => '/standards', providesTags: ['Standards'] }),
    latestDrives: build.query<readonly DriveSummary[], void>({ query: () => '/drives', providesTags: ['Drives'] }),
    drive: build.query<DriveView, string>({ query: (id) => `/drives/${id}`, keepUnusedDataFor: 0 }),
    sendEvents: build.mutation<EventReceipt, { readonly driveId: string; readonly events: readonly DriveEvent[] }>({
      query: ({ driveId, events }) => ({ url: `/drives/${driveId}/events`, method: 'POST', body: { events } }),
      invalidatesTags: (receipt) => (receipt ? ['Drives', 'Learners'] : []),
    }),
  }),
});

export const { useStandardsQuery, useLatestDrivesQuery } = drivesApi;
