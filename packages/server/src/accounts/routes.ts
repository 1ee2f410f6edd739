import { randomBytes } from 'node:crypto';
import {
  AccountInput,
  PasswordChange,
  SignInRequest,
  type SessionView,
  type WelcomeView,
} from '@jasperwren/contract/accounts';
import Router from '@koa/router';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { bodyOf } from '../http/body';
import { triesOf } from '../http/tries';
import { sessionOf, whoIs, type Ctx, type SessionData } from '../http/context';
import { addAccount, assertLead, changePassword, findAccount, findByCredentials, listAccounts } from './store';

const failuresPerAddressAndEmail = 5;
const failuresPerAddress = 50;
/** Of one account, from everywhere together. */
const failuresPerEmail = 50;

/** Sign-in, the own account, and the school's accounts for its lead. */
export function accountRoutes(db: Db, welcome: WelcomeView): Router {
  const router = new Router();
  const byAccount = triesOf('account', failuresPerAddressAndEmail, 'Sign-in');
  const byEmail = triesOf('email', failuresPerEmail, 'Sign-in');
  const byAddress = triesOf('address', failuresPerAddress, 'Sign-in');
  const byPassword = triesOf('password', failuresPerAddressAndEmail, 'Changing the password');

  router.get('/api/welcome', (ctx) => {
    ctx.body = welcome;
  });

  router.get('/api/session', async (ctx) => {
    const view = await sessionView(ctx);
    if (!view) throw createError(401, 'Nobody is signed in.', { code: 'not-signed-in' });
    ctx.body = view;
  });

  router.post('/api/session', async (ctx) => {
    const { email, password } = bodyOf(ctx, SignInRequest);
    const key = `${ctx.ip} ${email.toLowerCase()}`;
    // The narrowest first: tries that it refuses do not use up those of others at the same address.
    await byAccount.take(ctx, key);
    await byEmail.take(ctx, email.toLowerCase());
    await byAddress.take(ctx, ctx.ip);
    const account = await findByCredentials(db, email, password);
    if (!account) throw createError(401, 'The address or the password is not right.', { code: 'wrong-credentials' });
    await Promise.all([byAccount.forget(key), byEmail.giveBack(email.toLowerCase()), byAddress.giveBack(ctx.ip)]);
    const data: SessionData = {
      accountId: account.id,
      schoolId: account.schoolId,
      csrfToken: randomBytes(24).toString('base64url'),
    };
    // A learner who was signed in here before is not any more.
    Object.assign(ctx.session!, { learnerId: undefined }, data);
    await ctx.session!.regenerate();
    ctx.body = await sessionView(ctx);
  });

  router.delete('/api/session', (ctx) => {
    ctx.session = null;
    ctx.status = 204;
  });

  router.put('/api/session/password', async (ctx) => {
    const { accountId, schoolId } = whoIs(ctx);
    const { current, next } = bodyOf(ctx, PasswordChange);
    await byPassword.take(ctx, accountId);
    await changePassword(db, schoolId, accountId, current, next, ctx.session!.externalKey ?? '');
    await byPassword.forget(accountId);
    ctx.status = 204;
  });

  router.get('/api/accounts', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    ctx.body = await listAccounts(db, schoolId);
  });

  router.post('/api/accounts', async (ctx) => {
    const { schoolId } = whoIs(ctx);
    await assertLead(db, whoIs(ctx));
    ctx.body = await addAccount(db, schoolId, bodyOf(ctx, AccountInput));
    ctx.status = 201;
  });

  async function sessionView(ctx: Ctx): Promise<SessionView | undefined> {
    const session = sessionOf(ctx);
    const account = session && (await findAccount(db, session.schoolId, session.accountId));
    if (!session || !account) return undefined;
    const { id, name, email, role, schoolId, schoolName } = account;
    return {
      account: { id, name, email, role },
      school: { id: schoolId, name: schoolName },
      colleagues: (await listAccounts(db, schoolId)).map((colleague) => ({ id: colleague.id, name: colleague.name })),
      csrfToken: session.csrfToken,
    };
  }

  return router;
}
