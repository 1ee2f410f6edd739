import { createHash } from 'node:crypto';
import { templates } from '../templates';
import { shippedVersion } from './versions';

/** SHA-256 of each version as it shipped, of its text as JSON: the first sixteen digits. */
const shipped: Readonly<Record<string, string>> = {
  'tally 2': '96927d614bacce3b',
  'tally 3': 'c5369e406cfc342d',
  'tally 4': 'b66b3c7d43ad4e2d',
  'graded 2': '6fd01c28636f06b8',
  'graded 3': '87cb098d632f7dcf',
  'graded 4': '3d1c705dfca67131',
  'minor-major 2': '59a5cd75a59f8c09',
  'minor-major 3': 'eae0c67b07c594d1',
  'points-off 2': 'a9875fdde90ed082',
  'points-off 3': '8b8e0511fd00fc74',
  'points-off 4': '2aba1f3d97291725',
  'strikes 2': '7642acf6f6539178',
  'strikes 3': 'e00b4604de75457c',
  'strikes 4': 'dd15b020ce13c1ff',
  'timed-yard 2': '2bc4529ea46002c5',
  'timed-yard 3': '5f1d8ab40d9f0ec7',
  'timed-yard 4': '7a376c1a7e0bbe91',
  'attempts-yard 2': '71e0e836326e7f37',
  'attempts-yard 3': '6319b9e814c13794',
  'attempts-yard 4': '2e0ec0af07841c05',
  'attempts-yard 5': 'da4a6f031117decb',
  'reversing-area 2': '805c484bf9dcd31e',
  'reversing-area 3': '90a1feff8b910986',
  'reversing-area 4': '9051d71f1e590394',
  'sequence-checklist 2': '8078b4962e8b9d3f',
  'sequence-checklist 3': '892d21e0ed0e6231',
  'sequence-checklist 4': '0d54becbeec4755b',
};

const digest = (value: unknown) => createHash('sha256').update(JSON.stringify(value)).digest('hex').slice(0, 16);

describe('a version that shipped', () => {
  it.each(Object.entries(shipped))('never changes: %s', (name, hash) => {
    const [id, version] = name.split(' ');
    const standard = shippedVersion(id!, Number(version));
    expect(standard).toBeDefined();
    expect(digest(standard)).toBe(hash);
  });

  it('is there for every number from the second on', () => {
    for (const { id, version } of templates)
      for (let one = 2; one <= version; one++) expect(`${id} ${shippedVersion(id, one)?.version}`).toBe(`${id} ${one}`);
  });
});
