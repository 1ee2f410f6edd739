import { sql, type Kysely, type Migration } from 'kysely';

/** Learners, standards, drives and what comes of them. */
export const marking: Readonly<Record<string, Migration>> = {
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
};
