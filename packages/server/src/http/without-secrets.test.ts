import { linkPages } from '@jasperwren/contract/link-pages';
import { addressOf } from '@jasperwren/contract/route';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import { v7 as newId } from 'uuid';
import { newToken } from '../secrets';
import { withoutSecrets } from './without-secrets';

const namesIn = (path: string) => [...path.matchAll(/:(\w+)/g)].map(([, name]) => name!);
const paths = [...routeNames.map((name) => routeOf(name).path), ...Object.values(linkPages)];

describe('an address in the log', () => {
  it('holds no secret, whichever route or page of the table it is', () => {
    const secret = paths.filter((path) => path.includes(':token'));
    expect(secret.length).toBeGreaterThan(6);
    for (const path of secret) {
      for (const token of [newToken(), 'short', '%41%42%43']) {
        for (const written of [path, path.toUpperCase().replace(':TOKEN', ':token'), path.replace('/', '//')]) {
          const address = written.replace(':token', token);
          expect(withoutSecrets(address)).not.toContain(token);
          expect(withoutSecrets(address)).toBe(written.replace(':token', '…'));
        }
      }
    }
  });

  it('stays as it is everywhere else, ids included', () => {
    for (const path of paths.filter((one) => !one.includes(':token'))) {
      const address = addressOf({ path, query: [] }, Object.fromEntries(namesIn(path).map((name) => [name, newId()])));
      expect(withoutSecrets(address)).toBe(address);
    }
  });

  it('holds no token that stands where none belongs', () => {
    const token = newToken();
    expect(withoutSecrets(`/routes/${token}/rehearse`)).toBe('/routes/…/rehearse');
    expect(withoutSecrets(`/assets/${token}.js`)).toBe('/assets/….js');
  });
});
