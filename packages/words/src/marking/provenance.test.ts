import { provenanceWords, sourcedWords } from './provenance';

it('says where a number comes from, with its source where there is one', () => {
  expect(provenanceWords({ kind: 'common practice' })).toBe('Common practice');
  expect(provenanceWords({ kind: 'published', source: 'a handbook, rule 7' })).toBe('Published: a handbook, rule 7');
  expect(provenanceWords({ kind: 'from memory' })).toBe('From memory (unverified)');
});

it('reads what earlier versions said of a number of the school', () => {
  const words = 'Set by your school';
  expect(provenanceWords({ kind: 'set by the school' })).toBe(words);
  expect(provenanceWords({ kind: 'house default', source: 'Set by the school.' })).toBe(words);
  expect(provenanceWords({ kind: 'house default', source: 'Half of ten.' })).toBe('Jasperwren default: Half of ten.');
  expect(sourcedWords({ value: 2, provenance: { kind: 'set by the school' } })).toBe(`2 (${words})`);
});
