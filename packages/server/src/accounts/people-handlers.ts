import { t } from '@jasperwren/words/refusals';
import { conflict } from '../refusal';
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
  accounts: (call) => listAccounts(call),
  people: async (call) => peopleOf(call, await todayOf(call)),
  invite: ({ write }, _, body) =>
    write(async (trx) => {
      const account = await addAccount(trx, body);
      return { ...account, link: await makePasswordLink(trx, account.id) };
    }),
  editAccount: ({ write }, { accountId }, body) =>
    write((trx) => editAccount(trx, accountId, body), { detail: body.role }),
  disableAccount: ({ withdraw }, { accountId }) => withdraw((trx) => setDisabled(trx, accountId, true)),
  enableAccount: ({ withdraw }, { accountId }) => withdraw((trx) => setDisabled(trx, accountId, false)),
  handOver: ({ write }, { accountId }, { toAccountId }) =>
    write(async (trx) => handOver(trx, accountId, toAccountId, await todayOf(trx)), {
      detail: toAccountId,
    }),
  sendPasswordLink: ({ write }, { accountId }) =>
    write(async (trx) => {
      const { disabledAt } = await getAccount(trx, accountId);
      if (disabledAt !== null) throw conflict(t('accountDisabled'), { code: 'disabled' });
      return makePasswordLink(trx, accountId);
    }),
  signOutAccount: ({ write }, { accountId }) =>
    write(async (trx) => {
      await getAccount(trx, accountId);
      await endSignIns(trx, accountId);
    }),
  removeFactor: ({ write }, { accountId }) =>
    write(async (trx) => {
      await getAccount(trx, accountId);
      await turnOff(trx, accountId);
    }),
};
