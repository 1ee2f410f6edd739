import { setImmediate } from 'node:timers/promises';
import type { ReadinessRow } from '@jasperwren/contract/readiness';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { asOf, estimate } from '@jasperwren/core/readiness/estimate';
import { questionUnder } from '@jasperwren/core/readiness/question';
import { withoutAreas } from '@jasperwren/core/readiness/simulate';
import { hasMoved, summaryOf } from '@jasperwren/core/readiness/moved';
import { figuresOfKinds } from '@jasperwren/core/readiness/school-figures';
import type { InSchool } from '../call';
import { listLearners } from '../learners/store';
import { getSchool } from '../school/store';
import { sheetsOfLearner } from '../sheets/store';
import { newestStandards } from '../standards/store';
import { evidenceOfLearner, evidenceOfSchool, evidenceOfSheets } from './evidence';
import { basisOfFigures, sha256Hex, figuresOf, fitKinds, type KeptFigures } from './figures';
import { knownOf, lessonsBy, sightsFor } from './known';
import { nightBetween } from './nights';
import { chanceOfQuestions } from './questions';

/** Changes with the way estimates are made: those of an older release are made again. */
export const estimateVersion = 6;

/** What is to be worked out again: one learner at once, or a school with its figures. */
export interface RefreshTask {
  readonly schoolId: string;
  readonly learnerId?: string;
  /** RFC 3339. */
  readonly now: string;
  /** Goes on after this learner, by id: the figures and those before were looked at. */
  readonly after?: string;
}

/** What an estimate about a learner is kept as. */
export type KeptEstimate = Pick<
  ReadinessRow,
  'word' | 'next' | 'advice' | 'reason' | 'mean' | 'from' | 'to' | 'drives'
> & {
  readonly version: number;
};

/** What comes of it, bit by bit. */
export type Refreshed =
  | { readonly kind: 'figures'; readonly basis: string; readonly body: string; readonly summary: string }
  | { readonly kind: 'pending'; readonly learners: number }
  /** Not all of it: the rest comes after this learner. */
  | { readonly kind: 'more'; readonly after: string; readonly learners: number }
  | { readonly kind: 'estimate'; readonly learnerId: string; readonly basis: string; readonly body: string };

/** How long a piece of the work about a whole school takes, in milliseconds: then it is the turn of another. */
const pieceMs = 1500;

/**
 * Works out what is out of date and nothing else: the figures of the school where its drives have moved them or a night has
 * passed, and the estimate of every learner about whom anything has changed that it rests on. It only reads. Of a whole school
 * it does a piece, and says after whom the next begins.
 * @param stopped is asked between two learners: true, and the rest is left
 */
export async function* refresh(
  call: InSchool,
  { learnerId, after }: Pick<RefreshTask, 'learnerId' | 'after'>,
  stopped: () => boolean,
): AsyncGenerator<Refreshed> {
  const {
    db,
    who: { schoolId },
  } = call;
  const begun = performance.now();
  let figures = await figuresOf(call);
  if (learnerId === undefined && after === undefined) {
    const fitted = await figuresAnew(call, figures);
    if (fitted) {
      figures = fitted;
      const { school, basis, summary } = fitted;
      yield { kind: 'figures', basis, body: JSON.stringify(figuresOfKinds(school)), summary: JSON.stringify(summary) };
    }
  }
  const standards = await newestStandards(call);
  // Whoever was archived or erased meanwhile is not among them.
  const learners = (await listLearners(call, false))
    .filter(({ id }) => learnerId === undefined || id === learnerId)
    .filter(({ id }) => after === undefined || id > after)
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const kept = new Map(
    (await db.selectFrom('estimates').select(['learner_id', 'basis']).where('school_id', '=', schoolId).execute()).map(
      (row) => [row.learner_id, row.basis],
    ),
  );
  for (const [i, learner] of learners.entries()) {
    if (stopped()) return;
    const { basis, ask } = await questionOf(call, learner, standards, figures);
    if (kept.get(learner.id) !== basis) {
      yield { kind: 'pending', learners: learners.length - i };
      const { judgement, chance, drives, outlook } = estimate(ask);
      const { word, next, reasons } = judgement;
      const [reason] = reasons;
      const { mean, from, to } = chance;
      const body: KeptEstimate = {
        ...{ version: estimateVersion, word, next, advice: outlook.advice, mean, from, to, drives },
        ...(reason && { reason }),
      };
      yield { kind: 'estimate', learnerId: learner.id, basis, body: JSON.stringify(body) };
    }
    await setImmediate();
    const left = learners.length - i - 1;
    if (left > 0 && performance.now() - begun > pieceMs) {
      yield { kind: 'more', after: learner.id, learners: left };
      return;
    }
  }
}

/** The figures of a school fitted again; undefined where they still hold. */
async function figuresAnew(call: InSchool, kept: KeptFigures): Promise<Required<KeptFigures> | undefined> {
  const lessons = await lessonsBy(call);
  const evidence = await evidenceOfSchool(call);
  const learners = [...evidence].map(([id, of]) => ({ evidence: of, lessons: lessons.get(id) ?? [] }));
  const basis = basisOfFigures(learners);
  if (kept.basis === basis) return undefined;
  const summary = summaryOf([...evidence.values()]);
  const madeAt = call.now.toISOString();
  const holds =
    kept.summary !== undefined &&
    kept.madeAt !== undefined &&
    !hasMoved(kept.summary, summary) &&
    !nightBetween(kept.madeAt, call.now, (await getSchool(call)).timeZone);
  return holds ? undefined : { school: fitKinds(learners), basis, summary, madeAt };
}

interface Question {
  readonly basis: string;
  readonly ask: Parameters<typeof estimate>[0];
}

async function questionOf(
  call: InSchool,
  learner: LearnerView,
  standards: readonly EffectiveStandard[],
  { school: figures, basis: fitted }: KeptFigures,
): Promise<Question> {
  const { now } = call;
  const standard = standards.find(({ id }) => id === learner.standardId)!;
  const [drives, sheets, questions, known] = await Promise.all([
    evidenceOfLearner(call, learner.id),
    sheetsOfLearner(call, learner.id),
    chanceOfQuestions(call, learner, standard),
    knownOf(call, learner),
  ]);
  const evidence = [...drives, ...(await evidenceOfSheets(call, sheets))];
  const asked = { ...known, evidence, on: asOf(now), questions, sights: sightsFor(evidence, standards) };
  return {
    basis: sha256Hex([estimateVersion, standard.id, standard.version, fitted, asked]),
    // Lists say nothing of what an area would bring; the figure is the same without asking.
    ask: { ...questionUnder(standard, figures, asked), effort: withoutAreas },
  };
}
