/**
 * Words of the trade that say one thing, by the name by which a way of saying it asks for them: `@press`. Of each any will do. They
 * are data: a word that practitioners use is added here, and holds in every question.
 */
export const synonyms: Readonly<Record<string, readonly string[]>> = {
  // The book of the car, by whatever name.
  book: ['handbook', 'manual', 'booklet', 'guide', 'book'],
  plate: ['plate', 'sticker', 'label'],
  // Where the plate is.
  opening: ['door', 'frame', 'pillar', 'sill', 'flap'],
  // What is done to a pedal, a switch, a stalk.
  press: ['press', 'push', 'depress', 'operate', 'apply', 'hold', 'foot', 'step', 'put', 'use'],
  work: [
    ...['press', 'push', 'pull', 'turn', 'twist', 'switch', 'flick', 'move', 'hold', 'put'],
    ...['operate', 'activate', 'use', 'wind', 'lower', 'click'],
  ],
  control: ['button', 'stalk', 'dial', 'lever', 'switch', 'control', 'ring', 'knob'],
  // A lamp on the dashboard.
  telltale: ['light', 'lamp', 'warning', 'symbol', 'telltale', 'icon'],
  lamps: ['light', 'headlight', 'lamp', 'headlamp'],
  // The marks between which a level lies, by their names and by where they are.
  marks: ['mark', 'marks', 'markings', 'markers', 'line', 'lines', 'notches', 'two'],
  low: ['minimum', 'min', 'low', 'lower', 'bottom'],
  high: ['maximum', 'max', 'high', 'upper', 'top'],
  tank: ['tank', 'reservoir', 'container', 'bottle'],
  find: ['identify', 'find', 'locate', 'check', 'use', 'pull', 'take', 'remove', 'here', 'dip', 'wipe', 'clean'],
  off: ['off', 'back', 'again', 'close', 'release', 'stop', 'let', 'cancel'],
};
