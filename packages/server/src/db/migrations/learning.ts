import type { Kysely, Migration } from 'kysely';

/** Safety questions, learners’ own sign-in, lessons, the figures of a school. */
export const learning: Readonly<Record<string, Migration>> = {
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
};
