import type { Kysely, Migration } from 'kysely';

/** What is kept, for how long, and what may not come back. */
export const keeping: Readonly<Record<string, Migration>> = {
  '0017-withdrawals': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('withdrawals')
        .addColumn('id', 'text', (c) => c.notNull().primaryKey())
        // Of a school that was closed as well: it outlives its row.
        .addColumn('school_id', 'text', (c) => c.notNull())
        .addColumn('kind', 'text', (c) => c.notNull())
        .addColumn('subject', 'text', (c) => c.notNull())
        .addColumn('at', 'text', (c) => c.notNull())
        .execute();
    },
  },
  '0018-figures-summary': {
    async up(db: Kysely<unknown>) {
      await db.schema.alterTable('school_figures').addColumn('summary', 'text').execute();
    },
  },
  '0019-note-phrases': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('note_phrases')
        .addColumn('school_id', 'text', (c) => c.primaryKey().references('schools.id'))
        .addColumn('phrases', 'text', (c) => c.notNull())
        .addColumn('version', 'integer', (c) => c.notNull())
        .execute();
    },
  },
  '0020-pin-voices': {
    async up(db: Kysely<unknown>) {
      await db.schema
        .createTable('pin_voices')
        .addColumn('school_id', 'text', (c) => c.notNull().references('schools.id'))
        .addColumn('drive_id', 'text', (c) => c.notNull())
        .addColumn('pin_id', 'text', (c) => c.notNull())
        .addColumn('type', 'text', (c) => c.notNull())
        .addColumn('audio', 'text', (c) => c.notNull())
        .addColumn('said_at', 'text', (c) => c.notNull())
        .addPrimaryKeyConstraint('pin_voices_key', ['school_id', 'drive_id', 'pin_id'])
        .execute();
    },
  },
};
