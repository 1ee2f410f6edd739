import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { textOf, type Chunks } from '../bytes';
import { RoadsError } from '../problem';
import type { RoadSource } from '../source';
import { SourceBuilder } from '../source-builder';
import { readRestriction, type Member } from './restriction';

/** What is told and asked while a file is read. */
export interface Reading {
  /** Characters read so far. */
  readonly onProgress?: (read: number) => void;
  readonly signal?: AbortSignal;
}

/** Nothing of ours lies deeper than a tag in an element in the root. */
const deepest = 8;

/**
 * Roads of an OpenStreetMap XML file (wiki: OSM XML, API version 0.6), plain or gzipped, read piece by piece. Elements may
 * come in any order. Throws a `RoadsError` that names line or element where the file cannot be used.
 */
export async function readOsm(chunks: Chunks, { onProgress, signal }: Reading = {}): Promise<RoadSource> {
  const reader = new OsmReader();
  let read = 0;
  for await (const text of textOf(chunks)) {
    signal?.throwIfAborted();
    reader.write(text);
    read += text.length;
    onProgress?.(read);
  }
  return reader.finish();
}

type Attributes = SaxesTagPlain['attributes'];

interface Element {
  readonly kind: 'node' | 'way' | 'relation';
  readonly id: number;
  readonly line: number;
  readonly gone: boolean;
  tags: Record<string, string> | undefined;
  readonly refs: number[];
  readonly members: Member[];
}

class OsmReader {
  private readonly parser = new SaxesParser({ xmlns: false, position: true });
  private readonly builder = new SourceBuilder();
  private readonly open: string[] = [];
  private element: Element | undefined;

  constructor() {
    this.parser.on('error', (error) => this.fail(error));
    this.parser.on('xmldecl', ({ encoding }) => {
      if (encoding !== undefined && !/^(utf-?8|us-ascii|ascii)$/i.test(encoding))
        throw new RoadsError({ code: 'otherEncoding', encoding });
    });
    this.parser.on('doctype', () => {
      throw new RoadsError({ code: 'documentType', line: this.parser.line });
    });
    this.parser.on('opentag', (tag) => this.begin(tag));
    this.parser.on('closetag', () => this.end());
  }

  write(text: string): void {
    this.parser.write(text);
  }

  finish(): RoadSource {
    const open = this.open.at(-1);
    if (open !== undefined) throw new RoadsError({ code: 'cutShort', line: this.parser.line, open });
    this.parser.close();
    return this.builder.build();
  }

  private fail(error: Error): never {
    const { line, column } = this.parser;
    throw new RoadsError({ code: 'badXml', line, column, detail: error.message.replace(/^\d+:\d+: /, '') });
  }

  private begin({ name, attributes }: SaxesTagPlain): void {
    const depth = this.open.push(name);
    const { line } = this.parser;
    if (depth === 1) {
      if (name !== 'osm') throw new RoadsError({ code: 'otherRoot', line, root: name, wanted: 'osm' });
      return;
    }
    if (depth > deepest) throw new RoadsError({ code: 'tooDeep', line });
    if (depth === 2) this.element = this.beginElement(name, attributes, line);
    else if (depth === 3 && this.element) this.inside(this.element, name, attributes);
  }

  private beginElement(name: string, attributes: Attributes, line: number): Element | undefined {
    if (name !== 'node' && name !== 'way' && name !== 'relation') return undefined;
    const text = attributes['id'] ?? '';
    const id = Number(text);
    if (text === '' || !Number.isSafeInteger(id)) throw new RoadsError({ code: 'noId', element: name, line });
    const gone = attributes['visible'] === 'false' || attributes['action'] === 'delete';
    if (name === 'node' && !gone) this.addNode(id, attributes, line);
    return { kind: name, id, line, gone, tags: undefined, refs: [], members: [] };
  }

  private addNode(id: number, { lat, lon }: Attributes, line: number): void {
    const said = { element: 'node', id: String(id), line };
    if (!lat?.trim() || !lon?.trim()) throw new RoadsError({ code: 'noPlace', ...said });
    const y = Number(lat);
    const x = Number(lon);
    // Written so that what is no number is refused too.
    if (!(Math.abs(y) <= 90 && Math.abs(x) <= 180)) throw new RoadsError({ code: 'impossiblePlace', ...said });
    if (!this.builder.node(id, y, x)) throw new RoadsError({ code: 'idTwice', ...said });
  }

  private inside(element: Element, name: string, attributes: Attributes): void {
    if (name === 'tag') {
      const { k, v } = attributes;
      if (k !== undefined && v !== undefined) (element.tags ??= Object.create(null) as Record<string, string>)[k] = v;
    } else if (name === 'nd' && element.kind === 'way') {
      element.refs.push(this.refOf(element, attributes));
    } else if (name === 'member' && element.kind === 'relation') {
      const { type = '', role = '' } = attributes;
      element.members.push({ type, role, ref: this.refOf(element, attributes) });
    }
  }

  private refOf({ kind }: Element, { ref }: Attributes): number {
    const id = ref ? Number(ref) : NaN;
    if (!Number.isSafeInteger(id)) throw new RoadsError({ code: 'noId', element: kind, line: this.parser.line });
    return id;
  }

  private end(): void {
    this.open.pop();
    if (this.open.length !== 1 || !this.element) return;
    const { kind, id, line, gone, tags, refs, members } = this.element;
    this.element = undefined;
    if (gone || !tags) return;
    if (kind === 'node') this.builder.nodeTags(id, tags);
    else if (kind === 'way') {
      if (!this.builder.way(id, refs, tags))
        throw new RoadsError({ code: 'idTwice', element: 'way', id: String(id), line });
    } else {
      const found = readRestriction(id, tags, members);
      if (!found) return;
      if ('reason' in found) this.builder.drop(found);
      else this.builder.restriction(found);
    }
  }
}
