import { linkPages } from '@jasperwren/contract/link-pages';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import { tokenPattern } from '../secrets';

const secretName = ':token';

/** What stands before a secret in an address, of the whole table of routes and of the pages that links open. */
const beforeSecrets = [
  ...new Set(
    [...routeNames.map((name) => routeOf(name).path), ...Object.values(linkPages)].flatMap((path) => {
      const at = path.indexOf(secretName);
      return at === -1 ? [] : [path.slice(0, at)];
    }),
  ),
];

/** A secret where the table has one, in whatever case the address is written: it is found in any. */
const inItsPlace = new RegExp(`^(${beforeSecrets.map((path) => path.replaceAll('/', '/+')).join('|')})[^/]+`, 'i');
/** And one that stands where none belongs: a link that was copied into another address. */
const anywhere = new RegExp(`(?<![\\w-])${tokenPattern}(?![\\w-])`, 'g');

/** A path as it may stand in a log: without what opens something. */
export const withoutSecrets = (path: string): string => path.replace(inItsPlace, '$1…').replace(anywhere, '…');
