import type { Assumptions, Factor, School, SchoolByKind, StandardFactor } from './assumptions';
import type { TestKind } from '../marking/test-kind';

type Pairs<T> = readonly (readonly [string, T])[];

/** What a school's own learners say in tests of one kind, see `School`; maps as pairs. */
export interface KindFigures {
  readonly assumptions: Assumptions;
  readonly errors: School['errors'];
  readonly counted: Pairs<number>;
  readonly outright: Pairs<number>;
  readonly markers: Pairs<Factor>;
  readonly standards: Pairs<StandardFactor>;
  readonly centres: Pairs<Factor>;
  readonly realTests: Pairs<Factor>;
  readonly learners: number;
  readonly drives: number;
}

/** The same by kind of test. */
export type SchoolFigures = Readonly<Record<TestKind, KindFigures>>;

/** The figures of a school in tests of one kind, from how they are sent and kept. */
const schoolFrom = ({ counted, outright, markers, standards, centres, realTests, ...own }: KindFigures): School => ({
  ...own,
  counted: new Map(counted),
  outright: new Map(outright),
  markers: new Map(markers),
  standards: new Map(standards),
  centres: new Map(centres),
  realTests: new Map(realTests),
});

/** The figures of a school by kind of test, from how they are sent and kept. */
export const schoolsFrom = ({ road, yard }: SchoolFigures): SchoolByKind => ({
  road: schoolFrom(road),
  yard: schoolFrom(yard),
});

/** The figures of a school by kind of test, as they are sent and kept. */
export const figuresOfKinds = ({ road, yard }: SchoolByKind): SchoolFigures => ({
  road: figuresFrom(road),
  yard: figuresFrom(yard),
});

const figuresFrom = ({ counted, outright, markers, standards, centres, realTests, ...own }: School): KindFigures => ({
  ...own,
  counted: [...counted],
  outright: [...outright],
  markers: [...markers],
  standards: [...standards],
  centres: [...centres],
  realTests: [...realTests],
});
