import type { Drive } from '@jasperwren/core/drive/drive';
import type { Asked } from '@jasperwren/core/marking/asked';
import type { DriveMeta } from '../../base/device/device-db';

/** A rule whose next question is asked on a drive. */
export interface AskProps {
  readonly asked: Asked;
  readonly meta: DriveMeta;
  readonly drive: Drive;
  /** `said` is what an answer by its key points came to, in a sentence. */
  readonly onAnswer: (right: boolean, question?: string, said?: string) => void;
}
