import { isIP } from 'node:net';
import { hostname } from 'node:os';

/** Names that this machine goes by, lower case; more of them in `ESMERO_HOSTS`, separated by commas. */
function ownNames(): ReadonlySet<string> {
  const more = (process.env['ESMERO_HOSTS'] ?? '').split(',');
  const name = hostname();
  return new Set(
    ['localhost', name, `${name}.local`, process.env['HOST'] ?? '', ...more]
      .map((one) => one.trim().toLowerCase())
      .filter(Boolean),
  );
}

const names = ownNames();

/**
 * Was this machine asked for by an address or a name of its own? A page of somebody else whose name was made to lead here is not served
 * (DNS rebinding), since its script would count as ours. An address cannot be made to lead elsewhere.
 * @param host the `Host` of a request, with or without a port
 */
export function isOurHost(host: string | undefined, own: ReadonlySet<string> = names): boolean {
  if (host === undefined) return false;
  const name = host.toLowerCase().replace(/:\d*$/, '').replace(/\.$/, '');
  return isIP(name.replace(/^\[(.*)\]$/, '$1')) > 0 || own.has(name);
}
