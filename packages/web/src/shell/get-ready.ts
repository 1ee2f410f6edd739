import { api } from '../base/api';
import { keepForDriving } from '../base/keep/keep-for-driving';
import type { AppDispatch } from '../base/store';

/** Fetches what a drive takes ahead of need, so that one can be begun, ended and judged while the server is away. */
export async function getReady(dispatch: AppDispatch): Promise<void> {
  dispatch(api.util.prefetch('standards', undefined, {}));
  dispatch(api.util.prefetch('learners', undefined, {}));
  await Promise.allSettled([
    import('../base/device/forget'),
    import('../drives/DrivePage'),
    import('../drives/desk/DeskPage'),
    import('../drives/verdict/VerdictPage'),
    import('../drives/debrief/DebriefPage'),
    import('../today/TodayPage'),
    import('./Notices'),
    keepForDriving(),
  ]);
}
