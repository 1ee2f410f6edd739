import type { Kysely, Migration } from 'kysely';

/** Runs of cars with sensors, and what is kept of wheels. */
export const yard: Readonly<Record<string, Migration>> = {
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
