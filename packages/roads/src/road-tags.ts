import { kmhPerMph } from './units';

/** Classes of road, from the largest to the least, by the value of the tag `highway`. */
export const roadClasses = [
  'motorway',
  'trunk',
  'primary',
  'secondary',
  'tertiary',
  'unclassified',
  'road',
  'residential',
  'living_street',
  'service',
  'track',
] as const;
export type RoadClass = (typeof roadClasses)[number];

/** Who may drive: anyone, only those with an end there, or nobody but the owner. */
export type Access = 'open' | 'destination' | 'closed';

/** What a way tells of itself. */
export interface Road {
  readonly highway: string;
  readonly roadClass: RoadClass;
  /** A slip road or another connection between roads. */
  readonly link?: true;
  readonly name?: string;
  readonly ref?: string;
  /** The directions one may drive: both, along the way's nodes, or against them. */
  readonly flow: 'both' | 'along' | 'against';
  readonly roundabout?: true;
  /** Limit in km/h along the nodes, and against them where it differs; see `impliedLimit`. */
  readonly limit: number;
  readonly limitBack?: number;
  /** No limit is given: that of the class stands. */
  readonly implied?: true;
  /** The limit is given in miles an hour. */
  readonly mph?: true;
  readonly lanes?: number;
  readonly turnLanes?: string;
  readonly turnLanesBack?: string;
  readonly destination?: string;
  readonly access: Access;
  readonly unpaved?: true;
  readonly bridge?: true;
  readonly tunnel?: true;
  /** A slope of 8 % or more. */
  readonly steep?: true;
  /** Metres of width where it is given. */
  readonly width?: number;
  /** Drivers use the left here (`driving_side`), where the way says so. */
  readonly side?: 'left' | 'right';
}

export type Tags = Readonly<Record<string, string>>;

/** Limits in km/h that stand where a road gives none: a cautious reading by class, common practice. */
export const impliedLimits: Readonly<Record<RoadClass, number>> = {
  motorway: 110,
  trunk: 90,
  primary: 80,
  secondary: 80,
  tertiary: 80,
  unclassified: 80,
  road: 50,
  residential: 50,
  living_street: 20,
  service: 30,
  track: 30,
};

/** Limits in km/h that a country's code stands for (`XX:urban`, `XX:nsl_single`), by what stands after the colon. */
const zones: Readonly<Record<string, number>> = {
  urban: 50,
  rural: 90,
  trunk: 110,
  motorway: 120,
  living_street: 20,
  bicycle_road: 30,
  nsl_single: 60 * kmhPerMph,
  nsl_dual: 70 * kmhPerMph,
  nsl_restricted: 30 * kmhPerMph,
};

const unpaved = new Set(
  'unpaved gravel fine_gravel compacted dirt earth ground grass mud sand pebblestone rock woodchips'.split(' '),
);
const shut = new Set('no private agricultural forestry delivery customers military permit emergency'.split(' '));
const openTo = new Set(['yes', 'permissive', 'designated', 'official']);

/** The road a way is, or nothing where no car ever drives it. */
export function roadOf(tags: Tags): Road | undefined {
  const highway = tags['highway'];
  if (highway === undefined || tags['area'] === 'yes') return undefined;
  const link = highway.endsWith('_link');
  const base = link ? highway.slice(0, -5) : highway;
  const said = tags['motorcar'] ?? tags['motor_vehicle'] ?? tags['vehicle'] ?? tags['access'];
  const explicit = tags['motorcar'] ?? tags['motor_vehicle'];
  // A field track or a street for walkers is a road only where cars are let in by name.
  if (base === 'track' || base === 'pedestrian') {
    if (!openTo.has(explicit ?? '')) return undefined;
  } else if (!isRoadClass(base)) return undefined;
  const roadClass = isRoadClass(base) ? base : 'living_street';
  const limit = limitOf(tags, roadClass);
  const lanes = Number(tags['lanes']);
  const width = Number(tags['width']?.replace(/ ?m$/, ''));
  return {
    highway,
    roadClass,
    ...(link && { link: true }),
    ...(tags['name'] && { name: tags['name'] }),
    ...(tags['ref'] && { ref: tags['ref'] }),
    flow: flowOf(tags, highway),
    ...(isRound(tags) && { roundabout: true }),
    ...limit,
    ...(lanes >= 1 && lanes <= 12 && { lanes }),
    ...turnLanes(tags),
    ...(tags['destination'] && { destination: tags['destination'] }),
    access: said === undefined || openTo.has(said) ? 'open' : accessOf(said),
    ...(unpaved.has(tags['surface'] ?? '') && { unpaved: true }),
    ...(isYes(tags['bridge']) && { bridge: true }),
    ...(isYes(tags['tunnel']) && { tunnel: true }),
    ...(isSteep(tags['incline']) && { steep: true }),
    ...(width > 0 && width < 50 && { width }),
    ...((tags['driving_side'] === 'left' || tags['driving_side'] === 'right') && { side: tags['driving_side'] }),
  };
}

const isRoadClass = (value: string): value is RoadClass => (roadClasses as readonly string[]).includes(value);
const isYes = (value: string | undefined) => value !== undefined && value !== 'no';
const isSteep = (incline = '') => Math.abs(Number(/^(-?\d+(?:\.\d+)?) ?%$/.exec(incline)?.[1] ?? 0)) >= 8;
const isRound = ({ junction }: Tags) => junction === 'roundabout' || junction === 'circular';

