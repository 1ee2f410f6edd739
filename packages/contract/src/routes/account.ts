import type {
  FactorProof,
  FactorSecret,
  NewPassword,
  PasswordChange,
  PasswordLinkView,
  PasswordProof,
  RecoveryCodes,
  SessionView,
  SignInRequest,
  SignInView,
  WelcomeView,
} from '../accounts';
import { del, get, post, put } from '../route';

/** Signing in, and one's own account. */
export const accountRoutes = {
  welcome: get('/api/welcome', 'anybody', { beforeFactor: true }).answers<WelcomeView>(),
  session: get('/api/session', 'anybody', { reads: ['accounts', 'school'], beforeFactor: true }).answers<SessionView>(),
  signIn: post('/api/session', 'anybody', { changes: ['signIns'] })
    .takes<SignInRequest>()
    .answers<SessionView>(),
  signOut: del('/api/session', 'anybody', { beforeFactor: true }).done(),
  changePassword: put('/api/session/password', 'staff', { changes: ['signIns'] })
    .takes<PasswordChange>()
    .done(),
  passwordLink: get('/api/password-links/:token', 'anybody').answers<PasswordLinkView>(),
  choosePassword: post('/api/password-links/:token', 'anybody').takes<NewPassword>().done(),
  signIns: get('/api/sign-ins', 'staff', { reads: ['signIns'], live: true }).answers<readonly SignInView[]>(),
  endSignIn: del('/api/sign-ins/:signInId', 'staff', { changes: ['signIns'] }).done(),
  endOtherSignIns: del('/api/sign-ins', 'staff', { changes: ['signIns'] }).done(),
  beginFactor: post('/api/session/factor', 'staff', { beforeFactor: true })
    .takes<PasswordProof>()
    .answers<FactorSecret>(),
  confirmFactor: put('/api/session/factor', 'staff', { changes: ['accounts'], beforeFactor: true })
    .takes<FactorProof>()
    .answers<RecoveryCodes>(),
  dropFactor: post('/api/session/factor/off', 'staff', { changes: ['accounts'] })
    .takes<PasswordProof>()
    .done(),
} as const;
