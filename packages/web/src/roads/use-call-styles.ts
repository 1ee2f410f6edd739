import { deviceStyle, instructorStyle, type CallStyle } from '@jasperwren/roads/directions/calls';
import { useMemo } from 'react';
import { api } from '../base/api';

interface Styles {
  readonly instructor: CallStyle;
  readonly device: CallStyle;
}

const usual: Styles = { instructor: instructorStyle, device: deviceStyle };

/** How directions are spoken in this school; as is usual until that is known. */
export function useCallStyles(): Styles {
  const { data } = api.useCallTimingQuery();
  return useMemo(
    () =>
      data && data.version > 0
        ? { instructor: { ...instructorStyle, ...data.instructor }, device: { ...deviceStyle, ...data.device } }
        : usual,
    [data],
  );
}
