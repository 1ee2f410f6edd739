import { shippedQuestions } from '@jasperwren/core/safety-questions/bank/bank';
import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import { controlPlaces, placeNames } from '@jasperwren/core/safety-questions/vehicle';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { renderToStaticMarkup } from 'react-dom/server';
import { glyphs } from './glyphs';
import { HandPicture, handSignals } from './HandPicture';
import { Schematic } from './Schematic';
import { SignPicture } from './SignPicture';

/** The drawing without what is read out, so that only what is seen is compared. */
const seen = (markup: string) => markup.replace(/ aria-label="[^"]*"/, '');
const labelOf = (markup: string) => /aria-label="([^"]*)"/.exec(markup)?.[1] ?? '';

describe('road signs', () => {
  const drawn = signs.map((sign) => ({ sign, markup: renderToStaticMarkup(<SignPicture sign={sign} />) }));

  it('are drawn with a glyph or a text that exists', () => {
    for (const { glyph } of signs)
      expect([glyph, glyph === '' || glyph.startsWith('text:') || glyph in glyphs]).toEqual([glyph, true]);
  });

  it('look different from each other, every one', () => {
    const looks = new Map<string, string>();
    for (const { sign, markup } of drawn) {
      expect([sign.code, looks.get(seen(markup))]).toEqual([sign.code, undefined]);
      looks.set(seen(markup), sign.code);
    }
  });

  it('are described to a screen reader by what is drawn, and not by the code of the drawing', () => {
    for (const { markup } of drawn) {
      expect(labelOf(markup)).toMatch(/^An? /);
      expect(labelOf(markup)).not.toMatch(/text:|undefined|\w-\w+-/);
    }
  });

  it('stand behind every question that is about a sign', () => {
    for (const { id, sign } of shippedQuestions)
      if (sign) expect([id, signs.some(({ code }) => code === sign)]).toEqual([id, true]);
  });
});

describe('hand signals', () => {
  it('are drawn for every question that is about one, each in its own way', () => {
    const asked = shippedQuestions.flatMap(({ handSignal }) => handSignal ?? []);
    expect([...asked].sort()).toEqual([...handSignals].sort());
    const pictures = handSignals.map((signal) => renderToStaticMarkup(<HandPicture signal={signal} />));
    expect(new Set(pictures.map(seen)).size).toBe(handSignals.length);
    expect(new Set(pictures.map(labelOf)).size).toBe(handSignals.length);
  });
});

describe('the schematic of a car', () => {
  const spots = (markup: string) =>
    [...markup.matchAll(/left:([\d.]+)%;top:([\d.]+)%/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

  it.each(['left', 'right'] as const)(
    'has every place where it can be touched, apart from the others, wheel %s',
    (side) => {
      const markup = renderToStaticMarkup(<Schematic wheelSide={side} onPlace={() => undefined} />);
      const places = spots(markup);
      expect(places).toHaveLength(controlPlaces.length);
      for (const name of Object.values(placeNames)) expect(markup).toContain(`aria-label="${name}"`);
      for (const { x, y } of places) {
        expect(x).toBeGreaterThan(0);
        expect(x).toBeLessThan(100);
        expect(y).toBeGreaterThan(0);
        expect(y).toBeLessThan(100);
      }
      // On a phone the drawing is about 340 px wide and 177 px high: spots of 24 px must not cover each other.
      places.forEach((one, i) =>
        places.slice(i + 1).forEach((other) => {
          const apart = Math.hypot((one.x - other.x) * 3.4, (one.y - other.y) * 1.77);
          expect(apart).toBeGreaterThan(24);
        }),
      );
    },
  );

  it('shows where the controls of a car are, and nothing else', () => {
    for (const { wheelSide, controls } of shippedVehicles) {
      const shown = [...new Set(Object.values(controls).map(({ place }) => place))];
      const markup = renderToStaticMarkup(<Schematic wheelSide={wheelSide} shown={shown} />);
      expect(spots(markup)).toHaveLength(shown.length);
    }
  });
});
