import fc from 'fast-check';
import { endOf, overlaps, type Booking } from './booking';

const booking = (start: string, minutes = 60): Booking => ({ start, minutes });
const anyBooking = fc
  .record({ at: fc.nat(4000), minutes: fc.integer({ min: 15, max: 480 }) })
  .map(({ at, minutes }) => booking(new Date(Date.UTC(2026, 2, 28) + at * 60_000).toISOString().slice(0, 16), minutes));

describe('bookings', () => {
  it('may follow one another without a gap, also over midnight', () => {
    expect(overlaps(booking('2026-06-01T09:00'), booking('2026-06-01T10:00'))).toBe(false);
    expect(overlaps(booking('2026-06-01T09:00'), booking('2026-06-01T09:59'))).toBe(true);
    expect(overlaps(booking('2026-06-01T23:30'), booking('2026-06-02T00:15'))).toBe(true);
    expect(endOf(booking('2026-06-01T23:30'))).toBe('2026-06-02T00:30');
  });

  it('overlap where some minute belongs to both, and the other way round', () => {
    const minutesOf = ({ start, minutes }: Booking) =>
      new Set(Array.from({ length: minutes }, (_, i) => Date.parse(`${start}Z`) / 60_000 + i));
    fc.assert(
      fc.property(anyBooking, anyBooking, (a, b) => {
        const shared = [...minutesOf(a)].some((minute) => minutesOf(b).has(minute));
        expect(overlaps(a, b)).toBe(shared);
        expect(overlaps(b, a)).toBe(shared);
      }),
      { numRuns: 25 },
    );
  });
});
