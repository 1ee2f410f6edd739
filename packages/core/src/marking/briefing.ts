import type { Sourced } from './provenance';

/** One thing of a step of the briefing. */
export interface BriefingPart {
  readonly name: string;
  /** The item to mark where it is missed. */
  readonly item?: string;
}

interface StepBase {
  readonly code: string;
  readonly name: string;
  /** What to do or to ask for. */
  readonly task: string;
}

/** A step before moving off. Every one can be passed over with a reason. */
export type BriefingStep =
  /** Done with one tap. */
  | (StepBase & { readonly kind: 'confirm' })
  /** Reading a number plate; failing it ends the test. */
  | (StepBase & {
      readonly kind: 'eyesight';
      readonly distanceM: Sourced;
      /** For an older, wider style of plate. */
      readonly widePlateM?: Sourced;
    })
  /** Parts in their order; some are taught in more than one order. */
  | (StepBase & {
      readonly kind: 'checklist';
      readonly parts: readonly BriefingPart[];
      /** Other orders of the same parts, by name. */
      readonly otherOrder?: readonly string[];
    })
  /** Call and response: each call is made once the one before it was answered. */
  | (StepBase & { readonly kind: 'calls'; readonly parts: readonly BriefingPart[] })
  /** Questions of the oral part that are asked at rest. */
  | (StepBase & { readonly kind: 'questions'; readonly items: readonly string[] });
