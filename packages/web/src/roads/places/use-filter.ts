import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

/** In place of a learner: all of them. */
export const schoolWide = 'school';

/** How far back drives count, by the days. */
const spans = { '30': 30, '90': 90, '365': 365, all: undefined } as const;
export type Span = keyof typeof spans;

export interface Filter {
  readonly learner?: string;
  readonly instructor?: string;
  readonly since?: string;
  readonly area?: string;
  readonly behaviour?: string;
  readonly severity?: string;
}

const names = ['learner', 'instructor', 'area', 'behaviour', 'severity'] as const;

/** What is looked at, as the address of the page says it. */
export function useFilter() {
  const [search, setSearch] = useSearchParams();
  const text = search.toString();
  const filter = useMemo((): Filter => {
    const given = new URLSearchParams(text);
    const days = spans[spanOf(given)];
    return {
      ...Object.fromEntries(names.flatMap((name) => (given.get(name) ? [[name, given.get(name)!]] : []))),
      // The day is enough, and the same all day long.
      ...(days !== undefined && { since: dayjs().subtract(days, 'day').format('YYYY-MM-DD') }),
    };
  }, [text]);
  return {
    filter,
    compare: search.get('compare') ?? undefined,
    change: (name: string, value: string) =>
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          if (value === '') next.delete(name);
          else next.set(name, value);
          // A type of fault is one of its area.
          if (name === 'area') next.delete('behaviour');
          return next;
        },
        { replace: true },
      ),
  };
}

/** How far back an address asks for. */
export function spanOf(search: URLSearchParams): Span {
  const given = search.get('span');
  return given !== null && given in spans ? (given as Span) : '90';
}
