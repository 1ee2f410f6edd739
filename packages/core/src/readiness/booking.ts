/** A stretch of somebody's time. */
export interface Booking {
  /** Local time without a zone, `YYYY-MM-DDTHH:MM`. */
  readonly start: string;
  readonly minutes: number;
}

/** Local times are laid on one line without a zone, so that lengths and order hold on every calendar. */
const startMinute = ({ start }: Booking): number => Date.parse(`${start}Z`) / 60_000;

/** Whether two bookings claim one moment. They are half open: one may begin as the other ends. */
export function overlaps(a: Booking, b: Booking): boolean {
  return startMinute(a) < startMinute(b) + b.minutes && startMinute(b) < startMinute(a) + a.minutes;
}

/** The local time at which a booking ends, `YYYY-MM-DDTHH:MM`. */
export function endOf(booking: Booking): string {
  return new Date((startMinute(booking) + booking.minutes) * 60_000).toISOString().slice(0, 16);
}
