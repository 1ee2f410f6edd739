import { sql, type ColumnDefinitionBuilder, type Kysely, type Migration } from 'kysely';

/** Accounts, what they may do and what they did. */
export const people: Readonly<Record<string, Migration>> = {
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
};
