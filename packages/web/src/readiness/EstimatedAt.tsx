import type { ReadinessRow } from '@jasperwren/contract/readiness';
import { estimatedAt } from '@jasperwren/words/readiness-items';
import dayjs from 'dayjs';
import { fromToday, shortDate, timeOfDay } from '../ui/format';

/** From when the estimates of a list are: the oldest of them, so that none is older than what is said. */
export function EstimatedAt({ rows }: { readonly rows: readonly Pick<ReadinessRow, 'madeAt'>[] }) {
  const oldest = rows.map(({ madeAt }) => madeAt).sort()[0];
  if (oldest === undefined) return null;
  const day = dayjs(oldest).isSame(dayjs(), 'day') ? fromToday(oldest) : shortDate(oldest);
  return <small className="muted">{estimatedAt(day, timeOfDay(oldest))}</small>;
}
