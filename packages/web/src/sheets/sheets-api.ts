import type { SheetEdit, SheetInput, SheetView } from '@jasperwren/contract/sheets';
import { api } from '../app/api';

const sheetsApi = api.injectEndpoints({
  endpoints: (build) => ({
    learnerSheets: build.query<readonly SheetView[], string>({
      query: (learnerId) => `/learners/${learnerId}/sheets`,
      providesTags: ['Sheets'],
    }),
    sheet: build.query<SheetView, string>({ query: (id) => `/sheets/${id}`, providesTags: ['Sheets'] }),
    addSheet: build.mutation<SheetView, { readonly learnerId: string; readonly input: SheetInput }>({
      query: ({ learnerId, input }) => ({ url: `/learners/${learnerId}/sheets`, method: 'POST', body: input }),
      invalidatesTags: (sheet) => (sheet ? ['Sheets'] : []),
    }),
    editSheet: build.mutation<SheetView, { readonly id: string; readonly input: SheetEdit }>({
      query: ({ id, input }) => ({ url: `/sheets/${id}`, method: 'PUT', body: input }),
      invalidatesTags: (sheet) => (sheet ? ['Sheets'] : []),
    }),
    dropSheet: build.mutation<void, string>({
      query: (id) => ({ url: `/sheets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Sheets'],
    }),
  }),
});

export const { useLearnerSheetsQuery, useSheetQuery, useAddSheetMutation, useEditSheetMutation, useDropSheetMutation } =
  sheetsApi;
