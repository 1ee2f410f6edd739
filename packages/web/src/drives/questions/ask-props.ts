import type { Drive } from '@jasperwren/core/drive/drive';
import type { Asked } from '@jasperwren/core/marking/asked';
import type { DriveMeta } from '../../base/device/device-db';

/** A rule whose next question is asked on a drive. */
export interface AskProps {
  readonly asked: Asked;
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly onAnswer: (right: boolean, question?: string) => void;
}
