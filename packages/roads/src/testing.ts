import { degreeMetres } from './geometry';
import { readOsm } from './osm/read-osm';
import type { RoadSource } from './source';

type Text = Readonly<Record<string, string>>;

/** A few roads by hand: nodes by letter, in metres east and north of a place far out at sea. */
export interface Drawing {
  readonly nodes: Readonly<Record<string, readonly [x: number, y: number, tags?: Text]>>;
  /** By number; nodes as letters apart by blanks. */
  readonly ways: Readonly<Record<number, readonly [nodes: string, tags?: Text]>>;
  /** By number; members as `from 1, via a, to 2`; a letter is a node, a number a way. */
  readonly restrictions?: Readonly<Record<number, readonly [kind: string, members: string, tags?: Text]>>;
}

export const origin = { lat: 48, lon: -30 };

/** Where a place of a drawing lies. */
export function placeAt(x: number, y: number) {
  const degree = degreeMetres(origin.lat);
  return { lat: origin.lat + y / degree.lat, lon: origin.lon + x / degree.lon };
}

const tagsXml = (tags: Text) =>
  Object.entries(tags)
    .map(([k, v]) => `    <tag k="${k}" v="${v}"/>\n`)
    .join('');

/** A drawing as an OpenStreetMap file. */
export function osmXml({ nodes, ways, restrictions = {} }: Drawing): string {
  const number = new Map(Object.keys(nodes).map((letter, i) => [letter, i + 1]));
  const out = ['<?xml version="1.0" encoding="UTF-8"?>\n<osm version="0.6">\n'];
  for (const [letter, [x, y, tags = {}]] of Object.entries(nodes)) {
    const { lat, lon } = placeAt(x, y);
    out.push(`  <node id="${number.get(letter)}" lat="${lat}" lon="${lon}">\n${tagsXml(tags)}  </node>\n`);
  }
  for (const [id, [letters, tags = {}]] of Object.entries(ways)) {
    const refs = letters.split(' ').map((letter) => `    <nd ref="${number.get(letter) ?? 99999}"/>\n`);
    out.push(`  <way id="${id}">\n${refs.join('')}${tagsXml({ highway: 'residential', ...tags })}  </way>\n`);
  }
  for (const [id, [kind, members, tags = {}]] of Object.entries(restrictions)) {
    const list = members.split(', ').map((member) => {
      const [role, who = ''] = member.split(' ');
      const node = number.get(who);
      return `    <member type="${node ? 'node' : 'way'}" ref="${node ?? who}" role="${role}"/>\n`;
    });
    out.push(
      `  <relation id="${id}">\n${list.join('')}${tagsXml({ type: 'restriction', restriction: kind, ...tags })}  </relation>\n`,
    );
  }
  out.push('</osm>\n');
  return out.join('');
}

export const bytesOf = (text: string): readonly Uint8Array[] => [new TextEncoder().encode(text)];

/** The roads of a drawing. */
export const drawn = (drawing: Drawing): Promise<RoadSource> => readOsm(bytesOf(osmXml(drawing)));
