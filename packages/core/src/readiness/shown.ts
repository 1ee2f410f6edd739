import { gradesOf, rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { severities, severityOf, type Evidence, type FaultKind } from './evidence';
import { testKindOf, type TestKind } from '../marking/test-kind';

/** What a standard looks at: each behaviour, the exercise it belongs to, and the faults it has grades for. */
export interface StandardSight {
  readonly id: string;
  readonly test: TestKind;
  readonly items: readonly {
    readonly behaviour: string;
    /** Seen in this exercise alone. */
    readonly exercise?: string;
    readonly faults: readonly FaultKind[];
  }[];
}

/** What a standard looks at. */
export function sightOf(standard: EffectiveStandard): StandardSight {
  const rules = rulesOf(standard);
  return {
    id: standard.id,
    test: testKindOf(standard),
    items: [...rules.items.values()].map(({ item }) => {
      const signs = gradesOf(rules.standard, item).map(({ sign }) => severityOf(sign));
      return {
        behaviour: item.behaviour,
        ...(item.exercise !== undefined && { exercise: item.exercise }),
        faults: severities.filter((severity) => signs.includes(severity)),
      };
    }),
  };
}

/** How much of a test a drive could have shown, by kind of fault, 0 to 1, and which behaviours. */
export interface Shown {
  readonly share: Readonly<Record<FaultKind, number>>;
  readonly behaviours: ReadonlySet<string>;
}

const nothing: Shown = { share: { counted: 0, outright: 0 }, behaviours: new Set() };

type Shares = Readonly<Record<FaultKind, ReadonlyMap<string, number>>>;

/**
 * What a drive could have shown of a test: behaviours that both standards look at, in the exercises that were driven, as a share
 * of the faults of a test of its own. A test in a yard and one on roads show nothing of each other: the same fault is another
 * thing there.
 * @param asked what the standard of the test looks at
 * @param own what the standard of the drive looks at; undefined where it is not known any more: then it shows nothing
 * @param shares where faults fall, by behaviour
 */
export function shownOf(
  asked: StandardSight,
  own: StandardSight | undefined,
  drove: Evidence['drove'],
  shares: Shares,
): Shown {
  if (!own || own.test !== asked.test) return nothing;
  const wanted = { counted: new Set<string>(), outright: new Set<string>() };
  for (const { behaviour, faults } of asked.items) for (const kind of faults) wanted[kind].add(behaviour);
  const behaviours = new Set<string>();
  const share = { counted: 0, outright: 0 };
  for (const kind of severities) {
    const [seen, all] = [new Set<string>(), new Set<string>()];
    for (const { behaviour, exercise, faults } of own.items) {
      if (!faults.includes(kind)) continue;
      all.add(behaviour);
      if ((exercise === undefined || !drove || drove.includes(exercise)) && wanted[kind].has(behaviour))
        seen.add(behaviour);
    }
    const sum = (of: ReadonlySet<string>) => {
      let total = 0;
      for (const code of of) total += shares[kind].get(code) ?? 0;
      return total;
    };
    share[kind] = sum(all) > 0 ? sum(seen) / sum(all) : 0;
    for (const code of seen) behaviours.add(code);
  }
  return { share, behaviours };
}
