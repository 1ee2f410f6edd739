import { RoadsError, type RoadsProblem } from '@jasperwren/roads/problem';
import { restrictionProblem, roadsProblem } from './problems';

const problems: readonly (readonly [RoadsProblem, string])[] = [
  [{ code: 'empty' }, 'The file is empty.'],
  [{ code: 'tooLarge', megabytes: 160 }, 'The file is larger than 160 MB. Cut it down to the area you drive in.'],
  [
    { code: 'badXml', line: 3, column: 9, detail: 'a tag is open' },
    'Line 3, column 9: not well-formed XML (a tag is open).',
  ],
  [{ code: 'otherRoot', line: 2, root: 'gpx', wanted: 'osm' }, 'Line 2: the file begins with <gpx>, not with <osm>.'],
  [{ code: 'noWay' }, 'No legal way leads there.'],
  [{ code: 'notOnRoads', metres: 200, end: 'from' }, 'There is no road within 200 m of the start.'],
  [{ code: 'notOnRoads', metres: 200, end: 'to' }, 'There is no road within 200 m of the end.'],
  [{ code: 'notOnRoads', metres: 200 } as RoadsProblem, 'There is no road within 200 m of this place.'],
];

it.each(problems)('%j says what is wrong and where', (problem, sentence) => {
  expect(roadsProblem(problem)).toBe(sentence);
  expect(roadsProblem(new RoadsError(problem).problem)).toBe(sentence);
});

it('leaves no hole open in any sentence that has some', () => {
  const filled = {
    megabytes: 1,
    byte: 1,
    encoding: 'UTF-16',
    line: 1,
    column: 1,
    detail: 'd',
    open: 'way',
    root: 'gpx',
    wanted: 'osm',
    element: 'way',
    id: 7,
    found: 'Point',
    feature: 3,
    metres: 200,
  };
  for (const code of [
    'notUtf8',
    'otherEncoding',
    'cutShort',
    'documentType',
    'noId',
    'noPlace',
    'impossiblePlace',
    'idTwice',
    'tooDeep',
    'badJson',
    'notLines',
    'badFeature',
  ] as const)
    expect(roadsProblem({ ...filled, code } as unknown as RoadsProblem)).toMatch(/^[A-Z][^{}]*\.$/);
});

it('says of each restriction that is left out why', () => {
  const said = (
    ['exempt', 'other-vehicles', 'unknown-kind', 'member-missing', 'not-for-cars', 'not-joined'] as const
  ).map(restrictionProblem);
  expect(new Set(said).size).toBe(6);
  expect(said[0]).toBe('does not apply to cars');
});
