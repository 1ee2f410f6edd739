import { category } from './behaviour';

/** Stopping, set exercises and the yard. */
export const exercises = [
  category('O', 'stopping', 'Stopping', [
    ['P', 'place', 'Place', 'Pulls up where it is legal, safe and convenient.'],
    ['M', 'preparing', 'Mirrors and signal', 'Checks behind and signals, if it helps, before pulling up.'],
    ['C', 'control', 'Control', 'Stops smoothly and near the kerb without touching it.'],
    ['S', 'securing', 'Securing the car', 'Parking brake on, neutral or park, before the feet leave the pedals.'],
    [
      'H',
      'hill-parking',
      'Parking on a hill',
      'Parking brake, wheels turned, park or gear, engine off: in that order.',
    ],
    ['D', 'doors', 'Opening a door', 'Looks behind before any door is opened.'],
  ]),
  category('E', 'emergency-stop', 'Emergency stop', [
    ['R', 'reaction', 'Reaction', 'Brakes at once on the signal.'],
    ['C', 'control', 'Control', 'Straight and in control to a stop, without a lasting skid.'],
    ['F', 'footwork', 'Brake and clutch', 'The order of brake and clutch that the standard teaches.'],
    ['L', 'moving-on', 'Moving on', 'Secures the car and looks over both shoulders before going on.'],
    ['S', 'speed', 'Speed reached', 'Reaches the speed the exercise asks for before braking.'],
  ]),
  category('V', 'reversing', 'Reversing', [
    [
      'O',
      'observation',
      'All-round observation',
      'Looks all round before and during the reverse, and before moving off again.',
    ],
    ['B', 'looking-back', 'Looking through the rear window', 'Looks through the rear window, not only in the mirrors.'],
    ['G', 'waiting', 'Waiting for others', 'Pauses whenever anyone comes near the car.'],
    ['C', 'control', 'Control', 'Slow, even, with the steering to match.'],
    ['A', 'accuracy', 'Accuracy', 'Keeps the line and ends where the exercise asks.'],
    ['K', 'contact', 'Kerb or line', 'Does not touch or mount the kerb, or cross a line that must not be crossed.'],
    ['S', 'shunt', 'Shunt', 'Pulls forward to put the line right, with a look round first.'],
    ['W', 'walk', 'Look from outside', 'Gets out to look no more often than allowed, with the car secured.'],
  ]),
  category('Y', 'yard', 'Yard', [
    ['R', 'roll-back', 'Roll-back', 'Holds the car on a slope; the distance rolled is what counts.'],
    ['L', 'line', 'Line touched', 'No wheel on a boundary line.'],
    ['T', 'obstacle', 'Marker touched', 'No cone, pole, kerb or barrier is touched.'],
    ['S', 'stop-mark', 'Stopping at the mark', 'Stops with the car where the exercise says.'],
    ['D', 'dry-steering', 'Dry steering', 'Turns the wheel only while the car rolls.'],
    ['M', 'movements', 'Too many movements', 'Keeps to the number of movements and attempts allowed.'],
    ['C', 'clock', 'Over time', 'Finishes the exercise within its time.'],
    ['V', 'overspeed', 'Too fast', 'Stays under the highest speed of the yard.'],
    ['G', 'revs', 'Engine speed', 'Stays under the highest engine speed of the exercise.'],
    ['E', 'stalled', 'Engine stopped', 'Keeps the engine running.'],
    ['B', 'brake-on', 'Moving with the brake on', 'Releases the parking brake before moving.'],
    ['F', 'finish', 'Finishing order', 'Ends with parking brake, neutral or park, belt and door in the order set.'],
  ]),
] as const;
