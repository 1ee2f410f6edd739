import createError from 'http-errors';
import type { HandlersOf } from '../http/call';
import { todayOf } from '../school/store';
import { makePasswordLink } from './password-links';
import { editAccount, handOver, peopleOf, setDisabled } from './people';
import { turnOff } from './second-factor';
import { addAccount, endSignIns, getAccount, listAccounts } from './store';

type Names =
  | 'accounts'
  | 'people'
  | 'invite'
  | 'editAccount'
  | 'disableAccount'
  | 'enableAccount'
  | 'handOver'
  | 'sendPasswordLink'
  | 'signOutAccount'
  | 'removeFactor';

/** The people of a school, for its leads. */
export const peopleHandlers: HandlersOf<Names> = {
  accounts: ({ db, who }) => listAccounts(db, who.schoolId),
  people: async ({ db, who, now }) => peopleOf(db, who.schoolId, await todayOf(db, who.schoolId, now)),
  invite: ({ write, who }, _, body) =>
    write(async (db) => {
      const account = await addAccount(db, who.schoolId, body);
      return { ...account, link: await makePasswordLink(db, who.schoolId, account.id) };
    }),
  editAccount: ({ write, who }, { accountId }, body) =>
    write((db) => editAccount(db, who.schoolId, accountId, body), { detail: body.role }),
  disableAccount: ({ write, who }, { accountId }) => write((db) => setDisabled(db, who.schoolId, accountId, true)),
  enableAccount: ({ write, who }, { accountId }) => write((db) => setDisabled(db, who.schoolId, accountId, false)),
  handOver: ({ write, who, now }, { accountId }, { toAccountId }) =>
    write(async (db) => handOver(db, who.schoolId, accountId, toAccountId, await todayOf(db, who.schoolId, now)), {
      detail: toAccountId,
    }),
  sendPasswordLink: ({ write, who }, { accountId }) =>
    write(async (db) => {
      const { disabledAt } = await getAccount(db, who.schoolId, accountId);
      if (disabledAt !== null)
        throw createError(409, 'This account is disabled. Enable it first.', { code: 'disabled' });
      return makePasswordLink(db, who.schoolId, accountId);
    }),
  signOutAccount: ({ write, who }, { accountId }) =>
    write(async (db) => {
      await getAccount(db, who.schoolId, accountId);
      await endSignIns(db, who.schoolId, accountId);
    }),
  removeFactor: ({ write, who }, { accountId }) =>
    write(async (db) => {
      await getAccount(db, who.schoolId, accountId);
      await turnOff(db, accountId);
    }),
};
