import { sql, type Kysely, type Migration } from 'kysely';

/** Jobs, roads, routes, traces and places. */
export const roads: Readonly<Record<string, Migration>> = {
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
};
