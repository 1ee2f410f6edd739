import type { DrillCard } from '@jasperwren/core/safety-questions/drill';
import type { CardResult } from './card-result';
import type { DrillSource } from './source';

/** What every way of answering a card takes. */
export interface CardProps {
  readonly card: DrillCard;
  readonly source: DrillSource;
  readonly seed: number;
  readonly onDone: (result: CardResult) => void;
}
