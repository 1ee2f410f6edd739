import { setImmediate } from 'node:timers/promises';
import type { ReadinessRow } from '@jasperwren/contract/readiness';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { asOf, estimate } from '@jasperwren/core/readiness/estimate';
import type { InSchool } from '../call';
import { listLearners } from '../learners/store';
import { sheetsOfLearner } from '../sheets/store';
import { newestStandards } from '../standards/store';
import { evidenceOfLearner, evidenceOfSchool, evidenceOfSheets } from './evidence';
import { basisOfFigures, sha256Hex, figuresOf, fitSchool, toView, type KeptFigures } from './figures';
import { chanceOfQuestions } from './questions';

/** Changes with the way estimates are made: those of an older release are made again. */
export const estimateVersion = 3;

/** What is to be worked out again: one learner at once, or a school with its figures. */
export interface RefreshTask {
  readonly schoolId: string;
  readonly learnerId?: string;
  /** RFC 3339. */
  readonly now: string;
}

/** What an estimate about a learner is kept as. */
export type KeptEstimate = Pick<ReadinessRow, 'word' | 'next' | 'reasons' | 'mean' | 'from' | 'to' | 'drives'> & {
  readonly version: number;
};

/** What comes of it, bit by bit. */
export type Refreshed =
  | { readonly kind: 'figures'; readonly basis: string; readonly body: string }
  | { readonly kind: 'pending'; readonly learners: number }
  | { readonly kind: 'estimate'; readonly learnerId: string; readonly basis: string; readonly body: string };

/**
 * Works out what is out of date and nothing else: the figures of the school where its drives have changed, and the
 * estimate of every learner about whom anything has changed that it rests on. It only reads.
 * @param stopped is asked between two learners: true, and the rest is left
 */
export async function* refresh(
  call: InSchool,
  learnerId: string | undefined,
  stopped: () => boolean,
): AsyncGenerator<Refreshed> {
  const {
    db,
    who: { schoolId },
  } = call;
  let figures = await figuresOf(call);
  if (learnerId === undefined) {
    const learners = [...(await evidenceOfSchool(call)).values()];
    const basis = basisOfFigures(learners);
    if (figures.basis !== basis) {
      figures = { school: fitSchool(learners), basis };
      yield { kind: 'figures', basis, body: JSON.stringify(toView(figures.school)) };
    }
  }
  const standards = new Map((await newestStandards(call)).map((standard) => [standard.id, standard]));
  // Whoever was archived or erased meanwhile is not among them.
  const learners = (await listLearners(call, false)).filter(({ id }) => learnerId === undefined || id === learnerId);
  const kept = new Map(
    (await db.selectFrom('estimates').select(['learner_id', 'basis']).where('school_id', '=', schoolId).execute()).map(
      (row) => [row.learner_id, row.basis],
    ),
  );
  const stale: Question[] = [];
  for (const learner of learners) {
    if (stopped()) return;
    const question = await questionOf(call, learner, standards.get(learner.standardId)!, figures);
    if (kept.get(learner.id) !== question.basis) stale.push(question);
    await setImmediate();
  }
  for (const [i, { learnerId: id, basis, ask }] of stale.entries()) {
    if (stopped()) return;
    yield { kind: 'pending', learners: stale.length - i };
    const { judgement, chance, drives } = estimate(ask);
    const { word, next, reasons } = judgement;
    const { mean, from, to } = chance;
    const body: KeptEstimate = { version: estimateVersion, word, next, reasons, mean, from, to, drives };
    yield { kind: 'estimate', learnerId: id, basis, body: JSON.stringify(body) };
    await setImmediate();
  }
}

interface Question {
  readonly learnerId: string;
  readonly basis: string;
  readonly ask: Parameters<typeof estimate>[0];
}

async function questionOf(
  call: InSchool,
  learner: LearnerView,
  standard: EffectiveStandard,
  { school, basis: fitted }: KeptFigures,
): Promise<Question> {
  const { now } = call;
  const [drives, sheets, questions] = await Promise.all([
    evidenceOfLearner(call, learner.id),
    sheetsOfLearner(call, learner.id),
    chanceOfQuestions(call, learner, standard),
  ]);
  const evidence = [...drives, ...(await evidenceOfSheets(call, sheets))];
  const on = asOf(now);
  return {
    learnerId: learner.id,
    basis: sha256Hex([estimateVersion, standard.id, standard.version, evidence, on, fitted, questions]),
    ask: { standard, evidence, on, assumptions: school.assumptions, school, questions, seed: 1 },
  };
}
