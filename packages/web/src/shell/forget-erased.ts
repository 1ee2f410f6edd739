import { api } from '../base/api';
import { forgetErased } from '../base/device/forget';
import type { AppDispatch } from '../base/store';

/** Takes off this device what the school has erased since it was here last. */
export async function forgetErasedHere(dispatch: AppDispatch): Promise<void> {
  const asked = api.endpoints.erased.initiate(undefined, { subscribe: false, forceRefetch: true });
  const { data } = await dispatch(asked);
  if (data) await forgetErased(data.learners, data.drives).catch(() => undefined);
}
