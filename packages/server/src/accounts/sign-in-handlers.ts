import type { SessionView, WelcomeView } from '@jasperwren/contract/accounts';
import createError from 'http-errors';
import type { Db } from '../db/database';
import { nothing, type Call, type HandlersOf, type Who } from '../http/call';
import { triesOf } from '../http/tries';
import { hashPassword, refuseCommon, verifyPassword } from './password';
import { dropPasswordLinks, ownerOfLink } from './password-links';
import { keepPending, newSecret, stepOf, takeCode, turnOff, turnOn } from './second-factor';
import { endOtherSignIn, signInsOf } from './sign-ins';
import { endSignIns, everybody, findAccount, findByEmail, getAccount, setPassword } from './store';

const failuresPerAddressAndEmail = 5;
const failuresPerAddress = 50;
/** Of one account, from everywhere together. */
const failuresPerEmail = 50;

type Names =
  | 'welcome'
  | 'session'
  | 'signIn'
  | 'signOut'
  | 'changePassword'
  | 'passwordLink'
  | 'choosePassword'
  | 'signIns'
  | 'endSignIn'
  | 'endOtherSignIns'
  | 'beginFactor'
  | 'confirmFactor'
  | 'dropFactor';

/** Sign-in, and the own account. */
export function signInHandlers(welcome: WelcomeView): HandlersOf<Names> {
  const byAccount = triesOf('account', failuresPerAddressAndEmail, 'Sign-in');
  const byEmail = triesOf('email', failuresPerEmail, 'Sign-in');
  const byAddress = triesOf('address', failuresPerAddress, 'Sign-in');
  const byPassword = triesOf('password', failuresPerAddressAndEmail, 'Changing the password');
  const byLink = triesOf('link', failuresPerAddress, 'Choosing a password');

  /** @throws 422 where this is not the password of whoever is signed in */
  async function prove({ db, who, setHeader }: Call<'staff'>, password: string, field: string) {
    await byPassword.take(setHeader, who.accountId);
    const account = await getAccount(db, who.schoolId, who.accountId);
    if (!(await verifyPassword(password, account.passwordHash))) {
      throw createError(422, 'This is not your present password. Nothing was changed.', {
        code: 'invalid',
        problems: [{ field, message: 'This is not your present password.' }],
      });
    }
    await byPassword.forget(who.accountId);
    return account;
  }

  return {
    welcome: () => Promise.resolve(welcome),

    async session({ db, signIn }) {
      const view = signIn.staff && (await sessionView(db, signIn.staff, signIn.csrfToken));
      if (!view) throw createError(401, 'Nobody is signed in.', { code: 'not-signed-in' });
      return view;
    },

    async signIn({ db, write, address, signIn, setHeader }, _, { email, password, code }) {
      const key = `${address} ${email.toLowerCase()}`;
      // The narrowest first: tries that it refuses do not use up those of others at the same address.
      await byAccount.take(setHeader, key);
      await byEmail.take(setHeader, email.toLowerCase());
      await byAddress.take(setHeader, address);
      const account = await findByEmail(db, email);
      const about = account && { schoolId: account.school_id, accountId: account.id };
      const right = await verifyPassword(password, account?.password_hash);
      if (!right || !account || !about || account.disabled_at !== null) {
        if (about) await write(nothing, { ...about, action: 'refusedSignIn' });
        throw createError(401, 'The address or the password is not right.', { code: 'wrong-credentials' });
      }
      const secret = account.factor_secret;
      if (secret !== null && code === undefined)
        throw createError(401, 'Write the six digits that your authenticator app shows now.', { code: 'needs-code' });
      const letIn = await write(
        async (trx) => secret === null || takeCode(trx, account.id, secret, code ?? ''),
        (taken) => ({ ...about, ...(!taken && { action: 'refusedSignIn' }) }),
      );
      if (!letIn)
        throw createError(401, 'This code is not right, or was used. Write the one that is shown now.', {
          code: 'wrong-code',
        });
      await Promise.all([byAccount.forget(key), byEmail.giveBack(email.toLowerCase()), byAddress.giveBack(address)]);
      const who = { accountId: account.id, schoolId: account.school_id };
      const csrfToken = await signIn.begin(who);
      return (await sessionView(db, who, csrfToken))!;
    },

    async signOut({ write, signIn }) {
      const { staff, learner } = signIn;
      const schoolId = (staff ?? learner)?.schoolId;
      if (schoolId) await write(nothing, { schoolId, accountId: staff?.accountId, learnerId: learner?.learnerId });
      signIn.end();
    },

    async changePassword(call, _, { current, next }) {
      const { accountId, schoolId } = call.who;
      const { email, name, schoolName } = await prove(call, current, 'current');
      refuseCommon(next, [email, name, schoolName], 'next');
      const hash = await hashPassword(next);
      await call.write((db) => setPassword(db, schoolId, accountId, hash, call.signIn.id));
    },

    async passwordLink({ db, setHeader, address }, { token }) {
      await byLink.take(setHeader, address);
      const { name, email, school } = await ownerOfLink(db, token);
      await byLink.giveBack(address);
      return { name, email, school };
    },

    async choosePassword({ db, write, setHeader, address }, { token }, { password }) {
      await byLink.take(setHeader, address);
      const { name, email, school } = await ownerOfLink(db, token);
      await byLink.giveBack(address);
      refuseCommon(password, [name, email, school], 'password');
      const hash = await hashPassword(password);
      await write(
        async (trx) => {
          // Once more, now that nobody can come between.
          const owner = await ownerOfLink(trx, token);
          await setPassword(trx, owner.schoolId, owner.id, hash);
          await dropPasswordLinks(trx, owner.id);
          return owner;
        },
        ({ schoolId, id }) => ({ schoolId, accountId: id }),
      );
    },

    signIns: ({ db, who, signIn }) => signInsOf(db, who, signIn.id),
    endSignIn: ({ write, who }, { signInId }) => write((db) => endOtherSignIn(db, who, signInId)),
    endOtherSignIns: ({ write, who, signIn }) => write((db) => endSignIns(db, who.schoolId, who.accountId, signIn.id)),

    async beginFactor(call, _, { password }) {
      const { email } = await prove(call, password, 'password');
      const fresh = await newSecret(email);
      await call.write((db) => keepPending(db, call.who.accountId, fresh.secret));
      return fresh;
    },

    async confirmFactor({ db, write, who, setHeader }, _, { code }) {
      await byPassword.take(setHeader, who.accountId);
      const { factorPending } = await getAccount(db, who.schoolId, who.accountId);
      const step = factorPending === null ? undefined : stepOf(factorPending, code);
      if (factorPending === null || step === undefined)
        throw createError(422, 'The app shows another code now. Nothing was changed.', {
          code: 'invalid',
          problems: [{ field: 'code', message: 'This is not the code that is shown now.' }],
        });
      await byPassword.forget(who.accountId);
      return { codes: await write((trx) => turnOn(trx, who.schoolId, who.accountId, factorPending, step)) };
    },

    async dropFactor(call, _, { password }) {
      await prove(call, password, 'password');
      await call.write((db) => turnOff(db, call.who.accountId));
    },
  };
}

async function sessionView(
  db: Db,
  { accountId, schoolId }: Pick<Who, 'accountId' | 'schoolId'>,
  csrfToken: string,
): Promise<SessionView | undefined> {
  const account = await findAccount(db, schoolId, accountId);
  if (!account) return undefined;
  const { id, name, email, role, schoolName, factorSecret, requireFactor } = account;
  return {
    account: { id, name, email, role },
    school: { id: schoolId, name: schoolName },
    secondFactor: factorSecret !== null,
    factorMissing: requireFactor === 1 && factorSecret === null,
    colleagues: await everybody(db, schoolId),
    csrfToken,
  };
}
