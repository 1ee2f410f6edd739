import fc from 'fast-check';
import { vehicleClasses } from '../vehicle/classes';
import { keptCurvature, metresUntil } from './hitch';
import { curvatureOf, hitchAfter, steadyHitch } from './roll';

const towing = vehicleClasses['car-with-trailer'];
const lock = curvatureOf(towing, towing.lockDeg);

it('keeps a trailer at the angle that it takes in a steady turn, whichever way it rolls', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -20, max: 20, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      (steerDeg, metres) => {
        const hitch = steadyHitch(towing, steerDeg)!;
        expect(keptCurvature(towing, hitch)).toBeCloseTo(curvatureOf(towing, steerDeg), 9);
        expect(hitchAfter(towing, hitch, curvatureOf(towing, steerDeg), metres)).toBeCloseTo(hitch, 9);
      },
    ),
  );
});

it('brings a trailer to an angle, and from there back the same way', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 0.7, noNaN: true }), (hitch) => {
      const metres = metresUntil(towing, 0, hitch, lock, 1)!;
      expect(hitchAfter(towing, 0, lock, metres)).toBeCloseTo(hitch, 9);
      expect(metresUntil(towing, hitch, 0, lock, -1)).toBeCloseTo(metres, 6);
    }),
  );
});

it('says where an angle cannot be reached', () => {
  // Forwards a trailer comes no further out than it does in the steady turn.
  const gentle = curvatureOf(towing, 5);
  expect(metresUntil(towing, 0, steadyHitch(towing, 5)! + 0.05, gentle, 1)).toBeUndefined();
  // Beyond the angle that full lock keeps, nothing brings it back while reversing.
  expect(metresUntil(towing, steadyHitch(towing, towing.lockDeg)! + 0.05, 0, lock, -1)).toBeUndefined();
});
