import { file, type HandlersOf } from '../http/call';
import { toCsv } from '../csv';
import { auditLines, auditPage } from './pages';

const columns = ['at', 'by', 'action', 'learner', 'subject', 'detail', 'address'];

export const auditHandlers: HandlersOf<'audit' | 'auditTable'> = {
  audit: (call, filter) => auditPage(call, filter),
  async auditTable(call, filter) {
    const lines = await auditLines(call, filter);
    const rows = lines.map(({ by, byLearner, learner, ...line }) => ({
      ...line,
      by: by?.name ?? (byLearner ? 'the learner' : ''),
      learner: learner?.name ?? learner?.id ?? '',
    }));
    return file(`audit-${call.now.toISOString().slice(0, 10)}.csv`, 'text/csv', toCsv(columns, rows));
  },
};
