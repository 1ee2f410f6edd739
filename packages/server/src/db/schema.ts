import type { Role } from '@jasperwren/contract/accounts';
import type { Transmission } from '@jasperwren/contract/learners';
import type { Generated } from 'kysely';
import type { Columns } from './columns';

/** What can be worked out beside the requests. */
export type JobName = 'estimates' | 'roads' | 'traces';

/** Columns that hold less than their type in SQLite would. Migrations check what comes in where they can. */
interface Narrower {
  schools: { require_factor: Generated<0 | 1> };
  accounts: { role: Role };
  audit: { by_learner: 0 | 1 };
  learners: { transmission: Transmission };
  jobs: { kind: JobName; again: Generated<0 | 1> };
  roads: { state: 'reading' | 'ready' | 'failed' };
  lessons: { cancelled: Generated<0 | 1> };
  check_questions: { retired: 0 | 1 };
  vehicles: { retired: 0 | 1 };
}

/** The tables, as Kysely sees them. Times are RFC 3339 texts in UTC; bodies are JSON texts. */
export type Tables = {
  [T in keyof Columns]: T extends keyof Narrower ? Omit<Columns[T], keyof Narrower[T]> & Narrower[T] : Columns[T];
};
