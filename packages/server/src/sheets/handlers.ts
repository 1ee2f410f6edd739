import type { HandlersOf } from '../http/call';
import type { Jobs } from '../jobs/jobs';
import { addSheet, dropSheet, editSheet, getSheet, sheetsOfLearner } from './store';

export const sheetHandlers = (jobs: Jobs): HandlersOf<'sheets' | 'addSheet' | 'sheet' | 'editSheet' | 'dropSheet'> => ({
  sheets: ({ db, who }, { learnerId }) => sheetsOfLearner(db, who.schoolId, learnerId),
  sheet: ({ db, who }, { sheetId }) => getSheet(db, who.schoolId, sheetId),
  async addSheet({ write, who }, { learnerId }, body) {
    const before = await jobs.chanceBefore({ schoolId: who.schoolId, learnerId, date: body.date });
    return write((db) => addSheet(db, who, learnerId, body, before));
  },
  editSheet: ({ write, who }, { sheetId }, body) =>
    write((db) => editSheet(db, who.schoolId, sheetId, body), aboutLearner),
  async dropSheet({ db, write, who }, { sheetId }) {
    const sheet = await getSheet(db, who.schoolId, sheetId);
    await write((trx) => dropSheet(trx, who.schoolId, sheetId), aboutLearner(sheet));
  },
});

const aboutLearner = ({ learnerId }: { readonly learnerId: string }) => ({ learnerId });
