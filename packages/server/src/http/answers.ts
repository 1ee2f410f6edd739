import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { Route, Topic } from '@jasperwren/contract/route';
import type Koa from 'koa';
import { LRUCache } from 'lru-cache';
import type { Who } from '../call';

const zip = promisify(gzip);
/** What the answers that are kept may take together, in bytes. */
const mostKept = 64 * 1024 * 1024;
/** Shorter ones are sent as they are. */
const worthZipping = 1024;
const minuteMs = 60_000;

interface Answer {
  readonly plain: Buffer;
  readonly zipped?: Buffer;
}

/** What has changed of each school since the server started, by topic: the server is the only one that writes. */
export interface Changes {
  readonly note: (schoolId: string, topics: readonly Topic[]) => void;
  /** A mark that differs whenever something of these topics has changed. */
  readonly mark: (schoolId: string, topics: readonly Topic[]) => string;
}

export function changesOf(): Changes {
  const counts = new Map<string, number>();
  const key = (schoolId: string, topic: Topic) => `${schoolId} ${topic}`;
  return {
    note(schoolId, topics) {
      for (const topic of topics) counts.set(key(schoolId, topic), (counts.get(key(schoolId, topic)) ?? 0) + 1);
    },
    mark: (schoolId, topics) => topics.map((topic) => counts.get(key(schoolId, topic)) ?? 0).join('.'),
  };
}

/**
 * Answers that are the same while nothing they follow from has changed: the browser is told by its tag that it has
 * the answer already (RFC 9110, 13.1.2), and several who ask share one.
 */
export function answersOf(changes: Changes) {
  const kept = new LRUCache<string, Answer>({
    maxSize: mostKept,
    sizeCalculation: ({ plain, zipped }) => plain.length + (zipped?.length ?? 0) + 1,
  });
  const begun = Date.now().toString(36);
  const underWay = new Map<string, Promise<Answer>>();

  /** Several who ask while it is being made wait for the same. */
  function madeOnce(tag: string, work: () => Promise<unknown>): Promise<Answer> {
    const own =
      underWay.get(tag) ??
      made(work)
        .then((answer) => {
          kept.set(tag, answer);
          return answer;
        })
        .finally(() => underWay.delete(tag));
    underWay.set(tag, own);
    return own;
  }

  return async function answer(ctx: Koa.Context, route: Route, who: Who, work: () => Promise<unknown>): Promise<void> {
    // Some answers say what is due now: a minute is the longest they stand.
    const minute = Math.floor(Date.now() / minuteMs);
    const whose = route.ofSchool ? who.role : who.accountId;
    const facts = [begun, minute, who.schoolId, whose, ctx.url, changes.mark(who.schoolId, route.reads)];
    const tag = createHash('sha1').update(facts.join(' ')).digest('base64url');
    ctx.set('cache-control', 'private, no-cache');
    ctx.set('etag', `W/"${tag}"`);
    ctx.set('vary', 'cookie, accept-encoding');
    if (ctx.get('if-none-match').includes(`"${tag}"`)) {
      ctx.status = 304;
      return;
    }
    const known = kept.get(tag) ?? (await madeOnce(tag, work));
    ctx.status = 200;
    ctx.type = 'json';
    if (known.zipped && ctx.acceptsEncodings('gzip') === 'gzip') {
      ctx.set('content-encoding', 'gzip');
      ctx.body = known.zipped;
    } else {
      ctx.body = known.plain;
    }
  };
}

async function made(work: () => Promise<unknown>): Promise<Answer> {
  const plain = Buffer.from(JSON.stringify(await work()));
  return plain.length < worthZipping ? { plain } : { plain, zipped: await zip(plain) };
}
