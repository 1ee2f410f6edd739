import type { Drive } from '@jasperwren/core/drive/drive';
import { effective } from '@jasperwren/core/marking/options';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { templates } from '@jasperwren/core/marking/templates';
import { judgeUnder, type Compared } from '@jasperwren/core/marking/compare/translate';
import { unsaidWords } from '@jasperwren/words/compare';
import { verdictDetail } from '@jasperwren/words/marking/verdict';

/** A drive under its own standard and all others, its own first. */
export function judgeUnderAll(own: EffectiveStandard, drive: Drive): readonly Compared[] {
  return [own, ...templates.filter(({ id }) => id !== own.id).map(effective)].map((standard) =>
    judgeUnder(own, standard, drive),
  );
}

/** The comparison as a table of plain text. */
export function comparisonTable(compared: readonly Compared[]): readonly string[] {
  const rows = compared.map(({ standard, verdict, translations }) => {
    const without = translations.filter((entry) => 'why' in entry).length;
    return [
      standard.name,
      verdict.outcome,
      `${translations.length - without} of ${translations.length}`,
      verdictDetail(standard, verdict),
    ];
  });
  const head = ['Standard', 'Verdict', 'Marks judged', 'Because'];
  const widths = head.map((title, i) => Math.max(title.length, ...rows.map((row) => row[i]!.length)));
  const line = (cells: readonly string[]) =>
    cells
      .map((cell, i) => cell.padEnd(widths[i]!))
      .join('  ')
      .trimEnd();
  return [line(head), line(widths.map((width) => '-'.repeat(width))), ...rows.map(line)];
}

/** What an outcome under another standard rests on besides its limits: how grades were read and what was left out. */
export function translationNotes({ standard, grades, translations, unsaid }: Compared): readonly string[] {
  const without = translations.filter((entry) => 'why' in entry).length;
  return [
    ...(unsaid ? unsaidWords(unsaid).map((words) => words.replace(/\.$/, '')) : []),
    ...grades
      .filter(({ from, to }) => to === 'none' || from.name !== to.name)
      .map(({ from, to, marks }) =>
        to === 'none'
          ? `${marks} x ${from.name}: ${standard.name} has nothing as mild`
          : `${marks} x ${from.name} read as ${to.name}`,
      ),
    ...severalFits(translations),
    ...(without > 0 ? [`${without} of ${translations.length} marks have no place under ${standard.name}`] : []),
  ];
}

/** Marks that fit several items of the other standard: one of them was chosen. */
function severalFits(translations: Compared['translations']): readonly string[] {
  const several = translations.filter((entry) => 'fits' in entry && entry.fits > 1).length;
  return several === 0 ? [] : [`${several} x fits several items there: one of them was taken`];
}
