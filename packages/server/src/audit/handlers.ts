import { file, type HandlersOf } from '../http/call';
import { toCsv } from '../http/csv';
import { auditLines, auditPage } from './pages';

const columns = ['at', 'by', 'action', 'learner', 'subject', 'detail', 'address'];

export const auditHandlers: HandlersOf<'audit' | 'auditTable'> = {
  audit: ({ db, who }, filter) => auditPage(db, who.schoolId, filter),
  async auditTable({ db, who, now }, filter) {
    const lines = await auditLines(db, who.schoolId, filter);
    const rows = lines.map(({ by, byLearner, learner, ...line }) => ({
      ...line,
      by: by?.name ?? (byLearner ? 'the learner' : ''),
      learner: learner?.name ?? learner?.id ?? '',
    }));
    return file(`audit-${now.toISOString().slice(0, 10)}.csv`, 'text/csv', toCsv(columns, rows));
  },
};
