import fc from 'fast-check';
import { impliedLimits, parseLimit, roadClasses, roadOf, signs, signsOf, type Tags } from './road-tags';
import { kmhPerMph } from './units';

const road = (tags: Tags = {}) => roadOf({ highway: 'residential', ...tags });

describe('which ways are roads', () => {
  it.each(roadClasses.filter((one) => one !== 'track'))('%s is one', (highway) => {
    expect(roadOf({ highway })).toMatchObject({
      highway,
      roadClass: highway,
      access: 'open',
      flow: highway === 'motorway' ? 'along' : 'both',
    });
  });

  it.each([
    ['a footway', { highway: 'footway' }],
    ['a cycle track', { highway: 'cycleway' }],
    ['a river', { waterway: 'river' }],
    ['a square', { highway: 'residential', area: 'yes' }],
    ['what is being built', { highway: 'construction' }],
    ['a field track', { highway: 'track' }],
    ['a field track for walkers', { highway: 'track', access: 'yes' }],
    ['a street for walkers', { highway: 'pedestrian', motor_vehicle: 'delivery' }],
  ] as const)('%s is none', (_, tags) => {
    expect(roadOf(tags)).toBeUndefined();
  });

  it('a field track and a street for walkers are where cars are let in by name', () => {
    expect(roadOf({ highway: 'track', motor_vehicle: 'yes' })).toMatchObject({ roadClass: 'track' });
    expect(roadOf({ highway: 'pedestrian', motorcar: 'designated' })).toMatchObject({ roadClass: 'living_street' });
  });

  it('a slip road has the class of the road that it leads to', () => {
    expect(roadOf({ highway: 'trunk_link' })).toMatchObject({ highway: 'trunk_link', roadClass: 'trunk', link: true });
    expect(road()!.link).toBeUndefined();
  });
});

describe('limits', () => {
  it.each([
    ['50', 50],
    ['50 km/h', 50],
    [' 30 ', 30],
    ['7.5', 7.5],
    ['none', 130],
    ['walk', 7],
    ['XX:urban', 50],
    ['XX:zone30', 30],
    ['XX:30', 30],
  ])('%s', (text, kmh) => {
    expect(parseLimit(text)?.kmh).toBe(kmh);
  });

  // A mile is 1,609.344 m: international agreement of 1959.
  it('miles an hour are 1.609344 km/h each, and are said to be such', () => {
    expect(parseLimit('30 mph')).toEqual({ kmh: 30 * 1.609344, mph: true });
    expect(kmhPerMph).toBe(1.609344);
  });

  it.each(['', '0', '-30', 'fast', '30;50', '30 knots', '1000', 'XX:', 'XX:somewhere'])(
    '“%s” cannot be read',
    (text) => {
      expect(parseLimit(text)).toBeUndefined();
    },
  );

  it('whatever is written, a limit is above nothing and no faster than what can be written', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.integer().map(String),
          fc.double({ noNaN: true }).map((n) => `${n} mph`),
        ),
        (text) => {
          const limit = parseLimit(text);
          if (limit === undefined) return;
          expect(limit.kmh).toBeGreaterThan(0);
          expect(limit.kmh).toBeLessThan(1000 * kmhPerMph);
        },
      ),
    );
  });

  it('where none is given that of the class stands, and is said to be implied', () => {
    for (const highway of roadClasses.filter((one) => one !== 'track'))
      expect(roadOf({ highway })).toMatchObject({ limit: impliedLimits[highway], implied: true });
    expect(road({ maxspeed: 'fast' })).toMatchObject({ limit: impliedLimits.residential, implied: true });
  });

  it('each direction may have its own', () => {
    expect(road({ maxspeed: '50', 'maxspeed:backward': '30' })).toMatchObject({ limit: 50, limitBack: 30 });
    expect(road({ 'maxspeed:forward': '30 mph' })).toMatchObject({ limit: 30 * kmhPerMph, limitBack: 50, mph: true });
    expect(road({ maxspeed: '50' })!.limitBack).toBeUndefined();
    expect(road({ maxspeed: '50' })!.implied).toBeUndefined();
  });

  it('what is on the sign comes before the kind of limit', () => {
    expect(road({ maxspeed: '40', 'maxspeed:type': 'XX:urban' })).toMatchObject({ limit: 40 });
    expect(road({ 'maxspeed:type': 'XX:rural' })).toMatchObject({ limit: 90, implied: true });
    expect(road({ 'zone:maxspeed': 'XX:30' })).toMatchObject({ limit: 30 });
  });
});

