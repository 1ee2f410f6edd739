/** What a template is called in code, by its file. */
const nameOf = (file: string): string => file.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/**
 * The list of the templates that ship, as the text of `templates.ts`: every file of the folder, in the order the list
 * has already, new ones last.
 * @param now the text as it is
 * @param inFolder the names of the files
 */
export function templatesText(now: string, inFolder: readonly string[]): string {
  const files = inFolder.map((file) => file.replace(/\.ts$/, '')).sort();
  const placeOf = (file: string): number => {
    const place = now.indexOf(`\n  ${nameOf(file)},\n`);
    return place < 0 ? Infinity : place;
  };
  const imports = files.map((file) => `import { ${nameOf(file)} } from './templates/${file}';\n`).join('');
  const listed = files.toSorted((a, b) => placeOf(a) - placeOf(b) || a.localeCompare(b));
  const list = listed.map((file) => `  ${nameOf(file)},\n`).join('');
  return `import type { Standard } from './standard';\n${imports}\n/** The standards the product ships, each a file of data. Made from their folder by \`npm run templates\`, which keeps the order they stand in. */\nexport const templates: readonly Standard[] = [\n${list}];\n`;
}
