import type { Role } from '@jasperwren/contract/accounts';
import type { Transmission } from '@jasperwren/contract/learners';
import type { ColumnType, Generated } from 'kysely';

/** The tables, as Kysely sees them. Times are RFC 3339 texts in UTC; bodies are JSON texts. */
export interface Tables {
  schools: {
    id: string;
    name: string;
    place: string | null;
    /** Of the IANA time zone database. */
    time_zone: Generated<string>;
    require_factor: Generated<0 | 1>;
    /** Months after which archived learners are to be erased; null for never. */
    keep_months: number | null;
    version: Counter;
    /** Set while everything of the school is taken out. */
    closed_at: string | null;
    created_at: string;
  };
  accounts: {
    id: string;
    school_id: string;
    email: string;
    name: string;
    role: Role;
    password_hash: string;
    created_at: string;
    /** When this instructor gives lessons, as JSON; null where nobody said. */
    free_hours: string | null;
    hours_version: Counter;
    /** Set for somebody who has left: they cannot sign in. */
    disabled_at: string | null;
    /** Of the second factor, and of one that is being set up. */
    factor_secret: string | null;
    factor_pending: string | null;
    /** The half-minute of the last code that was taken: each is taken once. */
    factor_step: Counter;
  };
  recovery_codes: { code_hash: string; school_id: string; account_id: string };
  /** Links by which somebody chooses a password; the token itself is kept nowhere. */
  password_links: { token_hash: string; school_id: string; account_id: string; expires_at: string };
  sessions: {
    id: string;
    school_id: string | null;
    account_id: string | null;
    /** Set where a learner is signed in, who has no account. */
    learner_id: string | null;
    data: string;
    /** What the browser says it is. */
    device: string;
    address: string;
    created_ms: number;
    seen_ms: number;
    expires_ms: number;
  };
  /** Who did what when, and from where; it names nobody but by ids. */
  audit: {
    id: Generated<number>;
    school_id: string;
    at: string;
    action: string;
    account_id: string | null;
    learner_id: string | null;
    by_learner: 0 | 1;
    subject: string | null;
    detail: string | null;
    address: string | null;
  };
  /** The last estimate about each learner, and the digest of what it rests on. */
  estimates: { school_id: string; learner_id: string; basis: string; body: string; made_at: string };
  /** What was erased, so that devices forget it too: ids and numbers, no names. */
  erasures: { id: string; school_id: string; at: string; learner_id: string; drive_ids: string; counts: string };
  standards: { school_id: string; id: string; version: number; body: string; created_at: string };
  learners: {
    id: string;
    school_id: string;
    name: string;
    email: string | null;
    phone: string | null;
    transmission: Transmission;
    standard_id: string;
    test_date: string | null;
    test_centre: string | null;
    notes: string | null;
    vehicle_id: string | null;
    archived_at: string | null;
    created_at: string;
    updated_at: string;
    /** The account that teaches them. */
    instructor_id: string | null;
    version: Counter;
    /** Counts the changes of the lesson plan. */
    plan_version: Counter;
  };
  drives: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    standard_id: string;
    standard_version: number;
    started_at: string;
    /** The drive's clock in milliseconds when a device last sent, and the moment it was received. */
    clock_ms: number | null;
    clock_at: string | null;
    /** What follows from the log, kept so that lists need not fold it again; rewritten with every batch. */
    digest: string;
    /** The release of the summary that made the digest, see `digestVersion`. */
    digest_version: number;
  };
  /** What the drives of a school say about learners in general, and what it was fitted to. */
  school_figures: { school_id: string; basis: string; body: string; made_at: string };
  events: { school_id: string; drive_id: string; id: string; account_id: string; body: string; received_at: string };
  /** Links by which a learner reads a debrief; the token itself is kept nowhere. */
  shares: {
    token_hash: string;
    id: string;
    school_id: string;
    drive_id: string;
    account_id: string;
    created_at: string;
    expires_at: string;
    revoked_at: string | null;
  };
  standard_drafts: { school_id: string; id: string; body: string; saved_at: string };
  retired_standards: { school_id: string; id: string; retired_at: string };
  /** Sheets of real tests; the body holds centre, official result, notes and entries. */
  sheets: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    standard_id: string;
    standard_version: number;
    date: string;
    body: string;
    version: Counter;
  };
  /** A school's own questions and edits of shipped ones, every version. */
  lessons: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    /** Local time without a zone, `YYYY-MM-DDTHH:MM`. */
    start: string;
    minutes: number;
    goals: string;
    cancelled: 0 | 1;
    /** Counts the changes, for calendars. */
    sequence: number;
    updated_at: string;
  };
  check_questions: Versioned;
  vehicles: Versioned;
  reviews: { school_id: string; learner_id: string; id: string; body: string; received_at: string };
  /** Codes by which a learner signs in; a code is taken out when it is used. */
  access_codes: {
    code_hash: string;
    school_id: string;
    learner_id: string;
    account_id: string;
    expires_at: string;
  };
}

/** Starts at 0 and counts changes. */
type Counter = ColumnType<number, number | undefined, number>;

interface Versioned {
  school_id: string;
  id: string;
  version: number;
  body: string;
  retired: 0 | 1;
  account_id: string;
  created_at: string;
}
