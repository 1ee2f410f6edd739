import type { HandlersOf } from '../http/call';
import type { Keeper } from '../db/keeper';
import { closeSchool, editSchool, getSchool } from './store';

export const schoolHandlers = (keeper: Keeper): HandlersOf<'school' | 'editSchool' | 'closeSchool'> => ({
  school: ({ db, who }) => getSchool(db, who.schoolId),
  editSchool: ({ write, who }, _, body) => write((db) => editSchool(db, who.schoolId, body)),
  async closeSchool({ who, signIn }, _, { name }) {
    // Its own trail goes with it: there is no line to write.
    await keeper.write((db) => closeSchool(db, who.schoolId, name));
    signIn.end();
    await keeper.forget();
  },
});
