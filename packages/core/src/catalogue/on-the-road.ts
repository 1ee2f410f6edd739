import { category } from './behaviour';

/** What is watched between junctions. */
export const onTheRoad = [
  category('I', 'mirrors', 'Mirrors', [
    ['S', 'before-signal', 'Before signalling', 'Checks the right mirrors before a signal is given.'],
    ['D', 'before-direction', 'Before changing direction', 'Checks the right mirrors before any move to the side.'],
    ['P', 'before-speed', 'Before changing speed', 'Checks mirrors before slowing, stopping or speeding up.'],
    [
      'B',
      'blind-spot',
      'Blind spot before changing lanes',
      'Turns the head to the blind spot before changing lanes or moving out.',
    ],
    [
      'R',
      'rolling',
      'Mirrors while driving',
      'Glances at the mirrors every few seconds on a straight road and knows what is behind.',
    ],
  ]),
  category('G', 'signals', 'Signals', [
    ['M', 'missed', 'No signal', 'No signal where one would have helped or the standard requires it.'],
    ['T', 'timing', 'Timing', 'Signal too early, too late or too short to be of use.'],
    ['W', 'misleading', 'Misleading signal', 'A signal that says something other than what follows.'],
    ['C', 'cancelling', 'Signal not cancelled', 'Signal left on, or off too soon.'],
    ['U', 'needless', 'Unnecessary signal', 'A signal that helps no one and may confuse.'],
  ]),
  category('N', 'position', 'Position', [
    ['K', 'normal', 'On a straight road', 'Keeps a sensible line: neither in the gutter nor along the centre.'],
    ['L', 'lanes', 'Lane discipline', 'Stays in the middle of one lane and chooses it in good time.'],
    ['C', 'lane-change', 'Changing lanes', 'Moves across only when clear, without making others brake.'],
    ['B', 'bends', 'Bends', 'Holds the lane through bends with the speed and view to match.'],
    ['W', 'own-side', 'Own side of the road', 'Stays on the own side except to pass something with a clear view.'],
    ['O', 'one-way', 'One-way roads', 'Takes the lane for where the road leads next and leaves the other free.'],
  ]),
  category('P', 'speed', 'Speed', [
    ['L', 'limit', 'Over the limit', 'Keeps within the limit in force and reacts to its changes.'],
    ['C', 'conditions', 'Too fast for conditions', 'Speed fits visibility, surface, weather and people nearby.'],
    ['Z', 'school-zone', 'School zone', 'Slows to what the zone asks while it is in force.'],
    ['S', 'slow', 'Too slow', 'Makes the progress the road allows.'],
    ['H', 'hesitation', 'Hesitation', 'Goes when it is clear and safe to go.'],
  ]),
  category('F', 'fast-roads', 'Fast roads', [
    ['J', 'joining', 'Joining', 'Builds up speed on the slip road and merges into a gap.'],
    ['L', 'lane', 'Lane', 'Keeps to the nearest lane unless passing; does not sit beside others.'],
    [
      'O',
      'overtaking',
      'Overtaking',
      'Passes only where it is clear, legal and worth it, and returns without cutting in.',
    ],
    ['E', 'leaving', 'Leaving', 'Signals in good time and slows on the slip road, not before it.'],
  ]),
  category('C', 'clearance', 'Clearance', [
    ['P', 'parked', 'Parked cars', 'Leaves about an open door, and slows where there is less.'],
    ['C', 'vulnerable', 'Cyclists and pedestrians', 'Leaves people outside cars room and time.'],
    ['F', 'following', 'Following distance', 'Keeps a gap that the speed and the surface allow to stop in.'],
    ['Q', 'queue', 'Gap in a queue', 'Stops where the tyres of the car in front and a strip of road can be seen.'],
  ]),
  category('T', 'meeting', 'Meeting traffic', [
    ['H', 'holding-back', 'Holding back', 'Waits in good time and place where there is room for one only.'],
    [
      'X',
      'crossing-path',
      'Crossing the path of traffic',
      'Turns across oncoming traffic only when nobody has to react.',
    ],
    ['N', 'narrow', 'Narrow roads', 'Meets others on narrow and single-track roads with speed and place to give way.'],
  ]),
  category('A', 'awareness', 'Awareness', [
    ['P', 'planning', 'Planning ahead', 'Sees what is coming and is ready for it.'],
    ['O', 'others', 'Response to others', 'Reads what other people signal and are about to do.'],
    ['E', 'emergency-vehicles', 'Emergency vehicles', 'Lets them through calmly, without risk or offence.'],
    [
      'D',
      'directions',
      'Following directions',
      'Follows signs, sat-nav or spoken directions; a wrong turn made safely is nothing.',
    ],
  ]),
] as const;
