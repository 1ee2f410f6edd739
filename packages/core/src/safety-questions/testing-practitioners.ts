import type { SpokenAnswer } from './testing-answers';

type Answers = readonly (readonly [words: string, heard: string])[];
const of = (question: string, answers: Answers): readonly SpokenAnswer[] =>
  answers.map(([words, heard]) => [question, words, heard]);

/** Answers as practitioners and their learners word them, right and wrong; written before the matcher knew synonyms. */
export const practitionersAnswers: readonly SpokenAnswer[] = [
  ...of('tell.brakes', [
    ['brakes should not feel spongy or slack, and they should be tested as you set off', 'pedal try'],
    ['test the brakes as you set off, the vehicle should not pull to one side', 'try straight'],
    ['the pedal should not be spongy', 'pedal'],
    ['it should feel firm under my foot and not sink to the floor', 'pedal'],
    ['should not feel slack or spongy, test as I move off', 'pedal try'],
    ['check the footbrake is firm before driving and try it gently once moving', 'pedal try'],
    ['the car should not veer to the left when I brake', 'straight'],
    ['the pedal is soft', ''],
    ['listen for noises', ''],
  ]),
  ...of('tell.pressures', [
    [
      "manufacturer's guide, use a reliable pressure gauge, check and adjust pressures when tyres are cold, don't forget the spare tyre, remember to refit valve caps",
      'where gauge cold spare caps',
    ],
    ['you find them in the manufacturers guide, use a reliable gauge when the tyres are cold', 'where gauge cold'],
    ['in the owners manual. gauge. tyres must be cold', 'where gauge cold'],
    ["the car's book tells you, measure with a gauge before the drive", 'where gauge cold'],
    ['on the sticker in the door opening, with a pressure gauge and cold tyres', 'where gauge cold'],
    ['look in the guide that came with the car, check them cold with a gauge you can trust', 'where gauge cold'],
    ['fuel flap label, gauge, cold', 'where gauge cold'],
    ['with a gauge', 'gauge'],
    ['on the internet', ''],
    ['look at them and see if they are flat', ''],
    ['the spare as well and refit the caps', 'spare caps'],
  ]),
  ...of('tell.restraint', [
    [
      'the head restraint should be adjusted so the rigid part is at least as high as the eye or top of the ears, and as close to the back of the head as is comfortable',
      'height close',
    ],
    ['rigid part of it level with the top of my ears', 'height'],
    ['at least at the height of the eyes', 'height'],
    ['as high as the ears and near to the head', 'height close'],
    ['note that some restraints might not be adjustable', 'fixed'],
    ['as high as my shoulders', ''],
    ['wherever it is comfortable', ''],
  ]),
  ...of('tell.tread', [
    [
      'no cuts and bulges, 1.6mm of tread depth across the central three-quarters of the breadth of the tyre, and around the entire outer circumference of the tyre',
      'damage depth breadth round',
    ],
    ['no bulges, 1.6 mm over the middle three quarters and round the whole tyre', 'damage depth breadth round'],
    ['there are no cuts, at least 1.6 across three quarters, all the way around', 'damage depth breadth round'],
    [
      'free from cuts and bulges, one point six millimetres, three quarters, entire circumference',
      'damage depth breadth round',
    ],
    ['must not have cuts or bulges', 'damage'],
    ['1.6 mm', 'depth'],
    ['3 mm over the whole width', ''],
    ['one point four millimetres', ''],
    ['bulges are fine', ''],
  ]),
  ...of('tell.lamps', [
    [
      'explain you would operate the switch, turn on the ignition if necessary, then walk round the vehicle',
      'on ignition walk',
    ],
    ['operate the light switch and walk round the car', 'on walk'],
    ['ignition on, lights on, walk around to check they are all working', 'ignition on walk'],
    ['turn the lights on, get out, have a look around the vehicle', 'on walk'],
    ['I operate the switch and go round the car', 'on walk'],
    ['switch on and walk around', 'on walk'],
    ['they come on by themselves', ''],
    ['ask my mum', ''],
  ]),
  ...of('tell.abs', [
    ['warning light should illuminate if there is a fault with the anti-lock braking system', 'lamp'],
    ['the abs light would come on', 'lamp'],
    ['the telltale on the dash stays lit', 'lamp'],
    ['a warning light appears on the dashboard', 'lamp'],
    ['the abs symbol lights up', 'lamp'],
    ['the amber warning light would stay on after starting', 'lamp'],
    ['the brake pedal goes soft', ''],
    ['the wheels lock', ''],
  ]),
  ...of('tell.indicators', [
    ['apply the indicators or hazard warning switch and check the functioning of all the indicators', 'on walk'],
    ['operate the hazard switch and walk round to see that they all flash', 'on walk'],
    ['press the hazard warning button then check all indicators', 'on walk'],
    ['hazard lights on and walk round the vehicle', 'on walk'],
    ['put the hazards on, get out and go around', 'on walk'],
    ['hazards', 'on'],
    ['look at the arrows on the dash', ''],
  ]),
  ...of('tell.brake-lamps', [
    ['operate the brake pedal, make use of reflections in windows or doors, or ask someone to help', 'press see'],
    ['operate the footbrake and ask somebody to check', 'press see'],
    ['apply the brake and look in the reflection', 'press see'],
    ['put your foot on the brake and get someone to stand behind', 'press see'],
    ['ignition on, depress the brake pedal, look at the garage door', 'ignition press see'],
    ['ask someone to help', 'see'],
    ['put the handbrake on', ''],
    ['switch the lights on', ''],
  ]),
  ...of('tell.steering', [
    [
      'if the steering becomes heavy the system may not be working properly. Gentle pressure on the steering wheel, maintained while the engine is started, should result in a slight but noticeable movement as the system begins to operate. Alternatively turning the steering wheel just after moving off gives an immediate indication',
      'heavy give',
    ],
    ['gentle pressure on the wheel as the engine starts, there should be a slight movement', 'give'],
    ['if the steering gets heavy it is not working', 'heavy'],
    ['turn the steering wheel just after moving off', 'give'],
    ['light pressure on the wheel when starting and you feel it give', 'give'],
    ['look under the bonnet', ''],
    ['the wheel should be straight', ''],
  ]),
  ...of('tell.rear-fog', [
    [
      'operate the switch, turn on dipped headlights and ignition if necessary, check the warning light is on, use when visibility is seriously reduced to 100 metres or less',
      'dipped switch when',
    ],
    ['dipped headlights on, operate the fog light switch, warning light on, below 100 metres', 'dipped switch when'],
    ['press the button with headlights on, the telltale shows, only under 100 m visibility', 'dipped switch when'],
    ['only if I see less than a hundred metres', 'when'],
    ['operate the switch and check the light', 'switch'],
    ['in heavy rain', ''],
    ['under 50 metres', ''],
  ]),
  ...of('tell.beam', [
    [
      'operate the switch with ignition or engine on if necessary, check with the main beam warning light',
      'switch blue',
    ],
    ['operate the stalk and the main beam warning light comes on', 'switch blue'],
    ['push the stalk forward, the blue main beam light shows on the dash', 'switch blue'],
    ['flick the stalk, the high beam symbol lights up', 'switch blue'],
    ['use the lever and look for the main beam telltale', 'switch blue'],
    ['the blue light tells me', 'blue'],
    ['push the stalk', 'switch'],
    ['look at the road', ''],
    ['the green light comes on', ''],
  ]),
  ...of('tell.oil', [
    ['identify the dipstick, describe check of oil level against the minimum and maximum markers', 'dipstick between'],
    ['identify dipstick and check the oil is between the high and low markings', 'dipstick between'],
    ['pull out the dipstick, wipe it, back in, out again, oil between min and max', 'dipstick wipe between'],
    ['find the dipstick, clean it, dip it again, level between the markers', 'dipstick wipe between'],
    ['here is the dipstick, the oil should be between the top and bottom markers', 'dipstick between'],
    ['remove the dipstick, wipe clean, reinsert, the level lies between the two marks', 'dipstick wipe between'],
    ['dipstick, between low and high', 'dipstick between'],
    ['fill it up to the top of the engine', ''],
    ['on the dashboard', ''],
  ]),
  ...of('tell.coolant', [
    [
      'identify high and low level markings on the header tank, and describe how to top up to the correct level',
      'tank top-up',
    ],
    ['it should be between the high and low markings on the tank', 'tank'],
    ['header tank, between minimum and maximum, top it up with coolant', 'tank top-up'],
    ['the level must be between the upper and lower marks, never open the cap hot', 'tank hot'],
    ['between the top and bottom markers', 'tank'],
    ['fill it with oil', ''],
    ['look at the temperature', ''],
  ]),
  ...of('tell.brake-fluid', [
    ['identify the reservoir, check the level against the high and low markings', 'reservoir between'],
    ['the reservoir is here and the fluid is between high and low', 'reservoir between'],
    ['look at the container, level between the upper and lower markers', 'reservoir between'],
    ['between the top and bottom lines on the bottle', 'reservoir between'],
    ['fluid should be at the maximum marking or between min and max', 'between'],
    ['press the brake', ''],
    ['under the car', ''],
  ]),
  ...of('show.rear-wash', [
    ['mirrors, look well ahead, then operate the rear wiper and washer, then off', 'mirrors ahead work back'],
    ['use the stalk', 'work'],
    ['check the mirrors, operate the control and cancel it', 'mirrors work back'],
    ['look round', ''],
  ]),
  ...of('show.front-wash', [
    ['look ahead, check mirrors, operate the washers and wipers', 'ahead mirrors work'],
    ['pull the stalk towards me and let go', 'work back'],
    ['I would stop first', 'back'],
  ]),
  ...of('show.headlights', [
    ['operate the light switch after checking the mirrors', 'mirrors work'],
    ['turn the switch to dipped, then back off', 'work back'],
    ['look far ahead, mirrors, turn the dial', 'ahead mirrors work'],
  ]),
  ...of('show.rear-demist', [
    ['activate the rear demister button when it is clear ahead', 'ahead work'],
    ['operate the heated rear window switch and turn it off again', 'work back'],
    ['mirrors, then press', 'mirrors work'],
  ]),
  ...of('show.front-demist', [
    ['set the fan, direct warm air to the windscreen, air con on', 'air'],
    ['operate all the relevant controls, fan, temperature, air direction', 'work air'],
    ['mirrors first, turn the blower up', 'mirrors work air'],
  ]),
  ...of('show.horn', [
    ['operate the horn if it is safe', 'work'],
    ['check it is clear ahead and press the horn briefly then let go', 'ahead work back'],
    ['shout', ''],
  ]),
  ...of('show.window', [
    ['operate the window switch, check the mirrors, close it again', 'work mirrors back'],
    ['lower and raise the window with the switch', 'work'],
    ['look ahead, mirror, wind it down with the button and up again', 'ahead mirrors work back'],
  ]),
  ...of('oral.bonnet', [
    ['operate the release lever in the car, find the safety catch, use the stay', 'release catch stay'],
    ['pull the bonnet release under the dashboard, safety catch, secure it with the support rod', 'release catch stay'],
    ['use the bonnet stay', 'stay'],
    ['lever inside', ''],
  ]),
  ...of('rules.phone', [
    ['no, not even then', 'answer'],
    ['yes if I am waiting', ''],
  ]),
  ...of('rules.two-seconds', [
    ['at least a two second gap', 'answer'],
    ['one second', ''],
  ]),
  ...of('rules.wet-gap', [
    ['double the gap', 'answer'],
    ['the same', ''],
  ]),
  ...of('rules.ice-gap', [
    ['up to ten times longer', 'answer'],
    ['five times', ''],
  ]),
  ...of('rules.amber', [
    ['stop at the line unless it would be unsafe', 'answer'],
    ['carry on', ''],
  ]),
  ...of('rules.parked-gap', [
    ['a metre or a door width', 'answer'],
    ['none', ''],
  ]),
  ...of('rules.tired', [
    ['pull over somewhere safe and take a break', 'answer'],
    ['open the radio', ''],
  ]),
  ...of('rules.tunnel', [
    ['dipped lights', 'answer'],
    ['the radio', ''],
  ]),
  ...of('rules.level-crossing', [
    ['stop and wait', 'answer'],
    ['go quickly', ''],
  ]),
  ...of('rules.lane', [
    ['keep in the left hand lane', 'answer'],
    ['the middle', ''],
  ]),
  ...of('rules.joining', [
    ['build up speed on the slip road and merge into a gap', 'answer'],
    ['wait at the end', ''],
  ]),
  ...of('rules.hill-park', [
    ['turn them towards the kerb', 'answer'],
    ['away', ''],
  ]),
  ...of('sign.no-entry', [
    ['no entry for vehicles', 'meaning'],
    ['parking', ''],
  ]),
  ...of('sign.give-way', [
    ['give way to traffic on the major road', 'meaning'],
    ['stop', ''],
  ]),
  ...of('sign.no-overtaking', [
    ['no overtaking', 'meaning'],
    ['two lanes', ''],
  ]),
  ...of('sign.roundabout-ahead', [
    ['roundabout', 'meaning'],
    ['u turn', ''],
  ]),
  ...of('sign.slippery', [
    ['slippery road', 'meaning'],
    ['bend', ''],
  ]),
  ...of('hand.behind-right', [
    ['right arm straight out', 'arm'],
    ['wave', ''],
  ]),
  ...of('hand.behind-slow', [
    ['arm out, moving it slowly up and down', 'arm'],
    ['arm straight out', ''],
  ]),
  ...of('hand.behind-left', [
    ['rotate my arm in a circle', 'arm'],
    ['arm straight out', ''],
  ]),
];

