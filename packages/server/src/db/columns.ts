import type { Generated } from 'kysely';

/** Made from the migrations by `npm run tables`; a test sees to it that it is what they leave. */
export interface Columns {
  access_codes: {
    code_hash: string;
    school_id: string;
    learner_id: string;
    account_id: string;
    expires_at: string;
  };
  accounts: {
    id: string;
    school_id: string;
    email: string;
    name: string;
    role: string;
    password_hash: string;
    created_at: Generated<string>;
    free_hours: string | null;
    disabled_at: string | null;
    factor_secret: string | null;
    factor_pending: string | null;
    factor_step: Generated<number>;
    hours_version: Generated<number>;
  };
  audit: {
    id: Generated<number>;
    school_id: string;
    at: string;
    action: string;
    account_id: string | null;
    learner_id: string | null;
    by_learner: number;
    subject: string | null;
    detail: string | null;
    address: string | null;
  };
  call_timing: {
    school_id: string;
    body: string;
    version: number;
  };
  check_questions: {
    school_id: string;
    id: string;
    version: number;
    body: string;
    retired: number;
    account_id: string;
    created_at: string;
  };
  drives: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    standard_id: string;
    standard_version: number;
    started_at: string;
    digest: string;
    clock_ms: number | null;
    clock_at: string | null;
    digest_version: Generated<number>;
    trace_dropped_at: string | null;
  };
  driving_routes: {
    id: string;
    school_id: string;
    account_id: string;
    roads_id: string;
    name: string;
    body: string;
    version: number;
    changed_at: string;
  };
  erasures: {
    id: string;
    school_id: string;
    at: string;
    learner_id: string;
    drive_ids: string;
    counts: string;
  };
  estimates: {
    school_id: string;
    learner_id: string;
    basis: string;
    body: string;
    made_at: string;
  };
  events: {
    school_id: string;
    drive_id: string;
    id: string;
    account_id: string;
    body: string;
    received_at: Generated<string>;
  };
  jobs: {
    id: Generated<number>;
    school_id: string;
    kind: string;
    subject: string;
    queued_at: string;
    due_at: string;
    started_at: string | null;
    again: Generated<number>;
    failures: Generated<number>;
    error: string | null;
  };
  kept_wheels: {
    school_id: string;
    id: string;
    kind: string;
    name: string;
    body: string;
    kept_at: string;
  };
  learners: {
    id: string;
    school_id: string;
    name: string;
    email: string | null;
    phone: string | null;
    transmission: string;
    standard_id: string;
    test_date: string | null;
    test_centre: string | null;
    notes: string | null;
    archived_at: string | null;
    created_at: string;
    updated_at: string;
    vehicle_id: string | null;
    instructor_id: string | null;
    version: Generated<number>;
    plan_version: Generated<number>;
  };
  lessons: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    start: string;
    minutes: number;
    goals: string;
    cancelled: number;
    sequence: number;
    updated_at: string;
  };
  marks_on_road: {
    school_id: string;
    drive_id: string;
    mark_id: string;
    at_ms: number;
    behaviour: string;
    area: string;
    severity: string | null;
    place_id: string | null;
    lat: number;
    lon: number;
    piece: number;
    metres: number;
    within: number;
  };
  note_phrases: {
    school_id: string;
    phrases: string;
    version: number;
  };
  passes: {
    school_id: string;
    drive_id: string;
    place_id: string;
    passes: number;
    faults: number;
    drive_passes: number;
    drive_faults: number;
    learner_id: string;
    account_id: string;
    at: string;
  };
  password_links: {
    token_hash: string;
    school_id: string;
    account_id: string;
    expires_at: string;
  };
  pin_voices: {
    school_id: string;
    drive_id: string;
    pin_id: string;
    type: string;
    audio: string;
    said_at: string;
  };
  places: {
    school_id: string;
    id: string;
    sort: string;
    turn: string | null;
    from_road: string | null;
    onto_road: string | null;
    lat: number;
    lon: number;
  };
  recovery_codes: {
    code_hash: string;
    school_id: string;
    account_id: string;
  };
  retired_standards: {
    school_id: string;
    id: string;
    retired_at: string;
  };
  reviews: {
    school_id: string;
    learner_id: string;
    id: string;
    body: string;
    received_at: string;
  };
  road_notes: {
    id: string;
    school_id: string;
    account_id: string;
    lat: number;
    lon: number;
    text: string;
    review_by: string;
    written_at: string;
    along: Generated<number>;
  };
  roads: {
    id: string;
    school_id: string;
    account_id: string;
    name: string;
    file: string;
    version: number;
    added_at: string;
    state: string;
    progress: number;
    problem: string | null;
    summary: string | null;
    ways: Uint8Array | null;
  };
  route_shares: {
    token_hash: string;
    id: string;
    school_id: string;
    route_id: string;
    account_id: string;
    created_at: string;
    expires_at: string;
    revoked_at: string | null;
  };
  school_figures: {
    school_id: string;
    basis: string;
    body: string;
    made_at: string;
    summary: string | null;
  };
  schools: {
    id: string;
    name: string;
    created_at: Generated<string>;
    place: string | null;
    time_zone: Generated<string>;
    require_factor: Generated<number>;
    version: Generated<number>;
    keep_months: number | null;
    closed_at: string | null;
  };
  sessions: {
    id: string;
    school_id: string | null;
    account_id: string | null;
    learner_id: string | null;
    data: string;
    device: string;
    address: string;
    created_ms: number;
    seen_ms: number;
    expires_ms: number;
  };
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
  sheets: {
    school_id: string;
    id: string;
    learner_id: string;
    account_id: string;
    standard_id: string;
    standard_version: number;
    date: string;
    body: string;
    version: Generated<number>;
  };
  standard_drafts: {
    school_id: string;
    id: string;
    body: string;
    saved_at: string;
  };
  standards: {
    school_id: string;
    id: string;
    version: number;
    body: string;
    created_at: Generated<string>;
  };
  trace_pieces: {
    school_id: string;
    drive_id: string;
    id: string;
    fixes: string;
  };
  traces: {
    school_id: string;
    drive_id: string;
    learner_id: string;
    account_id: string;
    source: string;
    state: string;
    version: number;
    offset_ms: number | null;
    trim_start: number;
    trim_end: number;
    created_at: string;
    roads_id: string | null;
    reading: Uint8Array | null;
    reading_version: Generated<number>;
    driven: string | null;
    delays: string | null;
  };
  vehicles: {
    school_id: string;
    id: string;
    version: number;
    body: string;
    retired: number;
    account_id: string;
    created_at: string;
  };
  withdrawals: {
    id: string;
    school_id: string;
    kind: string;
    subject: string;
    at: string;
  };
  yard_cars: {
    school_id: string;
    id: string;
    name: string;
    token_hash: string;
    created_at: string;
  };
  yard_rows: {
    school_id: string;
    run_id: string;
    from_row: number;
    rows: string;
  };
  yard_runs: {
    school_id: string;
    id: string;
    name: string;
    source: string;
    columns: string;
    samples: number;
    started_at: string;
    seen_at: string;
    standard_id: string | null;
    car_id: string | null;
    account_id: string | null;
    learner_id: string | null;
    drive_id: string | null;
  };
}
