import type { Role } from '@jasperwren/contract/accounts';
import type { Transmission } from '@jasperwren/contract/learners';

/** The tables, as Kysely sees them. Times are RFC 3339 texts in UTC; bodies are JSON texts. */
export interface Tables {
  schools: { id: string; name: string; created_at: string };
  accounts: {
    id: string;
    school_id: string;
    email: string;
    name: string;
    role: Role;
    password_hash: string;
    created_at: string;
  };
  sessions: { id: string; school_id: string | null; account_id: string | null; data: string; expires_ms: number };
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
    archived_at: string | null;
    created_at: string;
    updated_at: string;
  };
  drives: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    standard_id: string;
    standard_version: number;
    started_at: string;
    /** What follows from the log, kept so that lists need not fold it again; rewritten with every batch. */
    digest: string;
  };
  events: { school_id: string; drive_id: string; id: string; account_id: string; body: string; received_at: string };
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
  };
}
