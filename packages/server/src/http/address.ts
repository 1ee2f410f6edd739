const ourselves = 'http://host';

/** The address of a request in its parts; undefined where it names no path here: `//`, `?`, `*`, an authority alone. */
export function addressOf(url: string | undefined): URL | undefined {
  if (!url?.startsWith('/') || !URL.canParse(url, ourselves)) return undefined;
  const address = new URL(url, ourselves);
  // `//elsewhere/path` names another host (RFC 3986, 4.2).
  return address.origin === ourselves ? address : undefined;
}

/** Whether the routes can look at an address: a path, or a whole one as proxies may send it (RFC 9112, 3.2.2). */
export const isReadable = (url: string | undefined): boolean =>
  url !== undefined &&
  (url.startsWith('/') || /^https?:\/\//i.test(url)) &&
  URL.canParse(url.replace(/^\/+/, '/'), ourselves);
