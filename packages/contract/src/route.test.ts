import fc from 'fast-check';
import { bodies, bodyClassOf } from './bodies';
import { addressOf } from './route';
import { routeNames, routeOf, routes, writes } from './routes';

describe('the address of a call', () => {
  it('puts each parameter in its place, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, unit: 'grapheme' }), (id) => {
        const address = addressOf(routes.learner, { learnerId: id });
        expect(address.split('/').map(decodeURIComponent)).toEqual(['', 'api', 'learners', id]);
      }),
    );
  });

  it('names of the query what was given, and nothing else', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, unit: 'grapheme' }), (action) => {
        const address = addressOf(routes.audit, { action, strange: 'x', from: undefined });
        const asked = [...new URL(address, 'http://x.example').searchParams];
        expect(asked).toEqual([['action', action]]);
      }),
    );
  });

  it('is refused where a parameter is missing', () => {
    expect(() => addressOf(routes.standardVersion, { id: 'tally' })).toThrow('needs "version"');
    expect(addressOf(routes.standardVersion, { id: 'tally', version: 2 })).toBe('/api/standards/tally/versions/2');
  });
});

describe('the table of routes', () => {
  it('has one name for each way of calling', () => {
    const ways = routeNames.map((name) => `${routeOf(name).method} ${routeOf(name).path}`);
    expect(new Set(ways).size).toBe(ways.length);
  });

  it('takes a body only where something is changed', () => {
    for (const name of Object.keys(bodies) as (keyof typeof bodies)[]) {
      expect([name, writes(routeOf(name))]).toEqual([name, true]);
      expect(bodyClassOf(name)).toBe(bodies[name]);
    }
    expect(bodyClassOf('learners')).toBeUndefined();
  });

  it('lets reading change nothing, and keeps no answer of what it does not know the sources of', () => {
    for (const name of routeNames) {
      const route = routeOf(name);
      if (writes(route)) expect([name, route.reads, route.live]).toEqual([name, [], false]);
      else expect([name, route.changes]).toEqual([name, []]);
    }
  });
});
