/** At this hour of its own time zone what a school's estimates rest on is looked at anew (house default). */
const nightHour = 3;
const dayMs = 86_400_000;

/** The day of a school that began at its hour of the night, as `YYYY-MM-DD`. */
function nightOf(now: Date, timeZone: string): string {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    hourCycle: 'h23',
  })
    .formatToParts(now)
    .map(({ type, value }) => [type, value] as const);
  const { year, month, day, hour } = Object.fromEntries(parts);
  if (Number(hour) >= nightHour) return `${year}-${month}-${day}`;
  const before = new Date(Date.parse(`${year}-${month}-${day}T00:00:00Z`) - dayMs);
  return before.toISOString().slice(0, 10);
}

/** Whether three o'clock in the night has passed between a moment (RFC 3339) and now; also where a wrong clock made it later than now. */
export const nightBetween = (madeAt: string, now: Date, timeZone: string): boolean =>
  nightOf(new Date(madeAt), timeZone) !== nightOf(now, timeZone);
