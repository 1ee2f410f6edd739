import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const here = path.join(process.cwd(), 'packages/web/src');
const parts = readdirSync(here, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.tsx'));

/** Classes that a part takes from a stylesheet which has none of that name; nothing tells but the eye. */
function missingIn(part: string): readonly string[] {
  const text = readFileSync(path.join(here, part), 'utf8');
  const body = text.replace(/^import .*$/gm, '');
  return [...text.matchAll(/import (\w+) from '([./\w-]+\.module\.css)';/g)].flatMap(([, name = '', file = '']) => {
    const css = readFileSync(path.join(here, path.dirname(part), file), 'utf8');
    const used = new Set([...body.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))].map(([, one]) => one!));
    return [...used].filter((one) => !new RegExp(`\\.${one}\\b`).test(css)).map((one) => `${part}: ${file} .${one}`);
  });
}

describe('the stylesheets', () => {
  it('have every class that a part asks of them', () => {
    expect(parts.length).toBeGreaterThan(150);
    expect(parts.flatMap(missingIn)).toEqual([]);
  });
});
