import type { Standard } from './standard';

/** Where a test is driven: on roads, or on a course in a yard alone. What one shows says nothing of the other. */
export const testKinds = ['road', 'yard'] as const;
export type TestKind = (typeof testKinds)[number];

/**
 * The kind of a test: of a yard where it has a course and no part in which the learner finds the way (house default). It has no
 * new roads then, and a whole one is all of its exercises, however short they are.
 */
export const testKindOf = ({ course, length }: Pick<Standard, 'course' | 'length'>): TestKind =>
  course !== undefined && length.independentMin === undefined ? 'yard' : 'road';
