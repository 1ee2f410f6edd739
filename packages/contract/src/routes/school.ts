import type { AccountEdit, AccountView, HandOver, HandedOver, Invitation, PasswordLink, PersonView } from '../accounts';
import { auditFilters, type AuditPage } from '../audit';
import type { PhrasesInput, PhrasesView } from '../phrases';
import { del, get, post, put } from '../route';
import type { SchoolInput, SchoolView, TypedName } from '../school';

/** The school and its people. */
export const schoolRoutes = {
  school: get('/api/school', 'staff', { reads: ['school'] }).answers<SchoolView>(),
  editSchool: put('/api/school', 'lead', { changes: ['school'] })
    .takes<SchoolInput>()
    .answers<SchoolView>(),
  phrases: get('/api/phrases', 'staff', { reads: ['school'] }).answers<PhrasesView>(),
  setPhrases: put('/api/phrases', 'staff', { changes: ['school'] })
    .takes<PhrasesInput>()
    .answers<PhrasesView>(),
  closeSchool: post('/api/school/close', 'lead').takes<TypedName>().done(),
  accounts: get('/api/accounts', 'staff', { reads: ['accounts'] }).answers<readonly AccountView[]>(),
  people: get('/api/people', 'lead', { reads: ['accounts', 'signIns'], live: true }).answers<readonly PersonView[]>(),
  invite: post('/api/accounts', 'lead', { changes: ['accounts'] })
    .takes<Invitation>()
    .answers<AccountView & { readonly link: PasswordLink }>(201),
  editAccount: put('/api/accounts/:accountId', 'lead', {
    changes: ['accounts', 'drives', 'lessons', 'readiness'],
  })
    .takes<AccountEdit>()
    .answers<AccountView>(),
  disableAccount: put('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  enableAccount: del('/api/accounts/:accountId/disabled', 'lead', { changes: ['accounts'] }).done(),
  handOver: post('/api/accounts/:accountId/hand-over', 'lead', {
    changes: ['learners', 'lessons', 'readiness'],
  })
    .takes<HandOver>()
    .answers<HandedOver>(),
  sendPasswordLink: post('/api/accounts/:accountId/password-link', 'lead').answers<PasswordLink>(201),
  signOutAccount: del('/api/accounts/:accountId/sign-ins', 'lead', { changes: ['signIns'] }).done(),
  removeFactor: del('/api/accounts/:accountId/factor', 'lead', { changes: ['accounts'] }).done(),
  audit: get('/api/audit', 'lead', { query: auditFilters, live: true }).answers<AuditPage>(),
  auditTable: get('/api/audit.csv', 'lead', { query: auditFilters }).file(),
} as const;
