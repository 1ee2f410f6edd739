import fc from 'fast-check';
import ICAL from 'ical.js';
import { lessonsCalendar } from './calendar';

/** What may stand in a field: anything but control characters, which are refused before; line ends too. */
const anyText = fc
  .oneof(fc.string({ unit: 'grapheme', maxLength: 90 }), fc.stringMatching(/^[ ,;:\\\r\n"Nn=-]{0,20}$/))
  .map((text) => text.trim().replace(/(?![\n\r\t])\p{Cc}/gu, ''));
/** A calendar knows one kind of line end. */
const oneEnd = (text: string) => text.replace(/\r\n?/g, '\n');

describe('a calendar (RFC 5545)', () => {
  it('is read back as it was by an independent reader, whatever the texts', () => {
    fc.assert(
      fc.property(anyText, anyText, anyText, anyText, (learnerName, testCentre, name, seek) => {
        const text = lessonsCalendar({
          learnerId: 'l',
          learnerName,
          testDate: '2099-06-30',
          testCentre,
          lessons: [
            {
              id: 'x',
              start: '2099-06-01T09:00',
              minutes: 60,
              goals: [{ kind: 'area', code: 'c', name, seek }],
              cancelled: false,
              sequence: 0,
              updatedAt: '2026-01-01T00:00:00.000Z',
            },
          ],
        });
        // ical.js: an independent reader.
        const [lesson, test] = new ICAL.Component(ICAL.parse(text) as [])
          .getAllSubcomponents('vevent')
          .map((component) => new ICAL.Event(component));
        expect(lesson!.summary).toBe(oneEnd(`Lesson: ${learnerName}`));
        expect(lesson!.description).toBe(oneEnd(`${name}: ${seek}`));
        expect(test!.location ?? '').toBe(oneEnd(testCentre));
      }),
      { numRuns: 300 },
    );
  });
});
