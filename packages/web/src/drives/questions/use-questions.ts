import type { Drive } from '@jasperwren/core/drive/drive';
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { memoryOf } from '@jasperwren/core/safety-questions/memory';
import { inAskingOrder, questionsFor } from '@jasperwren/core/safety-questions/oral';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { findVehicle } from '@jasperwren/core/safety-questions/vehicles';
import type { Asked } from '@jasperwren/core/marking/asked';
import { useMemo } from 'react';
import { api } from '../../base/api';
import type { DriveMeta } from '../../base/device/device-db';
import { vehiclesOf } from '../../safety-questions/public';

/** What is asked on a drive: the questions of each rule in their order, and the learner's car. */
interface QuestionsOfDrive {
  readonly inOrder: (asked: Asked) => readonly SafetyQuestion[];
  readonly vehicle: VehicleProfile | undefined;
}

/** The part of a drive's id that is drawn, as a number: the same drive has the same order on every device. */
const seedOf = (driveId: string) => Number.parseInt(driveId.slice(-8), 16) || 1;

/** The questions that are drawn for a drive. Away from the network it is the shipped ones, none of them due sooner. */
export function useQuestions(meta: DriveMeta, drive: Drive): QuestionsOfDrive {
  const { id, learnerId, standard, askedBefore } = meta;
  const { data: checks } = api.useChecksQuery();
  const { data: learners } = api.useLearnersQuery();
  const { data: reviews } = api.useReviewsQuery({ learnerId });
  const startedAt = drive.startedAt;
  return useMemo(() => {
    const known = checks ?? { questions: [], vehicles: [] };
    const bank = bankOf(known.questions);
    const memory = memoryOf(reviews ?? []);
    const on = startedAt ? new Date(startedAt) : new Date();
    const vehicleId = learners?.find((one) => one.id === learnerId)?.vehicleId;
    return {
      inOrder: ({ rule }) =>
        inAskingOrder(questionsFor(bank, standard, rule), memory, askedBefore ?? [], on, seedOf(id)),
      vehicle: findVehicle(vehiclesOf(known), vehicleId),
    };
  }, [checks, learners, reviews, startedAt, learnerId, standard, askedBefore, id]);
}
