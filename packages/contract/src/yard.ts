import { t } from '@jasperwren/words/fields';
import { IsIn } from 'class-validator';
import { MayBeMissing } from './optional';
import { IsShortCode, IsWords } from './texts';
import { mostRowLetters } from './yard-feed';

/** Where the samples of a run came from: a car of the school, the stand-in, or a file. */
export const runSources = ['car', 'simulated', 'file'] as const;
export type RunSource = (typeof runSources)[number];

/** A run that is about to be sent; its id is made by the sender. */
export class YardRunInput {
  @IsShortCode() id!: string;
  @IsWords(80, t('nameTheRun')) name!: string;
  @IsIn(['simulated', 'file']) source!: Exclude<RunSource, 'car'>;
  @IsShortCode() standardId!: string;
  @IsWords(mostRowLetters, t('sayColumns')) columns!: string;
  @MayBeMissing() @IsShortCode() learnerId?: string;
}

/** A run of sensor values. */
export interface YardRunView {
  readonly id: string;
  readonly name: string;
  readonly source: RunSource;
  /** The standard whose course it was driven on; missing where nobody has said. */
  readonly standardId?: string;
  readonly startedAt: string;
  /** How many samples it has. */
  readonly samples: number;
  readonly sending: boolean;
  /** The car, as the school calls it. */
  readonly car?: string;
  readonly learner?: { readonly id: string; readonly name: string };
  readonly driveId?: string;
}

/** A car whose sensors may send. */
export class YardCarInput {
  @IsWords(60, t('nameTheCar')) name!: string;
}

export interface YardCarView {
  readonly id: string;
  readonly name: string;
  readonly addedAt: string;
}

/** A car with what its sensors sign in by, shown once. */
export interface NewYardCar extends YardCarView {
  readonly token: string;
}
