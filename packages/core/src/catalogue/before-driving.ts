import { category } from './behaviour';

/** What is asked, set and handled before and while the car is brought under way. */
export const beforeDriving = [
  category('Q', 'checks', 'Safety checks', [
    [
      'E',
      'eyesight',
      'Eyesight',
      'Reads a number plate at the distance the standard names, with glasses if they are worn to drive.',
    ],
    [
      'O',
      'outside',
      'Outside check',
      'Lamps, horn, tyres, plate and mirrors are checked from outside, or shown on call from the kerb.',
    ],
    ['T', 'tell', 'Tell question', 'Answers one safety question with the car parked.'],
    ['S', 'show', 'Show question', 'Uses one control while driving, at a safe moment, and switches it off again.'],
    ['B', 'bonnet', 'Bonnet', 'Opens, props and closes the bonnet safely.'],
    ['R', 'rules', 'Rules and signs', 'Answers questions on rules of the road and signs.'],
    ['H', 'hand-signals', 'Hand signals', 'Shows the hand signals to traffic and to a person on point duty.'],
  ]),
  category('S', 'set-up', 'Set-up', [
    ['D', 'doors', 'Doors', 'All doors are shut and no lamp says otherwise.'],
    ['S', 'seat', 'Seat', 'Back upright; arms and legs neither bent tight nor stretched.'],
    ['H', 'head-restraint', 'Head restraint', 'Set level with the eyes or the top of the ears and close to the head.'],
    ['W', 'wheel', 'Steering wheel', 'Set so that both hands turn it freely and the instruments can be read.'],
    [
      'M',
      'mirrors',
      'Mirrors set',
      'Inside and door mirrors show the road behind and beside, with little of the own car.',
    ],
    ['B', 'belts', 'Seat belts', 'Everybody in the car wears a belt, the rear seats included.'],
    ['P', 'start', 'Safe to start', 'Parking brake on, neutral or park, no warning lamp left on.'],
  ]),
  category('K', 'controls', 'Controls', [
    ['A', 'accelerator', 'Accelerator', 'Used smoothly, in step with gear and speed.'],
    ['C', 'clutch', 'Clutch', 'Fully down for each change, let up smoothly, not ridden.'],
    ['B', 'footbrake', 'Footbrake', 'Progressive, early, no harder than needed.'],
    ['G', 'gears', 'Gears', 'The right gear for the speed; no coasting; engine neither labouring nor screaming.'],
    ['P', 'parking-brake', 'Parking brake', 'Used where the car could roll, and fully off when moving.'],
    ['S', 'steering', 'Steering', 'Smooth, in good time, hands in control of the wheel.'],
    [
      'E',
      'stalled',
      'Engine stopped',
      'The engine stops unintended; what counts is when, where, and how it was put right.',
    ],
    ['L', 'lights', 'Lights', 'Dipped, main beam and fog lamps as the light and other people require.'],
    [
      'X',
      'ancillary',
      'Wipers and demister',
      'Wipers, washers, demister and the like used when needed, without losing the road.',
    ],
    ['H', 'horn', 'Horn', 'Sounded to warn where a warning helps, and not otherwise.'],
  ]),
  category('M', 'moving-off', 'Moving off', [
    ['O', 'observation', 'All-round observation', 'Looks all round before the car moves.'],
    ['B', 'blind-spot', 'Blind spot', 'A full turn of the head to what the mirrors do not show, just before moving.'],
    ['S', 'signal', 'Signal', 'Signals before moving off where it helps somebody or the standard asks for it.'],
    ['T', 'timing', 'Moving off into traffic', 'Moves off without making anyone slow or swerve, and takes a safe gap.'],
    ['C', 'control', 'Control', 'Balanced and smooth, no lurch, straight or at an angle.'],
    ['H', 'hill', 'On a hill', 'Holds the car and moves off up or down hill without rolling.'],
  ]),
] as const;
