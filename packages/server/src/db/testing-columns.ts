import Libsql from 'libsql';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import { migrations } from './migrations/migrations';

interface Column {
  readonly name: string;
  readonly type: string;
  readonly notnull: 0 | 1;
  readonly dflt_value: string | null;
  readonly pk: number;
}

/** The columns of every table as the migrations leave them, as the text of `columns.ts`. */
export async function columnsText(): Promise<string> {
  const file = new Libsql(':memory:');
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: file }) });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
  const { error } = await migrator.migrateToLatest();
  if (error) throw error instanceof Error ? error : new Error('The migrations failed.');
  const tables = (await db.introspection.getTables()).map(({ name }) => name).sort();
  const parts = tables.map((table) => {
    const columns = file.prepare('select * from pragma_table_info(?)').all([table]) as Column[];
    return `  ${table}: {\n${columns.map(lineOf).join('')}  };\n`;
  });
  await db.destroy();
  return `import type { Generated } from 'kysely';\n\n/** Made from the migrations by \`npm run tables\`; a test sees to it that it is what they leave. */\nexport interface Columns {\n${parts.join('')}}\n`;
}

function lineOf({ name, type, notnull, dflt_value: byDefault, pk }: Column): string {
  const value = { text: 'string', integer: 'number', real: 'number', blob: 'Uint8Array' }[type.toLowerCase()];
  if (!value) throw new Error(`There is no type for "${type}".`);
  // SQLite numbers the rows of a table whose key is one whole number by itself.
  const given = byDefault !== null || (pk > 0 && value === 'number' && name === 'id');
  if (given) return `    ${name}: Generated<${value}>;\n`;
  return `    ${name}: ${value}${notnull || pk > 0 ? '' : ' | null'};\n`;
}
