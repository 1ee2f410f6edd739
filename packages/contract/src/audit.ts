/** One line of the audit trail: who did what when, and from where. */
export interface AuditLine {
  readonly id: number;
  /** RFC 3339. */
  readonly at: string;
  /** The route that was called, or what happened besides, see `auditExtras`. */
  readonly action: string;
  /** The account that did it; missing for a learner, a link, a car or the command line. */
  readonly by?: { readonly id: string; readonly name: string };
  /** Whether a learner did it. */
  readonly byLearner: boolean;
  /** IP address; missing for the command line. */
  readonly address?: string;
  /** The learner it was about; without a name once erased. */
  readonly learner?: { readonly id: string; readonly name?: string };
  /** What else it was about: a drive, a standard, an account, by its id. */
  readonly subject?: string;
  /** Its name, where it is an account. */
  readonly subjectName?: string;
  /** Fields that changed, or how many things were sent. */
  readonly detail?: string;
}

/** What the trail holds besides the routes that write. */
export const auditExtras = ['refusedSignIn', 'sawPrivateNotes', 'recoverAccount', 'carBeganRun'] as const;
export type AuditExtra = (typeof auditExtras)[number];

export interface AuditPage {
  readonly lines: readonly AuditLine[];
  /** Send it as `before` to go on; missing at the end. */
  readonly next?: number;
}

/** How the trail can be narrowed. */
export const auditFilters = ['from', 'to', 'account', 'learner', 'action', 'before'] as const;

/** Begins the detail of events that were sent after their drive had ended: the kinds and their numbers follow. */
export const afterEndMark = 'after-end ';