/** The same, written after the synonyms and never used to change them. */
export const laterAnswers: readonly SpokenAnswer[] = [
  ...of('tell.brakes', [
    ['the pedal mustnt be spongy or slack and I test the brake when setting off', 'pedal try'],
    ['firm pedal', 'pedal'],
    ['look for leaks', ''],
  ]),
  ...of('tell.pressures', [
    ['it says in the vehicle guide; I use a gauge before a journey while the tyres are cold', 'where gauge cold'],
    ['manual for the figure, pressure gauge, cold tyres, spare, caps back on', 'where gauge cold spare caps'],
    ['pump them up until hard', ''],
  ]),
  ...of('tell.restraint', [
    ['level with the top of the ears and close to the back of my head', 'height close'],
    ['behind my neck', ''],
  ]),
  ...of('tell.tread', [
    ['no bulges or cuts, 1.6 mm deep, middle three quarters, all around', 'damage depth breadth round'],
    ['I use a coin', ''],
  ]),
  ...of('tell.lamps', [
    ['put the headlights on and walk round to see', 'on walk'],
    ['operate the switch for the lights, then have a walk around', 'on walk'],
    ['look at the dashboard light', ''],
  ]),
  ...of('tell.abs', [
    ['an abs warning would show on the dash', 'lamp'],
    ['a lamp stays lit after the engine starts', 'lamp'],
    ['you hear it', ''],
  ]),
  ...of('tell.indicators', [
    ['use the hazard lights switch and get out to walk round', 'on walk'],
    ['signal right and listen', 'on'],
  ]),
  ...of('tell.brake-lamps', [
    ['step on the brake pedal and check the reflection in a shop window', 'press see'],
    ['hold the footbrake down, ask my instructor to look', 'press see'],
    ['pull up the handbrake and look', ''],
  ]),
  ...of('tell.steering', [
    ['turn the wheel slightly as you start the engine, it should loosen', 'give'],
    ['it locks', ''],
  ]),
  ...of('tell.rear-fog', [
    ['with dipped beam on, use the switch, the symbol lights up; when I can see less than 100 m', 'dipped switch when'],
    ['when it gets dark', ''],
  ]),
  ...of('tell.beam', [
    ['push the lever away from me and the full beam light comes on', 'switch blue'],
    ['operate the stalk, blue lamp', 'switch blue'],
    ['it gets brighter', ''],
  ]),
  ...of('tell.oil', [
    ['locate the dipstick, wipe it, check the level is between the lower and upper marks', 'dipstick wipe between'],
    ['identify the dipstick and look at the level against the max and min lines', 'dipstick between'],
    ['smell it', ''],
  ]),
  ...of('tell.coolant', [
    ['the coolant should lie between the low and the high line', 'tank'],
    ['identify the tank, level between the markings, top up if low', 'tank top-up'],
    ['feel if the engine is hot', ''],
  ]),
  ...of('tell.brake-fluid', [
    ['identify the container and check that the fluid is between the bottom and top marks', 'reservoir between'],
    ['pump the pedal', ''],
  ]),
  ...of('show.rear-wash', [['mirrors then operate the washer with the stalk', 'mirrors work']]),
  ...of('show.headlights', [['look ahead, operate the switch for dipped lights', 'ahead work']]),
  ...of('show.horn', [['use the horn', 'work']]),
  ...of('show.window', [['check it is safe ahead, operate the button, close the window', 'ahead work back']]),
  ...of('oral.bonnet', [
    ['operate the bonnet lever in the car, lift the catch, prop it with the stay', 'release catch stay'],
  ]),
];
