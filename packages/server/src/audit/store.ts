import type { AuditExtra } from '@jasperwren/contract/audit';
import type { RouteName } from '@jasperwren/contract/routes';
import type { Db } from '../db/database';

/** Something that was done, as it is kept. */
export interface Deed {
  readonly schoolId: string;
  readonly at: Date;
  readonly action: RouteName | AuditExtra;
  readonly accountId?: string | undefined;
  /** The learner it was about. */
  readonly learnerId?: string | undefined;
  /** Whether that learner did it. */
  readonly byLearner?: boolean;
  readonly subject?: string | undefined;
  readonly detail?: string | undefined;
  readonly address?: string | undefined;
}

/** Writes a line of the audit trail; in the transaction of what it tells of. */
export const addDeed = (db: Db, deed: Deed): Promise<void> => addDeeds(db, [deed]);

/** Writes lines of what was done together. */
export async function addDeeds(db: Db, deeds: readonly Deed[]): Promise<void> {
  if (deeds.length === 0) return;
  await db
    .insertInto('audit')
    .values(
      deeds.map((deed) => ({
        school_id: deed.schoolId,
        at: deed.at.toISOString(),
        action: deed.action,
        account_id: deed.accountId ?? null,
        learner_id: deed.learnerId ?? null,
        by_learner: deed.byLearner ? 1 : 0,
        subject: deed.subject ?? null,
        detail: deed.detail ?? null,
        address: deed.address ?? null,
      })),
    )
    .execute();
}
