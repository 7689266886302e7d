/** The public address of a cut: `/h/<content hash>/<file name>`. */

export interface HostedAddress {
  readonly hash: string;
  readonly fileName: string;
}

const pattern = /^\/h\/([0-9a-f]{20})\/([a-z0-9-]{1,60}\.(?:png|jpg))$/;

export const hostedPath = ({ hash, fileName }: HostedAddress): string => `/h/${hash}/${fileName}`;

/** The parts of a hosted path, or null for an address from elsewhere. */
export function readHostedPath(path: string): HostedAddress | null {
  const found = pattern.exec(path);
  return found ? { hash: found[1]!, fileName: found[2]! } : null;
}
