import { t } from '@jasperwren/words/refusals';
import type { CallTimingInput, CallTimingView } from '@jasperwren/contract/call-timing';
import { deviceStyle, instructorStyle, type CallTiming } from '@jasperwren/roads/directions/calls';
import type { Call, InSchool } from '../call';
import { refuseStale } from '../stale';

const usual: CallTimingView = {
  instructor: timingOnly(instructorStyle),
  device: timingOnly(deviceStyle),
  version: 0,
};

/** When directions are spoken in a school: as it has set it, or as is usual. */
export async function callTimingOf({ db, who: { schoolId } }: InSchool): Promise<CallTimingView> {
  const row = await db
    .selectFrom('call_timing')
    .select(['body', 'version'])
    .where('school_id', '=', schoolId)
    .executeTakeFirst();
  return row ? { ...(JSON.parse(row.body) as Omit<CallTimingView, 'version'>), version: row.version } : usual;
}

/** @throws conflict where somebody else has changed it since */
export async function setCallTiming(
  call: Call,
  { instructor, device, version }: CallTimingInput,
): Promise<CallTimingView> {
  const { schoolId } = call.who;
  const now = await callTimingOf(call);
  refuseStale(version, now.version, t('timingChanged'), now);
  const values = {
    body: JSON.stringify({ instructor: toTiming(instructor), device: toTiming(device) }),
    version: now.version + 1,
  };
  await call.db
    .insertInto('call_timing')
    .values({ school_id: schoolId, ...values })
    .onConflict((conflict) => conflict.column('school_id').doUpdateSet(values))
    .execute();
  return callTimingOf(call);
}

function toTiming({ steps, againSeconds, leastSeconds }: CallTimingInput['instructor']): CallTiming {
  const first = steps.map(({ kmh, metres }) => [kmh, metres] as const);
  return { first, leastSeconds, ...(againSeconds !== undefined && { againSeconds }) };
}

function timingOnly({ first, againSeconds, leastSeconds }: CallTiming): CallTiming {
  return { first, leastSeconds, ...(againSeconds !== undefined && { againSeconds }) };
}
