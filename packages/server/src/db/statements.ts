import type { SqliteDatabase, SqliteStatement } from 'kysely';
import type Libsql from 'libsql';
import { LRUCache } from 'lru-cache';

/** The same few hundred queries are asked again and again. */
const mostKept = 400;

/**
 * A database that prepares each query once. A transaction asks for the right to write at its beginning: one that read
 * first could not get it any more where another process has written meanwhile.
 */
export function withStatements(file: Libsql.Database): SqliteDatabase {
  const kept = new LRUCache<string, SqliteStatement>({ max: mostKept });
  return {
    prepare(sql) {
      const known = kept.get(sql);
      if (known) return known;
      const fresh = file.prepare(sql === 'begin' ? 'begin immediate' : sql) as unknown as SqliteStatement;
      kept.set(sql, fresh);
      return fresh;
    },
    close: () => void file.close(),
  };
}
