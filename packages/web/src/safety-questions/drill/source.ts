import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { questionsToKnow } from '@jasperwren/core/safety-questions/drill';
import { memoryOf, type Memory } from '@jasperwren/core/safety-questions/memory';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { findVehicle, shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import type { ChecksView } from '@jasperwren/contract/safety-questions';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useMemo } from 'react';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import type { Lane } from '../../base/device/lanes';
import { useReviews, type Reviews } from './use-reviews';

/** Everything a drill needs, whoever holds the device. */
export interface DrillSource {
  readonly name: string;
  readonly bank: readonly SafetyQuestion[];
  /** Those of the bank that the learner's standard asks. */
  readonly questions: readonly SafetyQuestion[];
  readonly standard: EffectiveStandard;
  readonly vehicles: readonly VehicleProfile[];
  readonly vehicle: VehicleProfile | undefined;
  readonly testDate: string | undefined;
  readonly memory: ReadonlyMap<string, Memory>;
  readonly reviews: Reviews;
}

/** The cars of a school: the shipped ones, those it edited in their place, and its own after them. */
export function vehiclesOf({ vehicles }: ChecksView): readonly VehicleProfile[] {
  const shipped = shippedVehicles.map((one) => findVehicle(vehicles, one.id) ?? one);
  return [...shipped, ...vehicles.filter(({ id }) => !findVehicle(shippedVehicles, id))];
}

interface Of {
  readonly name: string;
  readonly checks: ChecksView;
  readonly standard: EffectiveStandard;
  readonly vehicleId: string | undefined;
  readonly testDate: string | undefined;
  /** Where answers go. */
  readonly lane: Lane;
  readonly known: readonly Review[] | undefined;
  /** Who is signed in: answers are sent in their name. */
  readonly owner: string;
}

/** Puts together what a drill needs; undefined while the answers on this device are read. */
export function useDrillSource({
  name,
  checks,
  standard,
  vehicleId,
  testDate,
  lane,
  known,
  owner,
}: Of): DrillSource | undefined {
  const reviews = useReviews(owner, lane, known);
  const bank = useMemo(() => bankOf(checks.questions), [checks]);
  const memory = useMemo(() => memoryOf(reviews.all ?? []), [reviews.all]);
  if (!reviews.all) return undefined;
  const vehicles = vehiclesOf(checks);
  return {
    name,
    bank,
    questions: questionsToKnow(bank, standard),
    standard,
    vehicles,
    vehicle: findVehicle(vehicles, vehicleId),
    testDate,
    memory,
    reviews,
  };
}
