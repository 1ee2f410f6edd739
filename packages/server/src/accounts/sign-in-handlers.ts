import { t } from '@jasperwren/words/refusals';
import type { SessionView, WelcomeView } from '@jasperwren/contract/accounts';
import { invalid, notSignedIn } from '../refusal';
import type { Call, Who } from '../call';
import { nothing, type HandlersOf, type RouteCall } from '../http/call';
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
  const byAccount = triesOf('account', failuresPerAddressAndEmail);
  const byEmail = triesOf('email', failuresPerEmail);
  const byAddress = triesOf('address', failuresPerAddress);
  const byPassword = triesOf('password', failuresPerAddressAndEmail);
  const byLink = triesOf('link', failuresPerAddress);

  /** @throws invalid where this is not the password of whoever is signed in */
  async function prove(call: RouteCall<Who>, password: string, field: string) {
    await byPassword.take(call.setHeader, call.who.accountId);
    const account = await getAccount(call, call.who.accountId);
    if (!(await verifyPassword(password, account.passwordHash))) {
      throw invalid(t('wrongPasswordNothingChanged'), {
        problems: [{ field, message: t('wrongPassword') }],
      });
    }
    await byPassword.forget(call.who.accountId);
    return account;
  }

  return {
    welcome: () => Promise.resolve(welcome),

    async session(call) {
      const { staff, csrfToken } = call.signIn;
      const view = staff && (await sessionView({ ...call, who: staff }, csrfToken));
      if (!view) throw notSignedIn(t('notSignedIn'), { code: 'not-signed-in' });
      return view;
    },

    async signIn(call, _, { email, password, code }) {
      const key = `${call.address} ${email.toLowerCase()}`;
      // The narrowest first: tries that it refuses do not use up those of others at the same address.
      await byAccount.take(call.setHeader, key);
      await byEmail.take(call.setHeader, email.toLowerCase());
      await byAddress.take(call.setHeader, call.address);
      const account = await findByEmail(call, email);
      const about = account && { schoolId: account.school_id, accountId: account.id };
      const right = await verifyPassword(password, account?.password_hash);
      if (!right || !account || !about || account.disabled_at !== null) {
        if (about) await call.write(nothing, { ...about, action: 'refusedSignIn' });
        throw notSignedIn(t('wrongEmailOrPassword'), { code: 'wrong-credentials' });
      }
      const secret = account.factor_secret;
      if (secret !== null && code === undefined) throw notSignedIn(t('enterDigitsOfApp'), { code: 'needs-code' });
      const letIn = await call.write(
        async (trx) => secret === null || takeCode(trx, account.id, secret, code ?? ''),
        (taken) => ({ ...about, ...(!taken && { action: 'refusedSignIn' }) }),
      );
      if (!letIn)
        throw notSignedIn(t('codeWrongOrUsed'), {
          code: 'wrong-code',
        });
      await Promise.all([
        byAccount.forget(key),
        byEmail.giveBack(email.toLowerCase()),
        byAddress.giveBack(call.address),
      ]);
      const who = { accountId: account.id, schoolId: account.school_id };
      const csrfToken = await call.signIn.begin(who);
      return (await sessionView({ ...call, who: { ...who, role: account.role } }, csrfToken))!;
    },

    async signOut({ write, signIn }) {
      const { staff, learner } = signIn;
      const schoolId = (staff ?? learner)?.schoolId;
      if (schoolId) await write(nothing, { schoolId, accountId: staff?.accountId, learnerId: learner?.learnerId });
      signIn.end();
    },

    async changePassword(call, _, { current, next }) {
      const { accountId } = call.who;
      const { email, name, schoolName } = await prove(call, current, 'current');
      refuseCommon(next, [email, name, schoolName], 'next');
      const hash = await hashPassword(next);
      await call.write((trx) => setPassword(trx, accountId, hash, call.signIn.id));
    },

    async passwordLink(call, { token }) {
      await byLink.take(call.setHeader, call.address);
      const { name, email, school } = await ownerOfLink(call, token);
      await byLink.giveBack(call.address);
      return { name, email, school };
    },

    async choosePassword(call, { token }, { password }) {
      await byLink.take(call.setHeader, call.address);
      const { name, email, school } = await ownerOfLink(call, token);
      await byLink.giveBack(call.address);
      refuseCommon(password, [name, email, school], 'password');
      const hash = await hashPassword(password);
      await call.write(
        async (trx) => {
          // Once more, now that nobody can come between.
          const owner = await ownerOfLink(trx, token);
          await setPassword({ ...trx, who: { schoolId: owner.schoolId } }, owner.id, hash);
          await dropPasswordLinks(trx, owner.id);
          return owner;
        },
        ({ schoolId, id }) => ({ schoolId, accountId: id }),
      );
    },

    signIns: (call) => signInsOf(call, call.signIn.id),
    endSignIn: ({ write }, { signInId }) => write((trx) => endOtherSignIn(trx, signInId)),
    endOtherSignIns: ({ write, who, signIn }) => write((trx) => endSignIns(trx, who.accountId, signIn.id)),

    async beginFactor(call, _, { password }) {
      const { email } = await prove(call, password, 'password');
      const fresh = await newSecret(email);
      await call.write((trx) => keepPending(trx, call.who.accountId, fresh.secret));
      return fresh;
    },

    async confirmFactor(call, _, { code }) {
      await byPassword.take(call.setHeader, call.who.accountId);
      const { factorPending } = await getAccount(call, call.who.accountId);
      const step = factorPending === null ? undefined : stepOf(factorPending, code, call.now);
      if (factorPending === null || step === undefined)
        throw invalid(t('otherCodeNothingChanged'), {
          problems: [{ field: 'code', message: t('otherCode') }],
        });
      await byPassword.forget(call.who.accountId);
      return { codes: await call.write((trx) => turnOn(trx, call.who.accountId, factorPending, step)) };
    },

    async dropFactor(call, _, { password }) {
      await prove(call, password, 'password');
      await call.write((trx) => turnOff(trx, call.who.accountId));
    },
  };
}

async function sessionView(call: Call, csrfToken: string): Promise<SessionView | undefined> {
  const {
    who: { accountId, schoolId },
  } = call;
  const account = await findAccount(call, accountId);
  if (!account) return undefined;
  const { id, name, email, role, schoolName, factorSecret, requireFactor } = account;
  return {
    account: { id, name, email, role },
    school: { id: schoolId, name: schoolName },
    secondFactor: factorSecret !== null,
    factorMissing: requireFactor === 1 && factorSecret === null,
    colleagues: await everybody(call),
    csrfToken,
  };
}
