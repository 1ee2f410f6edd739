/** What a detector finds in the samples of a run; moments are milliseconds of the clock of the car. */
export type Finding =
  /** The clock of an exercise starts. */
  | { readonly kind: 'exercise'; readonly at: number; readonly exercise: string }
  | { readonly kind: 'exercise-left'; readonly at: number; readonly exercise: string }
  | { readonly kind: 'movement'; readonly at: number }
  | FoundMark
  /** Seconds from the tone to the brake, or metres from the brake to the standstill. */
  | {
      readonly kind: 'fact';
      readonly at: number;
      readonly fact: 'reaction' | 'stopping-distance';
      readonly value: number;
    }
  /** Nothing was heard of the car: what happened meanwhile is not judged. */
  | { readonly kind: 'gap'; readonly at: number; readonly to: number }
  /** The car was left: the run is over. */
  | { readonly kind: 'car-left'; readonly at: number };

export interface FoundMark {
  readonly kind: 'mark';
  readonly at: number;
  readonly item: string;
  readonly grade: string;
  /** In the unit of the item. */
  readonly measured?: number;
  /** The samples behind it. */
  readonly from: number;
  readonly to: number;
}
