import { RoadsError } from './problem';
import { roadOf, signsOf, type Road, type Tags } from './road-tags';
import {
  isDrivable,
  type DroppedRestriction,
  type Restriction,
  type RoadSource,
  type RoadWay,
  type School,
} from './source';

/** Collects nodes, ways and restrictions in any order and makes a source of what belongs to roads. */
export class SourceBuilder {
  private readonly index = new Map<number, number>();
  private ids = new Float64Array(1024);
  private lat = new Float64Array(1024);
  private lon = new Float64Array(1024);
  private readonly signs = new Map<number, number>();
  private readonly ways = new Map<number, { readonly road: Road; readonly refs: readonly number[] }>();
  private readonly restrictions: Restriction[] = [];
  private readonly dropped: DroppedRestriction[] = [];
  private readonly schools: School[] = [];
  private readonly schoolWays: { readonly node: number; readonly name: string | undefined }[] = [];

  /** Adds a node; false where its number already stands for another place. */
  node(id: number, lat: number, lon: number): boolean {
    const known = this.index.get(id);
    if (known !== undefined) return this.lat[known] === lat && this.lon[known] === lon;
    const at = this.index.size;
    if (at === this.ids.length) {
      this.ids = grown(this.ids);
      this.lat = grown(this.lat);
      this.lon = grown(this.lon);
    }
    this.ids[at] = id;
    this.lat[at] = lat;
    this.lon[at] = lon;
    this.index.set(id, at);
    return true;
  }

  /** Says what a node that was added is. */
  nodeTags(id: number, tags: Tags): void {
    const bits = signsOf(tags);
    if (bits) this.signs.set(id, bits);
    const at = this.index.get(id);
    if (tags['amenity'] === 'school' && at !== undefined) this.school(at, tags['name']);
  }

  private school(at: number, name: string | undefined): void {
    this.schools.push({ lat: this.lat[at]!, lon: this.lon[at]!, ...(name && { name }) });
  }

  /** Adds a way where it is a road or a school; false where its number already stands for another. */
  way(id: number, refs: readonly number[], tags: Tags): boolean {
    if (tags['amenity'] === 'school' && refs[0] !== undefined)
      this.schoolWays.push({ node: refs[0], name: tags['name'] });
    const road = roadOf(tags);
    if (!road) return true;
    const known = this.ways.get(id);
    // Extracts that were put together may hold the same way twice.
    if (known) return known.refs.length === refs.length && known.refs.every((ref, i) => ref === refs[i]);
    this.ways.set(id, { road, refs });
    return true;
  }

  restriction(restriction: Restriction): void {
    this.restrictions.push(restriction);
  }

  drop(dropped: DroppedRestriction): void {
    this.dropped.push(dropped);
  }

  /** The roads. Throws a `RoadsError` (`noRoads`) where no car may drive anywhere. */
  build(): RoadSource {
    const kept = new Map<number, number>();
    let missingNodes = 0;
    const ways: RoadWay[] = [];
    for (const [id, { road, refs }] of this.ways) {
      let run: number[] = [];
      const runs: number[][] = [];
      for (const ref of refs) {
        const at = this.index.get(ref);
        if (at === undefined) {
          missingNodes++;
          if (run.length > 1) runs.push(run);
          run = [];
          continue;
        }
        // The same node twice in a row adds nothing.
        if (run.length > 0 && run[run.length - 1] === at) continue;
        run.push(at);
      }
      if (run.length > 1) runs.push(run);
      for (const nodes of runs) ways.push({ ...road, id, nodes: nodes.map((at) => place(kept, at)) });
    }
    if (!ways.some(isDrivable)) throw new RoadsError({ code: 'noRoads' });
    for (const { node, name } of this.schoolWays) {
      const at = this.index.get(node);
      if (at !== undefined) this.school(at, name);
    }
    const order = [...kept.keys()];
    const ids = Float64Array.from(order, (at) => this.ids[at]!);
    return {
      ids,
      lat: Float64Array.from(order, (at) => this.lat[at]!),
      lon: Float64Array.from(order, (at) => this.lon[at]!),
      signs: Uint16Array.from(ids, (id) => this.signs.get(id) ?? 0),
      ways,
      restrictions: this.restrictions,
      dropped: this.dropped,
      schools: this.schools,
      missingNodes,
    };
  }
}

function place(kept: Map<number, number>, at: number): number {
  let index = kept.get(at);
  if (index === undefined) {
    index = kept.size;
    kept.set(at, index);
  }
  return index;
}

function grown(list: Float64Array<ArrayBuffer>): Float64Array<ArrayBuffer> {
  const more = new Float64Array(list.length * 2);
  more.set(list);
  return more;
}
