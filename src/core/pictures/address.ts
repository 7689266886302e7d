/** The public address of a cut: `/h/<content hash>/<file name>`. */

export interface HostedAddress {
  readonly hash: string;
  readonly fileName: string;
}

const pattern = /^\/h\/([0-9a-f]{20})\/([a-z0-9-]{1,60}\.(?:png|jpg|gif))$/;

export const hostedPath = ({ hash, fileName }: HostedAddress): string => `/h/${hash}/${fileName}`;

/** The parts of a hosted path, or null for an address from elsewhere. */
export function readHostedPath(path: string): HostedAddress | null {
  const found = pattern.exec(path);
  return found ? { hash: found[1]!, fileName: found[2]! } : null;
}

const invented = /^https?:\/\/((?:[a-z0-9-]+\.)*example)(\/[^?#]*)?(?:[?#].*)?$/i;

/**
 * Where a picture is drawn from on this application's own screens: addresses under `.example`, which exist nowhere
 * (RFC 2606), are played by its stand-in web, which asks for no query. Any other address is drawn from itself.
 */
export function drawnFrom(address: string): string {
  const found = invented.exec(address);
  return found ? `/stand-in-web/${found[1]!.toLowerCase()}${found[2] ?? "/"}` : address;
}
