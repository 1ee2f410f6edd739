/** Shapes that mean the same nearly everywhere. */
export const signShapes = [
  'warning',
  'prohibition',
  'mandatory',
  'stop',
  'give-way',
  'information',
  'end',
  'priority',
] as const;
export type SignShape = (typeof signShapes)[number];

export interface Sign {
  readonly code: string;
  readonly shape: SignShape;
  /** What is drawn on it: the name of a drawing, or `text:` with what is written. */
  readonly glyph: string;
  readonly meaning: string;
  /** Ways of saying it, in the notation of `heardIn`. */
  readonly says: readonly string[];
}

const sign = (code: string, shape: SignShape, glyph: string, meaning: string, ...says: readonly string[]): Sign => ({
  code,
  shape,
  glyph,
  meaning,
  says,
});

/** Road signs of the general kind: triangles warn, rings forbid, discs command (common practice). */
export const signs: readonly Sign[] = [
  sign('bend-left', 'warning', 'bend-left', 'Bend to the left', 'bend|curve|corner left'),
  sign('bend-right', 'warning', 'bend-right', 'Bend to the right', 'bend|curve|corner right'),
  sign(
    'double-bend',
    'warning',
    'double-bend',
    'Double bend, first to the left',
    'double|two|several|series bend|bends|curve|curves',
  ),
  sign('crossroads', 'warning', 'crossroads', 'Crossroads', 'crossroad|crossroads|crossing roads|road', 'crossroads'),
  sign(
    'side-road',
    'warning',
    'side-road',
    'Side road joins from the right',
    'side|road|junction|turning|joins right|side|junction',
  ),
  sign('roundabout-ahead', 'warning', 'roundabout', 'Roundabout ahead', 'roundabout'),
  sign('signals', 'warning', 'signals', 'Traffic lights ahead', 'traffic|signal lights|light|signals|ahead'),
  sign('narrows', 'warning', 'narrows', 'Road narrows on both sides', 'narrow|narrows|narrower|narrowing'),
  sign('two-way', 'warning', 'two-way', 'Two-way traffic', 'two|both|oncoming way|ways|directions|traffic'),
  sign('hump', 'warning', 'hump', 'Humps in the road', 'hump|humps|bump|bumps'),
  sign('slippery', 'warning', 'slippery', 'Slippery road', 'slippery|slip|skid|slide'),
  sign(
    'steep-down',
    'warning',
    'steep-down',
    'Steep hill downwards',
    'steep|hill|slope|descent down|downhill|downwards|descent',
  ),
  sign('children', 'warning', 'children', 'Children, perhaps on their way to school', 'children|school|child|kids'),
  sign(
    'crossing',
    'warning',
    'walker',
    'Pedestrian crossing ahead',
    'pedestrian|zebra|people|crossing crossing|cross|ahead|walk',
  ),
  sign('cyclists', 'warning', 'cycle', 'Cyclists about', 'cycle|cyclist|cyclists|bicycle|bike|bikes'),
  sign('animals', 'warning', 'animal', 'Animals on the road', 'animal|animals|cow|cattle|deer'),
  sign('works', 'warning', 'works', 'Road works', 'works|roadworks|work|digging'),
  sign('level-crossing', 'warning', 'gate', 'Level crossing with a gate', 'level|railway|train crossing'),
  sign('wind', 'warning', 'wind', 'Side winds', 'wind|winds|windy'),
  sign(
    'queue',
    'warning',
    'queue',
    'Queues likely',
    'queue|queues|congestion|traffic queue|jam|queues|likely|congestion',
  ),
  sign('no-entry', 'prohibition', 'bar', 'No entry for any vehicle', '!enter|!entry|!in|!drive', 'no entry'),
  sign(
    'no-vehicles',
    'prohibition',
    'empty',
    'Closed to all vehicles in both directions',
    '!vehicle|!vehicles|!traffic|!cars',
    'closed',
  ),
  sign('no-overtaking', 'prohibition', 'two-cars', 'No overtaking', '!overtake|!overtaking|!pass|!passing'),
  sign('no-left', 'prohibition', 'turn-left', 'No left turn', '!left'),
  sign('no-right', 'prohibition', 'turn-right', 'No right turn', '!right'),
  sign('no-u-turn', 'prohibition', 'u-turn', 'No turning back', '!turn|!turning|!back|!u'),
  sign('limit-30', 'prohibition', 'text:30', 'Speed limit 30', 'limit|maximum|max|speed|faster 30'),
  sign('limit-50', 'prohibition', 'text:50', 'Speed limit 50', 'limit|maximum|max|speed|faster 50'),
  sign('no-lorries', 'prohibition', 'lorry', 'No large goods vehicles', '!lorry|!lorries|!trucks|!hgv|!goods'),
  sign('no-cycles', 'prohibition', 'cycle', 'No cycling', '!cycle|!cycling|!cyclists|!bicycles|!bikes'),
  sign('height', 'prohibition', 'text:4.4', 'No vehicles higher than 4.4 m', 'height|high|higher|tall|taller 4.4'),
  sign(
    'give-oncoming',
    'prohibition',
    'narrow-arrows',
    'Give way to oncoming traffic',
    'give|priority|wait oncoming|way',
  ),
  sign('ahead-only', 'mandatory', 'arrow-up', 'Ahead only', 'ahead|straight only|must|on'),
  sign('turn-left', 'mandatory', 'arrow-left', 'Turn left', 'turn|must|go left'),
  sign('keep-left', 'mandatory', 'arrow-down-left', 'Keep left', 'keep|pass|stay left'),
  sign(
    'mini-roundabout',
    'mandatory',
    'roundabout',
    'Small roundabout: give way to traffic already on it',
    'roundabout',
  ),
  sign(
    'cycles-only',
    'mandatory',
    'cycle',
    'For cycles only',
    'cycle|cycles|bicycles|cyclists|bikes only|route|path|lane|track',
  ),
  sign('stop', 'stop', 'text:STOP', 'Stop at the line and give way', 'stop'),
  sign('give-way', 'give-way', 'empty', 'Give way to the traffic on the other road', 'give|yield way|yield'),
  sign('one-way', 'information', 'arrow-up', 'One-way street', 'one|single way|direction'),
  sign('parking', 'information', 'text:P', 'Parking place', 'park|parking'),
  sign('dead-end', 'information', 'dead-end', 'No through road', 'dead end', '!through', 'cul de sac'),
  sign(
    'crossing-place',
    'information',
    'walker',
    'Pedestrian crossing',
    'pedestrian|zebra|crossing crossing|cross|pedestrian|zebra',
  ),
  sign('hospital', 'information', 'text:H', 'Hospital', 'hospital'),
  sign('limit-ends', 'end', 'empty', 'The limit set before ends here', 'end|ends|over|national'),
  sign('priority-road', 'priority', 'empty', 'You are on the priority road', 'priority|right_of_way|main'),
];
