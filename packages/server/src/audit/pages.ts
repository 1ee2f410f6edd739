import { t } from '@jasperwren/words/refusals';
import type { AuditLine, AuditPage } from '@jasperwren/contract/audit';
import type { InSchool } from '../call';
import { invalid } from '../refusal';

const onAPage = 100;
/** Of a table, which is read by a program. */
const mostLines = 50_000;

/** How the trail is narrowed; days are `YYYY-MM-DD`, both included, in UTC. */
export interface AuditFilter {
  readonly from?: string;
  readonly to?: string;
  readonly account?: string;
  readonly learner?: string;
  readonly action?: string;
  readonly before?: string;
}

/**
 * Lines of the trail, the newest first.
 * @throws invalid where a day is none of the calendar, or `before` is no number
 */
export async function auditPage(call: InSchool, filter: AuditFilter): Promise<AuditPage> {
  const lines = await linesOf(call, filter, onAPage + 1);
  const shown = lines.slice(0, onAPage);
  const last = shown.at(-1);
  return { lines: shown, ...(lines.length > onAPage && last && { next: last.id }) };
}

/** As `auditPage`, all of it. */
export const auditLines = (call: InSchool, filter: AuditFilter): Promise<readonly AuditLine[]> =>
  linesOf(call, filter, mostLines);

async function linesOf(
  { db, who: { schoolId } }: InSchool,
  { from, to, account, learner, action, before }: AuditFilter,
  most: number,
): Promise<readonly AuditLine[]> {
  for (const [field, day] of Object.entries({ from, to }))
    if (day !== undefined && Number.isNaN(Date.parse(`${day}T00:00:00Z`))) throw notThat(field, t('noSuchDay'));
  if (before !== undefined && !/^\d{1,15}$/.test(before)) throw notThat('before', t('noSuchLine'));
  const rows = await db
    .selectFrom('audit')
    .leftJoin('accounts', 'accounts.id', 'audit.account_id')
    .leftJoin('learners', 'learners.id', 'audit.learner_id')
    .leftJoin('accounts as other', 'other.id', 'audit.subject')
    .select([
      'audit.id',
      'audit.at',
      'audit.action',
      'audit.account_id',
      'audit.learner_id',
      'audit.by_learner',
      'audit.subject',
      'audit.detail',
      'audit.address',
      'accounts.name as account',
      'learners.name as learner',
      'other.name as subject_name',
    ])
    .where('audit.school_id', '=', schoolId)
    .$if(from !== undefined, (query) => query.where('audit.at', '>=', `${from}T00:00:00.000Z`))
    .$if(to !== undefined, (query) => query.where('audit.at', '<=', `${to}T23:59:59.999Z`))
    .$if(account !== undefined, (query) => query.where('audit.account_id', '=', account!))
    .$if(learner !== undefined, (query) => query.where('audit.learner_id', '=', learner!))
    .$if(action !== undefined, (query) => query.where('audit.action', '=', action!))
    .$if(before !== undefined, (query) => query.where('audit.id', '<', Number(before)))
    .orderBy('audit.id', 'desc')
    .limit(most)
    .execute();
  return rows.map((row) => ({
    id: row.id,
    at: row.at,
    action: row.action,
    ...(row.account_id !== null && { by: { id: row.account_id, name: row.account ?? '' } }),
    byLearner: row.by_learner === 1,
    ...(row.address !== null && { address: row.address }),
    ...(row.learner_id !== null && {
      learner: { id: row.learner_id, ...(row.learner !== null && { name: row.learner }) },
    }),
    ...(row.subject !== null && { subject: row.subject }),
    ...(row.subject_name !== null && { subjectName: row.subject_name }),
    ...(row.detail !== null && { detail: row.detail }),
  }));
}

const notThat = (field: string, message: string) => invalid(message, { problems: [{ field, message }] });