describe('directions and access', () => {
  it.each([
    ['yes', 'along'],
    ['1', 'along'],
    ['-1', 'against'],
    ['reverse', 'against'],
    ['no', 'both'],
    ['alternating', 'both'],
  ])('one-way “%s”: %s', (oneway, flow) => {
    expect(road({ oneway })!.flow).toBe(flow);
  });

  it('a roundabout and a motorway are driven along without a word, and cars have the last word', () => {
    expect(road({ junction: 'roundabout' })).toMatchObject({ roundabout: true, flow: 'along' });
    expect(road({ junction: 'circular' })).toMatchObject({ roundabout: true, flow: 'along' });
    expect(roadOf({ highway: 'motorway', oneway: 'no' })!.flow).toBe('both');
    expect(road({ oneway: 'yes', 'oneway:motor_vehicle': 'no' })!.flow).toBe('both');
  });

  it.each([
    [{}, 'open'],
    [{ access: 'permissive' }, 'open'],
    [{ access: 'destination' }, 'destination'],
    [{ access: 'private' }, 'closed'],
    [{ vehicle: 'agricultural' }, 'closed'],
    [{ access: 'no', motor_vehicle: 'yes' }, 'open'],
    [{ access: 'yes', motorcar: 'no' }, 'closed'],
    [{ access: 'unheard-of' }, 'open'],
  ])('%j: %s', (tags, access) => {
    expect(road(tags)!.access).toBe(access);
  });

  it('takes what is sensible of lanes and width, and leaves the rest', () => {
    expect(road({ lanes: '2', width: '5.5 m', 'turn:lanes': 'left|through' })).toMatchObject({
      lanes: 2,
      width: 5.5,
      turnLanes: 'left|through',
    });
    for (const [tag, value] of [
      ['lanes', '0'],
      ['lanes', '99'],
      ['lanes', 'two'],
      ['width', '-3'],
      ['width', '400'],
      ['width', 'narrow'],
    ] as const)
      expect(road({ [tag]: value })).not.toHaveProperty(tag);
    expect(road({ 'turn:lanes:forward': 'a', 'turn:lanes:backward': 'b', 'turn:lanes': 'c' })).toMatchObject({
      turnLanes: 'a',
      turnLanesBack: 'b',
    });
  });

  it('knows steep, loose, bridge, tunnel and the side of the road', () => {
    expect(road({ incline: '-8%' })!.steep).toBe(true);
    expect(road({ incline: '7.9 %' })!.steep).toBeUndefined();
    expect(road({ incline: 'up' })!.steep).toBeUndefined();
    expect(road({ surface: 'gravel', bridge: 'viaduct', tunnel: 'no', driving_side: 'left' })).toMatchObject({
      unpaved: true,
      bridge: true,
      side: 'left',
    });
    expect(road({ surface: 'asphalt', tunnel: 'no', driving_side: 'middle' })).not.toMatchObject({ tunnel: true });
  });
});

describe('signs of a node', () => {
  it.each([
    ['traffic_signals', signs.signals],
    ['stop', signs.stop],
    ['give_way', signs.giveWay],
    ['mini_roundabout', signs.mini],
    ['crossing', signs.crossing],
    ['motorway_junction', signs.exit],
    ['bus_stop', 0],
  ])('%s', (highway, bits) => {
    expect(signsOf({ highway })).toBe(bits);
  });

  it('says which way a sign faces, and nothing of what is no sign', () => {
    expect(signsOf({ highway: 'stop', direction: 'forward' })).toBe(signs.stop | signs.along);
    expect(signsOf({ highway: 'traffic_signals', 'traffic_signals:direction': 'backward' })).toBe(
      signs.signals | signs.against,
    );
    expect(signsOf({ direction: 'forward' })).toBe(0);
  });

  it('a bollard bars cars, a gate only where it is shut to them', () => {
    expect(signsOf({ barrier: 'bollard' })).toBe(signs.barred);
    expect(signsOf({ barrier: 'bollard', motor_vehicle: 'yes' })).toBe(0);
    expect(signsOf({ barrier: 'gate' })).toBe(0);
    expect(signsOf({ barrier: 'gate', access: 'private' })).toBe(signs.barred);
    expect(signsOf({ barrier: 'kerb' })).toBe(0);
  });

  it('finds what slows, and crests that hide the road', () => {
    expect(signsOf({ traffic_calming: 'hump' })).toBe(signs.raised);
    expect(signsOf({ highway: 'crossing', 'crossing:raised': 'yes' })).toBe(signs.crossing | signs.raised);
    expect(signsOf({ hazard: 'blind_summit' })).toBe(signs.brow);
  });
});
