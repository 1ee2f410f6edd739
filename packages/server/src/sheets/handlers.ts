import type { HandlersOf } from '../http/call';
import type { Workers } from '../jobs/threads';
import { addSheet, dropSheet, editSheet, getSheet, sheetsOfLearner } from './store';

export const sheetHandlers = (
  workers: Workers,
): HandlersOf<'sheets' | 'addSheet' | 'sheet' | 'editSheet' | 'dropSheet'> => ({
  sheets: (call, { learnerId }) => sheetsOfLearner(call, learnerId),
  sheet: (call, { sheetId }) => getSheet(call, sheetId),
  async addSheet({ write, who }, { learnerId }, body) {
    const before = await workers.run({ kind: 'chance-before', schoolId: who.schoolId, learnerId, date: body.date });
    return write((trx) => addSheet(trx, learnerId, body, before));
  },
  editSheet: ({ write }, { sheetId }, body) => write((trx) => editSheet(trx, sheetId, body), aboutLearner),
  async dropSheet(call, { sheetId }) {
    const sheet = await getSheet(call, sheetId);
    await call.write((trx) => dropSheet(trx, sheetId), aboutLearner(sheet));
  },
});

const aboutLearner = ({ learnerId }: { readonly learnerId: string }) => ({ learnerId });
