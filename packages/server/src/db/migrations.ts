import { sql, type ColumnDefinitionBuilder, type Kysely, type Migration } from 'kysely';

/** Migrations by name, in order; one that has been released never changes. */
export const migrations: Readonly<Record<string, Migration>> = {
  '0001-schools-learners-drives': {
    async up(db: Kysely<unknown>) {
      const now = sql`(strftime('%Y-%m-%dT%H:%M:%fZ', 'now'))`;
      await db.schema
        .createTable('schools')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('created_at', 'text', (c) => c.notNull().defaultTo(now))
        .execute();
      await db.schema
        .createTable('accounts')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('email', 'text', (c) => c.notNull().unique())
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('role', 'text', (c) => c.notNull().check(sql`role in ('lead', 'instructor')`))
        .addColumn('password_hash', 'text', (c) => c.notNull())
        .addColumn('created_at', 'text', (c) => c.notNull().defaultTo(now))
        .execute();
      await db.schema
        .createTable('sessions')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.references('accounts.id').onDelete('cascade'))
        .addColumn('data', 'text', (c) => c.notNull())
        .addColumn('expires_ms', 'integer', (c) => c.notNull())
        .execute();
      await db.schema
        .createTable('standards')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('created_at', 'text', (c) => c.notNull().defaultTo(now))
        .addPrimaryKeyConstraint('standards_key', ['school_id', 'id', 'version'])
        .execute();
      await db.schema
        .createTable('learners')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('email', 'text')
        .addColumn('phone', 'text')
        .addColumn('transmission', 'text', (c) => c.notNull())
        .addColumn('standard_id', 'text', (c) => c.notNull())
        .addColumn('test_date', 'text')
        .addColumn('test_centre', 'text')
        .addColumn('notes', 'text')
        .addColumn('archived_at', 'text')
        .addColumn('created_at', 'text', (c) => c.notNull())
        .addColumn('updated_at', 'text', (c) => c.notNull())
        .execute();
      await db.schema.createIndex('learners_by_school').on('learners').columns(['school_id', 'name']).execute();
      await db.schema
        .createTable('drives')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('standard_id', 'text', (c) => c.notNull())
        .addColumn('standard_version', 'integer', (c) => c.notNull())
        .addColumn('started_at', 'text', (c) => c.notNull())
        .addColumn('digest', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('drives_key', ['school_id', 'id'])
        .addForeignKeyConstraint('drives_standard', ['school_id', 'standard_id', 'standard_version'], 'standards', [
          'school_id',
          'id',
          'version',
        ])
        .execute();
      await db.schema
        .createIndex('drives_by_learner')
        .on('drives')
        .columns(['school_id', 'learner_id', 'started_at'])
        .execute();
      await db.schema
        .createTable('events')
        .addColumn('school_id', 'text', (c) => c.notNull())
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('received_at', 'text', (c) => c.notNull().defaultTo(now))
        .addPrimaryKeyConstraint('events_key', ['school_id', 'drive_id', 'id'])
        .addForeignKeyConstraint('events_drive', ['school_id', 'drive_id'], 'drives', ['school_id', 'id'])
        .execute();
    },
  },
  '0002-drafts-sheets': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('standard_drafts')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('saved_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('standard_drafts_key', ['school_id', 'id'])
        .execute();
      await db.schema
        .createTable('retired_standards')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('retired_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('retired_standards_key', ['school_id', 'id'])
        .execute();
      await db.schema
        .createTable('sheets')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('standard_id', 'text', (c) => c.notNull())
        .addColumn('standard_version', 'integer', (c) => c.notNull())
        .addColumn('date', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('sheets_key', ['school_id', 'id'])
        .addForeignKeyConstraint('sheets_standard', ['school_id', 'standard_id', 'standard_version'], 'standards', [
          'school_id',
          'id',
          'version',
        ])
        .execute();
      await db.schema
        .createIndex('sheets_by_learner')
        .on('sheets')
        .columns(['school_id', 'learner_id', 'date'])
        .execute();
    },
  },
  '0003-clocks-shares': {
    async up(db: Kysely<unknown>) {
      await db.schema.alterTable('drives').addColumn('clock_ms', 'integer').execute();
      await db.schema.alterTable('drives').addColumn('clock_at', 'text').execute();
      await db.schema
        .createTable('shares')
        .addColumn('token_hash', 'text', (c) => c.primaryKey())
        .addColumn('id', 'text', (c) => c.notNull().unique())
        .addColumn('school_id', 'text', (c) => c.notNull())
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('created_at', 'text', (c) => c.notNull())
        .addColumn('expires_at', 'text', (c) => c.notNull())
        .addColumn('revoked_at', 'text')
        .addForeignKeyConstraint('shares_drive', ['school_id', 'drive_id'], 'drives', ['school_id', 'id'])
        .execute();
      await db.schema.createIndex('shares_by_drive').on('shares').columns(['school_id', 'drive_id']).execute();
    },
  },
  '0004-checks-learner-access': {
    async up(db: Kysely<unknown>) {
      await db.schema.alterTable('sessions').addColumn('learner_id', 'text').execute();
      await db.schema.alterTable('learners').addColumn('vehicle_id', 'text').execute();
      for (const table of ['check_questions', 'vehicles']) {
        await db.schema
          .createTable(table)
          .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
          .addColumn('id', 'text', (c) => c.notNull())
          .addColumn('version', 'integer', (c) => c.notNull())
          .addColumn('body', 'text', (c) => c.notNull())
          .addColumn('retired', 'integer', (c) => c.notNull())
          .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
          .addColumn('created_at', 'text', (c) => c.notNull())
          .addPrimaryKeyConstraint(`${table}_key`, ['school_id', 'id', 'version'])
          .execute();
      }
      await db.schema
        .createTable('reviews')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('received_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('reviews_key', ['school_id', 'learner_id', 'id'])
        .execute();
      await db.schema
        .createTable('access_codes')
        .addColumn('code_hash', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('expires_at', 'text', (c) => c.notNull())
        .execute();
    },
  },
  '0005-lessons': {
    async up(db: Kysely<unknown>) {
      await db.schema.alterTable('accounts').addColumn('free_hours', 'text').execute();
      await db.schema
        .createTable('lessons')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('start', 'text', (c) => c.notNull())
        .addColumn('minutes', 'integer', (c) => c.notNull())
        .addColumn('goals', 'text', (c) => c.notNull())
        .addColumn('cancelled', 'integer', (c) => c.notNull())
        .addColumn('sequence', 'integer', (c) => c.notNull())
        .addColumn('updated_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('lessons_key', ['school_id', 'id'])
        .execute();
    },
  },
  '0006-digest-version': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .alterTable('drives')
        .addColumn('digest_version', 'integer', (c) => c.notNull().defaultTo(0))
        .execute();
    },
  },
  '0007-school-figures': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('school_figures')
        .addColumn('school_id', 'text', (c) => c.primaryKey().references('schools.id'))
        .addColumn('basis', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('made_at', 'text', (c) => c.notNull())
        .execute();
    },
  },
  '0008-people-audit': {
    async up(db: Kysely<unknown>) {
      const fromZero = (c: ColumnDefinitionBuilder) => c.notNull().defaultTo(0);
      await db.schema.alterTable('schools').addColumn('place', 'text').execute();
      await db.schema
        .alterTable('schools')
        .addColumn('time_zone', 'text', (c) => c.notNull().defaultTo('Etc/UTC'))
        .execute();
      for (const column of ['require_factor', 'version'])
        await db.schema.alterTable('schools').addColumn(column, 'integer', fromZero).execute();
      await db.schema.alterTable('schools').addColumn('keep_months', 'integer').execute();
      await db.schema.alterTable('schools').addColumn('closed_at', 'text').execute();
      for (const column of ['disabled_at', 'factor_secret', 'factor_pending'])
        await db.schema.alterTable('accounts').addColumn(column, 'text').execute();
      for (const column of ['factor_step', 'hours_version'])
        await db.schema.alterTable('accounts').addColumn(column, 'integer', fromZero).execute();
      await db.schema.alterTable('learners').addColumn('instructor_id', 'text').execute();
      for (const column of ['version', 'plan_version'])
        await db.schema.alterTable('learners').addColumn(column, 'integer', fromZero).execute();
      // Until now whoever drove with a learner last taught them.
      await sql`update learners set instructor_id = (
        select account_id from drives where drives.learner_id = learners.id order by started_at desc limit 1
      )`.execute(db);
      await db.schema.alterTable('sheets').addColumn('version', 'integer', fromZero).execute();
      await db.schema
        .createTable('recovery_codes')
        .addColumn('code_hash', 'text', (c) => c.notNull())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addPrimaryKeyConstraint('recovery_codes_key', ['account_id', 'code_hash'])
        .execute();
      await db.schema
        .createTable('password_links')
        .addColumn('token_hash', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('expires_at', 'text', (c) => c.notNull())
        .execute();
      // Keys of sign-ins are kept as digests from now on: everybody signs in once more.
      await db.schema.dropTable('sessions').execute();
      await db.schema
        .createTable('sessions')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text')
        .addColumn('account_id', 'text', (c) => c.references('accounts.id').onDelete('cascade'))
        .addColumn('learner_id', 'text')
        .addColumn('data', 'text', (c) => c.notNull())
        .addColumn('device', 'text', (c) => c.notNull())
        .addColumn('address', 'text', (c) => c.notNull())
        .addColumn('created_ms', 'integer', (c) => c.notNull())
        .addColumn('seen_ms', 'integer', (c) => c.notNull())
        .addColumn('expires_ms', 'integer', (c) => c.notNull())
        .execute();
      await db.schema
        .createTable('audit')
        .addColumn('id', 'integer', (c) => c.primaryKey().autoIncrement())
        .addColumn('school_id', 'text', (c) => c.notNull())
        .addColumn('at', 'text', (c) => c.notNull())
        .addColumn('action', 'text', (c) => c.notNull())
        .addColumn('account_id', 'text')
        .addColumn('learner_id', 'text')
        .addColumn('by_learner', 'integer', (c) => c.notNull())
        .addColumn('subject', 'text')
        .addColumn('detail', 'text')
        .addColumn('address', 'text')
        .execute();
      await db.schema.createIndex('audit_by_school').on('audit').columns(['school_id', 'id']).execute();
      // A line is never changed but for the pseudonym of a learner who was erased, and not taken out for a year.
      await sql`create trigger audit_stays before update of id, school_id, at, action, account_id, by_learner, address
        on audit begin select raise(abort, 'the audit trail does not change'); end`.execute(db);
      await sql`create trigger audit_is_kept before delete on audit
        when old.at > strftime('%Y-%m-%dT%H:%M:%fZ', 'now', '-365 days')
          and exists (select 1 from schools where id = old.school_id and closed_at is null)
        begin select raise(abort, 'the audit trail is kept'); end`.execute(db);
      await db.schema
        .createTable('estimates')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('basis', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('made_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('estimates_key', ['school_id', 'learner_id'])
        .execute();
      await db.schema
        .createTable('erasures')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('at', 'text', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull())
        .addColumn('drive_ids', 'text', (c) => c.notNull())
        .addColumn('counts', 'text', (c) => c.notNull())
        .execute();
      await db.schema.createIndex('drives_by_start').on('drives').columns(['school_id', 'started_at']).execute();
      await db.schema.createIndex('drives_to_digest').on('drives').columns(['digest_version']).execute();
      await db.schema
        .createIndex('lessons_by_learner')
        .on('lessons')
        .columns(['school_id', 'learner_id', 'start'])
        .execute();
      await db.schema
        .createIndex('lessons_by_account')
        .on('lessons')
        .columns(['school_id', 'account_id', 'start'])
        .execute();
    },
  },
  '0009-jobs': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('jobs')
        .addColumn('id', 'integer', (c) => c.primaryKey().autoIncrement())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('kind', 'text', (c) => c.notNull())
        .addColumn('subject', 'text', (c) => c.notNull())
        .addColumn('queued_at', 'text', (c) => c.notNull())
        .addColumn('due_at', 'text', (c) => c.notNull())
        .addColumn('started_at', 'text')
        .addColumn('again', 'integer', (c) => c.notNull().defaultTo(0))
        .addColumn('failures', 'integer', (c) => c.notNull().defaultTo(0))
        .addColumn('error', 'text')
        .addUniqueConstraint('jobs_key', ['school_id', 'kind', 'subject'])
        .execute();
    },
  },
  '0010-roads-and-routes': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('roads')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('file', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        .addColumn('added_at', 'text', (c) => c.notNull())
        .addColumn('state', 'text', (c) => c.notNull().check(sql`state in ('reading', 'ready', 'failed')`))
        .addColumn('progress', 'integer', (c) => c.notNull())
        .addColumn('problem', 'text')
        .addColumn('summary', 'text')
        // The ways as JSON, gzipped.
        .addColumn('ways', 'blob')
        .addUniqueConstraint('roads_version', ['school_id', 'name', 'version'])
        .execute();
      await db.schema
        .createTable('driving_routes')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('roads_id', 'text', (c) => c.notNull().references('roads.id'))
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        .addColumn('changed_at', 'text', (c) => c.notNull())
        .execute();
      await db.schema
        .createTable('road_notes')
        .addColumn('id', 'text', (c) => c.primaryKey())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('lat', 'real', (c) => c.notNull())
        .addColumn('lon', 'real', (c) => c.notNull())
        .addColumn('text', 'text', (c) => c.notNull())
        .addColumn('review_by', 'text', (c) => c.notNull())
        .addColumn('written_at', 'text', (c) => c.notNull())
        .execute();
    },
  },
  '0011-route-shares': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('route_shares')
        .addColumn('token_hash', 'text', (c) => c.primaryKey())
        .addColumn('id', 'text', (c) => c.notNull().unique())
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('route_id', 'text', (c) => c.notNull().references('driving_routes.id').onDelete('cascade'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('created_at', 'text', (c) => c.notNull())
        .addColumn('expires_at', 'text', (c) => c.notNull())
        .addColumn('revoked_at', 'text')
        .execute();
    },
  },
  '0012-call-timing-and-notes-along': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('call_timing')
        .addColumn('school_id', 'text', (c) => c.primaryKey().references('schools.id'))
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        .execute();
      // A note may be about the whole stretch of road it lies on.
      await db.schema
        .alterTable('road_notes')
        .addColumn('along', 'integer', (c) => c.notNull().defaultTo(0))
        .execute();
    },
  },
  '0013-traces-and-places': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('traces')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull().references('learners.id'))
        .addColumn('account_id', 'text', (c) => c.notNull().references('accounts.id'))
        .addColumn('source', 'text', (c) => c.notNull())
        .addColumn('state', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        // Added to the times of the fixes; null while what the stops of the drive say is taken.
        .addColumn('offset_ms', 'integer')
        .addColumn('trim_start', 'integer', (c) => c.notNull())
        .addColumn('trim_end', 'integer', (c) => c.notNull())
        .addColumn('created_at', 'text', (c) => c.notNull())
        .addColumn('roads_id', 'text')
        // What it says as JSON, gzipped.
        .addColumn('reading', 'blob')
        .addColumn('reading_version', 'integer', (c) => c.notNull().defaultTo(0))
        // Metres by stretch, and what was lost at junctions, as JSON.
        .addColumn('driven', 'text')
        .addColumn('delays', 'text')
        .addPrimaryKeyConstraint('traces_key', ['school_id', 'drive_id'])
        .execute();
      await db.schema
        .createTable('trace_pieces')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('fixes', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('trace_pieces_key', ['school_id', 'drive_id', 'id'])
        .execute();
      await db.schema
        .createTable('places')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('sort', 'text', (c) => c.notNull())
        .addColumn('turn', 'text')
        .addColumn('from_road', 'text')
        .addColumn('onto_road', 'text')
        .addColumn('lat', 'real', (c) => c.notNull())
        .addColumn('lon', 'real', (c) => c.notNull())
        .addPrimaryKeyConstraint('places_key', ['school_id', 'id'])
        .execute();
      await db.schema
        .createTable('passes')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('place_id', 'text', (c) => c.notNull())
        .addColumn('passes', 'integer', (c) => c.notNull())
        .addColumn('faults', 'integer', (c) => c.notNull())
        // All of the drive: its faults are expected at its places in proportion to the passes.
        .addColumn('drive_passes', 'integer', (c) => c.notNull())
        .addColumn('drive_faults', 'integer', (c) => c.notNull())
        .addColumn('learner_id', 'text', (c) => c.notNull())
        .addColumn('account_id', 'text', (c) => c.notNull())
        .addColumn('at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('passes_key', ['school_id', 'drive_id', 'place_id'])
        .execute();
      await db.schema
        .createTable('marks_on_road')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('mark_id', 'text', (c) => c.notNull())
        .addColumn('at_ms', 'integer', (c) => c.notNull())
        .addColumn('behaviour', 'text', (c) => c.notNull())
        .addColumn('area', 'text', (c) => c.notNull())
        .addColumn('severity', 'text')
        .addColumn('place_id', 'text')
        .addColumn('lat', 'real', (c) => c.notNull())
        .addColumn('lon', 'real', (c) => c.notNull())
        .addColumn('piece', 'integer', (c) => c.notNull())
        .addColumn('metres', 'real', (c) => c.notNull())
        .addColumn('within', 'real', (c) => c.notNull())
        .addPrimaryKeyConstraint('marks_on_road_key', ['school_id', 'drive_id', 'mark_id'])
        .execute();
      await db.schema
        .createIndex('marks_on_road_by_place')
        .on('marks_on_road')
        .columns(['school_id', 'place_id'])
        .execute();
      // With all that the page of places asks, so that it reads nothing else.
      await db.schema
        .createIndex('passes_by_place')
        .on('passes')
        .columns([
          'school_id',
          'place_id',
          'at',
          'learner_id',
          'account_id',
          'passes',
          'faults',
          'drive_passes',
          'drive_faults',
        ])
        .execute();
    },
  },
  '0014-dropped-traces': {
    async up(db: Kysely<unknown>) {
      await db.schema.alterTable('drives').addColumn('trace_dropped_at', 'text').execute();
    },
  },
  '0015-yard-runs': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('yard_cars')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('token_hash', 'text', (c) => c.notNull().unique())
        .addColumn('created_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('yard_cars_key', ['school_id', 'id'])
        .execute();
      await db.schema
        .createTable('yard_runs')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('source', 'text', (c) => c.notNull())
        .addColumn('columns', 'text', (c) => c.notNull())
        .addColumn('samples', 'integer', (c) => c.notNull())
        .addColumn('started_at', 'text', (c) => c.notNull())
        .addColumn('seen_at', 'text', (c) => c.notNull())
        .addColumn('standard_id', 'text')
        .addColumn('car_id', 'text')
        .addColumn('account_id', 'text')
        .addColumn('learner_id', 'text')
        .addColumn('drive_id', 'text')
        .addPrimaryKeyConstraint('yard_runs_key', ['school_id', 'id'])
        .execute();
      await db.schema
        .createTable('yard_rows')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('run_id', 'text', (c) => c.notNull())
        .addColumn('from_row', 'integer', (c) => c.notNull())
        .addColumn('rows', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('yard_rows_key', ['school_id', 'run_id', 'from_row'])
        .execute();
    },
  },
  '0016-kept-wheels': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('kept_wheels')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('id', 'text', (c) => c.notNull())
        .addColumn('kind', 'text', (c) => c.notNull())
        .addColumn('name', 'text', (c) => c.notNull())
        .addColumn('body', 'text', (c) => c.notNull())
        .addColumn('kept_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('kept_wheels_key', ['school_id', 'id'])
        .execute();
    },
  },
};
