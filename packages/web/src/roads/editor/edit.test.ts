import type { RouteBody } from '@jasperwren/core/routes/driving-route';
import fc from 'fast-check';
import { drawingOf, edited, isClosed, type Edit } from './edit';

const at = (lat: number, lon = 0) => ({ lat, lon });
const empty: RouteBody = { name: 'Loop', stops: [], places: [] };
const after = (...edits: readonly Edit[]) => edits.reduce(edited, drawingOf(empty)).now;
const lats = (route: RouteBody) => route.stops.map(({ lat }) => lat);

describe('drawing a route', () => {
  it('adds, puts between, moves and removes stops', () => {
    const route = after(
      { type: 'append', at: at(1) },
      { type: 'append', at: at(3) },
      { type: 'insert', after: 0, at: at(2) },
      { type: 'move', stop: 2, at: at(4) },
    );
    expect(lats(route)).toEqual([1, 2, 4]);
    expect(lats(edited(drawingOf(route), { type: 'remove', stop: 1 }).now)).toEqual([1, 4]);
  });

  it('turned round keeps how each leg is driven', () => {
    const route = after(
      { type: 'append', at: at(1) },
      { type: 'append', at: at(2) },
      { type: 'append', at: at(3) },
      { type: 'mode', stop: 1, mode: 'signs' },
      { type: 'reverse' },
    );
    expect(lats(route)).toEqual([3, 2, 1]);
    expect(route.stops.slice(0, -1).map(({ mode }) => mode)).toEqual(['signs', 'directions']);
  });

  it('leads back to its start', () => {
    const route = after({ type: 'append', at: at(1) }, { type: 'append', at: at(2) }, { type: 'close' });
    expect([lats(route), isClosed(route.stops)]).toEqual([[1, 2, 1], true]);
  });

  it('can be undone step by step, and done again', () => {
    const edits = fc.array(
      fc.oneof(
        fc.record({
          type: fc.constant('append' as const),
          at: fc.record({ lat: fc.integer({ min: -80, max: 80 }), lon: fc.constant(0) }),
        }),
        fc.record({ type: fc.constant('reverse' as const) }),
        fc.record({ type: fc.constant('name' as const), name: fc.string() }),
      ),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(edits, (list) => {
        const done = (list as readonly Edit[]).reduce(edited, drawingOf(empty));
        const undone = list.reduce((drawing) => edited(drawing, { type: 'undo' }), done);
        expect(undone.now).toEqual(empty);
        expect(list.reduce((drawing) => edited(drawing, { type: 'redo' }), undone).now).toEqual(done.now);
      }),
    );
  });
});
