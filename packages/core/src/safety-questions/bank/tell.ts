import { figure } from '../numbers';
import { keyPoint, type SafetyQuestion } from '../question';
import type { ControlCode } from '../vehicle';

const tell = (
  id: string,
  topic: string,
  ask: string,
  points: SafetyQuestion['points'],
  more: { readonly controls?: readonly ControlCode[]; readonly steps?: readonly string[] } = {},
): SafetyQuestion => ({ id, version: 1, kind: 'tell', topic, ask, points, ...more });

/** Checks that are explained at rest (common practice); the last three need the bonnet open. */
export const tellQuestions: readonly SafetyQuestion[] = [
  tell('tell.brakes', 'Brakes', 'How do you make sure that the brakes work before you set out?', [
    keyPoint(
      '!pedal',
      'The pedal feels firm, neither spongy nor slack.',
      '!spongy|!slack|!soft|!squashy|!loose',
      'firm|solid|hard pedal|feel|brake|footbrake',
    ),
    keyPoint(
      'try',
      'Try them gently as you set off.',
      'try|test|check|use set|move|start|drive|moving|setting off|away|moving',
    ),
    keyPoint(
      'straight',
      'The car does not pull to one side.',
      '!pull|!drift|!veer side|left|right|one',
      'stop|brake straight',
    ),
  ]),
  tell(
    'tell.pressures',
    'Tyre pressures',
    'Where do you find the right tyre pressures, and how do you check them?',
    [
      keyPoint(
        '!where',
        'The figure stands in the handbook or on a plate in a door frame.',
        '@book',
        '@plate @opening',
      ),
      keyPoint('!gauge', 'Use a gauge that can be relied on.', 'gauge|pressure_gauge|gage'),
      keyPoint('!cold', 'Check them cold, before a drive.', 'cold|cool', 'before drive|driving|journey|trip'),
      keyPoint('spare', 'The spare one too.', 'spare'),
      keyPoint('caps', 'Put the valve caps back.', 'cap|caps|dust_cap'),
    ],
    { steps: ['where', 'cold', 'gauge', 'spare', 'caps'] },
  ),
  tell('tell.restraint', 'Head restraint', 'How do you set the head restraint, and why there?', [
    keyPoint(
      '!height',
      'The rigid part is at least as high as the eyes or the top of the ears.',
      'level|high|height|line|top|up eye|ear|eyes|ears',
      'top|middle|rigid|level head|skull',
    ),
    keyPoint(
      'close',
      'As close to the head as is comfortable.',
      'close|near|against|touching head|back|it|possible|comfortable',
    ),
    keyPoint('fixed', 'Some cannot be adjusted.', 'some !adjust|!adjustable|fixed|!move'),
  ]),
  tell(
    'tell.tread',
    'Tread and condition',
    'How do you know that the tyres are safe, in tread and in general condition?',
    [
      keyPoint(
        '!damage',
        'No cuts and no bulges.',
        '!cut|!bulge|!damage|!split|!tear|!lump',
        'free|check|look|without cut|bulge|damage|split|lump',
      ),
      keyPoint('!depth', `At least ${figure('tread-depth')} of tread.`, '1.6'),
      keyPoint('!breadth', `Across ${figure('tread-breadth')} of the breadth.`, '3/4'),
      keyPoint(
        '!round',
        'All the way round.',
        'all|whole|entire|full|complete round|around|circumference|way',
        'circumference',
      ),
      keyPoint('bars', `The wear bars show ${figure('tread-depth')}.`, 'wear|indicator|marker bar|indicator|mark'),
    ],
    { steps: ['damage', 'depth', 'breadth', 'round', 'bars'] },
  ),
  tell(
    'tell.lamps',
    'Head and tail lamps',
    'How do you check that head and tail lamps work?',
    [
      keyPoint(
        'ignition',
        'Switch the ignition on if the lamps need it.',
        'ignition|key|electrics|power on|turn|switch',
      ),
      keyPoint(
        'on',
        'Switch them on: {control:headlights}.',
        'switch|turn|put @lamps|dial|stalk|them on|to|end',
        'switch|turn on',
        '@lamps on',
        'operate|use|press @control',
      ),
      keyPoint('!walk', 'Walk round the car and look.', 'walk|go|get round|around|out', 'reflection'),
    ],
    { controls: ['headlights'], steps: ['ignition', 'on', 'walk'] },
  ),
  tell('tell.abs', 'Anti-lock brakes', 'How would you know of a fault in the anti-lock brakes?', [
    keyPoint(
      '!lamp',
      'The warning lamp stays on or comes on.',
      '@telltale !out|!off|!disappear',
      '@telltale stay|remain|keep|on|lit|illuminate|come|show|up|appear',
    ),
  ]),
  tell(
    'tell.indicators',
    'Direction indicators',
    'How do you check that the direction indicators work?',
    [
      keyPoint(
        '!on',
        'Switch on the hazard lamps ({control:hazard}) or the indicators.',
        'hazard|hazards|four_way|triangle',
        'indicator|signal|indicate left|right|both|each|on|put|switch',
      ),
      keyPoint('ignition', 'The ignition may have to be on.', 'ignition|key|electrics'),
      keyPoint(
        '!walk',
        'Walk round and see all six lamps work.',
        'walk|go|get round|around|out',
        'all|every|six|6|each lamp|light|corner|side|indicator|bulb',
      ),
    ],
    { controls: ['hazard', 'indicators'], steps: ['ignition', 'on', 'walk'] },
  ),
  tell(
    'tell.brake-lamps',
    'Brake lamps',
    'How do you check that the brake lamps work?',
    [
      keyPoint('!press', 'Press the brake pedal.', '@press brake|footbrake|pedal -handbrake'),
      keyPoint('ignition', 'Switch the ignition on if it is needed.', 'ignition|key|electrics'),
      keyPoint(
        'see',
        'See the reflection in a window or garage door, or ask somebody to look.',
        'reflect|reflection|window|garage|wall|shop',
        'ask|get|have somebody|someone|friend|helper|person|passenger|instructor|you|partner',
      ),
    ],
    { steps: ['ignition', 'press', 'see'] },
  ),
  tell('tell.steering', 'Power steering', 'How do you check that the power steering works before a journey?', [
    keyPoint(
      '!give',
      'Pull the wheel gently while the engine starts: it gives a little; or turn it just after moving off.',
      'pull|pressure|hold|turn|tug wheel|steering start|starting|engine|ignition',
      'turn|steer wheel|steering|it after|moving|off|set|immediately',
      'wheel|steering give|move|loosen|movement|slight|easier|lighter',
    ),
    keyPoint('heavy', 'Heavy steering means trouble.', 'heavy|stiff|hard'),
  ]),
  tell(
    'tell.rear-fog',
    'Rear fog lamps',
    'Show how you switch the rear fog lamps on, and say when you may.',
    [
      keyPoint('dipped', 'Ignition and dipped headlights first.', 'dip|dipped|headlight|headlights|headlamp'),
      keyPoint(
        '!switch',
        'Switch them on ({control:rear-fog}); the warning lamp lights.',
        '@work|@control @telltale|dashboard|amber|orange',
      ),
      keyPoint('!when', `Only when the visibility is ${figure('rear-fog')} or less.`, '100 -over -above -more'),
    ],
    { controls: ['headlights', 'rear-fog'], steps: ['dipped', 'switch', 'when'] },
  ),
  tell(
    'tell.beam',
    'Dipped to main beam',
    'Show how you switch from dipped to main beam, and how you know it is on.',
    [
      keyPoint(
        '!switch',
        'Work the switch: {control:main-beam}.',
        '@work @control|away|toward|towards|forward|it|beam',
      ),
      keyPoint('!blue', 'The blue lamp on the dashboard tells.', 'blue', 'main|high|full beam @telltale'),
    ],
    { controls: ['main-beam'], steps: ['switch', 'blue'] },
  ),
  tell(
    'tell.oil',
    'Oil level',
    'Open the bonnet, find where the oil level is checked and say how.',
    [
      keyPoint(
        '!dipstick',
        'Find the dipstick.',
        'dipstick @find|between',
        'wipe|clean it|stick|rag again|back|dip|second',
      ),
      keyPoint(
        'wipe',
        'Take it out, wipe it, put it back, take it out again.',
        'dipstick wipe|clean|cloth',
        'wipe|clean it|stick|rag again|back|dip|second',
      ),
      keyPoint('!between', 'The level lies between the two marks.', 'between|above @low|@high|@marks', '@low @high'),
      keyPoint(
        'level',
        'The car stands level and the engine is cold.',
        'flat|level|even ground|surface|stand|park',
        'engine cold|off',
      ),
    ],
    { steps: ['level', 'dipstick', 'wipe', 'between'] },
  ),
  tell(
    'tell.coolant',
    'Coolant',
    'Open the bonnet, find where the coolant is checked and say how.',
    [
      keyPoint(
        '!tank',
        'The level in the tank lies between the marks.',
        'between|above @low|@high|@marks',
        '@low @high',
      ),
      keyPoint(
        'hot',
        'Never open the cap while the engine is hot.',
        '!open|!touch|!unscrew|!remove|!undo|!take hot|warm',
        'cold|cool|cools engine|wait|until|when',
      ),
      keyPoint('top-up', 'Top up with coolant to the upper mark.', 'top|fill|add|pour up|coolant|antifreeze|water|to'),
    ],
    { steps: ['hot', 'tank', 'top-up'] },
  ),
  tell('tell.brake-fluid', 'Brake fluid', 'Open the bonnet, find where the brake fluid is checked and say how.', [
    keyPoint(
      '!between',
      'The level in the reservoir lies between the marks.',
      'between|above @low|@high|@marks',
      '@low @high',
    ),
    keyPoint('reservoir', 'The reservoir sits by the bulkhead; it is seen from outside.', '@tank'),
  ]),
];
