import fc from 'fast-check';
import { renderToStaticMarkup } from 'react-dom/server';
import { testDays } from '@jasperwren/words/readiness-items';
import { Perches } from './Perches';

const count = (markup: string, state: string) => markup.split(`class="${state}"`).length - 1;
const chances = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b]) => ({ from: Math.min(a, b), to: Math.max(a, b), mean: (a + b) / 2 }));

describe('twenty test days', () => {
  it('are always twenty, and say in words what they show', () => {
    fc.assert(
      fc.property(chances, (chance) => {
        const markup = renderToStaticMarkup(<Perches {...chance} />);
        const [pass, maybe, fail] = ['pass', 'maybe', 'fail'].map((state) => count(markup, state)) as [
          number,
          number,
          number,
        ];
        expect(pass + maybe + fail).toBe(20);
        expect(pass).toBe(Math.round(20 * chance.from));
        expect(pass + maybe).toBe(Math.round(20 * chance.to));
        expect(markup).toContain(`${testDays(chance)} of 20 tests`);
      }),
    );
  });

  it('have drawings with ids of their own, however many stand on a page', () => {
    const one = <Perches mean={0.5} from={0.2} to={0.8} />;
    const markup = renderToStaticMarkup(
      <>
        {one}
        {one}
      </>,
    );
    const ids = [...markup.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});
