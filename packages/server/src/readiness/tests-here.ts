import { t } from '@jasperwren/words/readiness';
import { groupBy } from '@jasperwren/core/marking/grouping';
import type { School } from '@jasperwren/core/readiness/assumptions';
import { testsHere, type PastTest, type TestsHere } from '@jasperwren/core/readiness/calibration';
import { centreKey } from '@jasperwren/core/readiness/evidence';
import { usualMarker } from '@jasperwren/core/readiness/level';
import type { InSchool } from '../call';

/** A driving test with what was expected of it. */
interface Told extends PastTest {
  readonly learnerId: string;
  readonly centre?: string;
}

/** How driving tests went at each test centre, that with the most tests first. */
export function testsAt(tests: readonly Told[], { centres }: School): readonly TestsHere[] {
  const known = tests.flatMap((test) => (test.centre === undefined ? [] : [{ ...test, centre: test.centre }]));
  const by = groupBy(known, ({ centre }) => centreKey(centre));
  return mostFirst([...by].map(([key, here]) => testsHere(here[0]!.centre, here, centres.get(key))));
}

/** The same by who marked most of a learner's mock tests. */
export function testsByMarker(
  tests: readonly Told[],
  { realTests }: School,
  people: readonly { readonly id: string; readonly name: string }[],
  markers: ReadonlyMap<string, string>,
): readonly TestsHere[] {
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const known = tests.flatMap((test) => {
    const marker = markers.get(test.learnerId);
    return marker === undefined ? [] : [{ ...test, marker }];
  });
  const nameOf = (id: string) => names.get(id) ?? t('formerInstructor');
  const by = groupBy(known, ({ marker }) => marker);
  return mostFirst([...by].map(([id, theirs]) => testsHere(nameOf(id), theirs, realTests.get(id))));
}

/** Who marked most of the mock tests of each learner. */
export async function usualMarkers({ db, who: { schoolId } }: InSchool): Promise<ReadonlyMap<string, string>> {
  const rows = await db
    .selectFrom('drives')
    .select(['learner_id', 'account_id as marker'])
    .where('school_id', '=', schoolId)
    .where((eb) => eb(eb.fn('json_extract', ['digest', eb.val('$.phase')]), '=', 'ended'))
    .execute();
  return new Map(
    [...groupBy(rows, ({ learner_id }) => learner_id)].flatMap(([id, drives]) => {
      const marker = usualMarker(drives);
      return marker === undefined ? [] : [[id, marker] as const];
    }),
  );
}

const mostFirst = (all: readonly (TestsHere | undefined)[]): readonly TestsHere[] =>
  all.flatMap((one) => one ?? []).sort((a, b) => b.tests - a.tests || (a.name < b.name ? -1 : 1));
