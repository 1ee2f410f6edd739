import { keyPoint, type SafetyQuestion } from '../question';

const signal = (
  id: string,
  topic: string,
  ask: string,
  handSignal: string,
  text: string,
  ...says: readonly string[]
): SafetyQuestion => ({
  id,
  version: 1,
  kind: 'hand-signal',
  topic,
  ask,
  handSignal,
  points: [keyPoint('!arm', text, ...says)],
});

/** The bonnet and the six hand signals of an oral part (common practice); the signals are for a driver on the right. */
export const oralQuestions: readonly SafetyQuestion[] = [
  {
    id: 'oral.bonnet',
    version: 1,
    kind: 'bonnet',
    topic: 'Opening the bonnet',
    ask: 'Open the bonnet and make it safe.',
    controls: ['bonnet'],
    points: [
      keyPoint(
        '!release',
        'Release it in the cabin: {control:bonnet}.',
        'pull|press|release|lever|hold|open|operate inside|cabin|lever|release|car|under|dash|button|bonnet',
      ),
      keyPoint('!catch', 'Find the safety catch under the edge and lift.', 'catch|latch|clip|hook'),
      keyPoint('!stay', 'Set the stay in its slot.', 'stay|rod|prop|strut|bar|arm'),
    ],
    steps: ['release', 'catch', 'stay'],
  },
  signal(
    'hand.behind-right',
    'To traffic behind: right',
    'Signal by hand to traffic behind: you turn right.',
    'behind-right',
    'Right arm straight out of the window, palm forward.',
    'arm|hand straight|out|flat|horizontal|extended -circle -circles -up',
  ),
  signal(
    'hand.behind-slow',
    'To traffic behind: slowing',
    'Signal by hand to traffic behind: you slow down or stop.',
    'behind-slow',
    'Right arm out, palm down, moved slowly up and down.',
    'arm|hand|palm up down',
    'arm|hand wave|wave|pat down',
  ),
  signal(
    'hand.behind-left',
    'To traffic behind: left',
    'Signal by hand to traffic behind: you turn left.',
    'behind-left',
    'Right arm out, moved in a circle, against the clock.',
    'arm|hand circle|circles|circular|round|rotate|anticlockwise',
  ),
  signal(
    'hand.duty-right',
    'To a person on point duty: right',
    'Signal by hand to a person on point duty: you want to turn right.',
    'duty-right',
    'Right arm out of the window, held straight.',
    'right arm|hand out|straight|point|window',
  ),
  signal(
    'hand.duty-straight',
    'To a person on point duty: straight on',
    'Signal by hand to a person on point duty: you want to go straight on.',
    'duty-straight',
    'Left hand raised to the windscreen, palm forward.',
    'hand|palm|arm up|raise|forward|windscreen|front|ahead -right',
  ),
  signal(
    'hand.duty-left',
    'To a person on point duty: left',
    'Signal by hand to a person on point duty: you want to turn left.',
    'duty-left',
    'Left arm held across, pointing left.',
    'left arm|hand|point across|left|point|out',
  ),
];
