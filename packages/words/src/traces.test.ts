import type { RoadPlace } from '@jasperwren/core/places/passes';
import { detourWords, kindWords, leftOutWords, placeWords, shortWords, speedWords } from './traces';

const place = (more: Partial<RoadPlace>): RoadPlace => ({
  id: 'p',
  sort: 'turn',
  lat: 48,
  lon: -30,
  from: 'Fennel Row',
  onto: 'Lower Quay',
  ...more,
});

describe('a place', () => {
  it.each([
    [{ sort: 'roundabout', turn: 'right' }, 'Roundabout, right, Fennel Row to Lower Quay', 'Roundabouts, right'],
    [{ sort: 'mini', turn: 'back' }, 'Mini roundabout, back, Fennel Row to Lower Quay', 'Mini roundabouts, back'],
    [{ sort: 'turn', turn: 'left' }, 'Turn left, Fennel Row into Lower Quay', 'Turns left'],
    [{ sort: 'slip' }, 'Slip road, Fennel Row to Lower Quay', 'Slip roads'],
    [{ sort: 'turn-round' }, 'Turning round on Fennel Row', 'Turning round'],
    [{ sort: 'crossing-over' }, 'Straight over, Fennel Row to Lower Quay', 'Straight over junctions'],
    [{ sort: 'road' }, 'Along Lower Quay', 'Between junctions'],
  ] as const)('%j is named by its roads, and its kind in several', (more, name, kind) => {
    expect(placeWords(place(more))).toBe(name);
    expect(kindWords(place(more))).toBe(kind);
  });

  it('has a name also where its roads have none', () => {
    const { from: _, onto: __, ...bare } = place({ turn: 'left' });
    expect(placeWords(bare)).toMatch(/^Turn left, .+ into .+$/);
    expect(placeWords(bare)).not.toContain('undefined');
  });
});

describe('what was measured', () => {
  it('is said in the units of the roads', () => {
    expect([speedWords(48.28, 'miles'), speedWords(48.28, 'metric')]).toEqual(['30 mph', '48 km/h']);
    expect([shortWords(9.144, 'miles'), shortWords(9.144, 'metric')]).toEqual(['10 yards', '9 m']);
  });

  it('names each kind of position that was left out, and those that were sorted in', () => {
    const none = { untimed: 0, nowhere: 0, doubled: 0, jumped: 0 };
    expect(leftOutWords(none, 0)).toBe('');
    expect(leftOutWords({ ...none, untimed: 2, jumped: 1 }, 3)).toBe(
      'Left out: 2 without a time, 1 too far away to be true and 3 sorted in by their time.',
    );
  });

  it('says where the route was left, and whether it was come back to', () => {
    expect(detourWords(1931, 2575, 'miles')).toBe('Left after 1.2 miles, back after 1.6 miles');
    expect(detourWords(1900, undefined, 'metric')).toMatch(/^Left after 1\.9 km, not rejoined$/);
  });
});
