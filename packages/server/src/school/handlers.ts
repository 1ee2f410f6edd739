import type { HandlersOf } from '../http/call';
import type { Keeper } from '../db/keeper';
import { listWithdrawals } from '../withdrawals/list';
import { phrasesOf, setPhrases } from './phrases';
import { closeSchool, editSchool, getSchool } from './store';

export const schoolHandlers = (
  keeper: Keeper,
  dataDir: string,
): HandlersOf<'school' | 'editSchool' | 'phrases' | 'setPhrases' | 'closeSchool'> => ({
  school: (call) => getSchool(call),
  editSchool: ({ write }, _, body) => write((trx) => editSchool(trx, body)),
  phrases: (call) => phrasesOf(call),
  setPhrases: ({ write }, _, body) => write((trx) => setPhrases(trx, body)),
  async closeSchool({ who, now, signIn }, _, { name }) {
    // Its own trail goes with it: there is no line to write.
    await keeper.write((db) => closeSchool({ db, who, now }, name));
    await listWithdrawals(keeper.db, dataDir);
    signIn.end();
    await keeper.forget();
  },
});