function accessOf(said: string): Access {
  if (said === 'destination') return 'destination';
  return shut.has(said) ? 'closed' : 'open';
}

function flowOf(tags: Tags, highway: string): Road['flow'] {
  switch (tags['oneway:motorcar'] ?? tags['oneway:motor_vehicle'] ?? tags['oneway']) {
    case 'yes':
    case 'true':
    case '1':
      return 'along';
    case '-1':
    case 'reverse':
      return 'against';
    case 'no':
    case 'false':
    case '0':
      return 'both';
    default:
      return isRound(tags) || highway === 'motorway' ? 'along' : 'both';
  }
}

function turnLanes(tags: Tags): Pick<Road, 'turnLanes' | 'turnLanesBack'> {
  const along = tags['turn:lanes:forward'] ?? tags['turn:lanes'];
  const back = tags['turn:lanes:backward'];
  return { ...(along && { turnLanes: along }), ...(back && { turnLanesBack: back }) };
}

function limitOf(tags: Tags, roadClass: RoadClass): Pick<Road, 'limit' | 'limitBack' | 'implied' | 'mph'> {
  const common = parseLimit(tags['maxspeed']) ?? parseLimit(tags['maxspeed:type']) ?? parseLimit(tags['zone:maxspeed']);
  const along = parseLimit(tags['maxspeed:forward']) ?? common;
  const against = parseLimit(tags['maxspeed:backward']) ?? common;
  const first = along ?? against;
  if (!first) return { limit: impliedLimits[roadClass], implied: true };
  const limit = along?.kmh ?? impliedLimits[roadClass];
  const back = against?.kmh ?? impliedLimits[roadClass];
  return {
    limit,
    ...(back !== limit && { limitBack: back }),
    ...(first.mph && { mph: true }),
    ...(first.implied && { implied: true }),
  };
}

/** A limit as it is written (`50`, `30 mph`, `none`, `walk`, `XX:urban`), in km/h; nothing where it cannot be read. */
export function parseLimit(
  text: string | undefined,
): { readonly kmh: number; readonly mph?: true; readonly implied?: true } | undefined {
  if (text === undefined) return undefined;
  const match = /^(\d{1,3}(?:\.\d+)?) ?(mph|km\/h|kmh|kph)?$/.exec(text.trim());
  if (match) {
    const value = Number(match[1]);
    if (value <= 0) return undefined;
    return match[2] === 'mph' ? { kmh: value * kmhPerMph, mph: true } : { kmh: value };
  }
  if (text === 'none') return { kmh: 130, implied: true };
  if (text === 'walk') return { kmh: 7, implied: true };
  const zone = /^[A-Z]{2}:(.+)$/.exec(text)?.[1];
  const kmh = zone === undefined ? undefined : (zones[zone] ?? (Number(zone.replace('zone', '')) || undefined));
  return kmh === undefined ? undefined : { kmh, implied: true };
}

/** What stands at a node, as bits. */
export const signs = {
  signals: 1,
  stop: 2,
  giveWay: 4,
  mini: 8,
  crossing: 16,
  raised: 32,
  /** Cars cannot pass: a bollard, a locked gate. */
  barred: 64,
  /** The sign faces those who drive along the way's nodes, or against them; neither: both may be meant. */
  along: 128,
  against: 256,
  /** A fast road is left here. */
  exit: 512,
  /** A crest one cannot see over (`hazard=blind_summit` or a dip). */
  brow: 1024,
} as const;

const barring = new Set('bollard block jersey_barrier cycle_barrier chain log motorcycle_barrier'.split(' '));
const gates = new Set(['gate', 'lift_gate', 'swing_gate', 'sliding_gate']);
const calming = new Set(['table', 'hump', 'bump', 'cushion', 'yes', 'raised_crossing']);
const highways: Readonly<Record<string, number>> = {
  traffic_signals: signs.signals,
  stop: signs.stop,
  give_way: signs.giveWay,
  mini_roundabout: signs.mini,
  crossing: signs.crossing,
  motorway_junction: signs.exit,
};

/** The signs of a node. */
export function signsOf(tags: Tags): number {
  const { highway, barrier, direction, hazard } = tags;
  let bits = highway === undefined ? 0 : (highways[highway] ?? 0);
  if (calming.has(tags['traffic_calming'] ?? '') || (bits & signs.crossing && tags['crossing:raised'] === 'yes'))
    bits |= signs.raised;
  if (hazard === 'blind_summit' || hazard === 'hidden_dip') bits |= signs.brow;
  const said = tags['motorcar'] ?? tags['motor_vehicle'] ?? tags['vehicle'] ?? tags['access'];
  const passable = said !== undefined && openTo.has(said);
  if (barrier !== undefined && !passable && (barring.has(barrier) || (gates.has(barrier) && shut.has(said ?? ''))))
    bits |= signs.barred;
  const facing = tags['traffic_signals:direction'] ?? direction;
  if (bits !== 0 && facing === 'forward') bits |= signs.along;
  if (bits !== 0 && facing === 'backward') bits |= signs.against;
  return bits;
}
