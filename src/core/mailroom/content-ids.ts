/** Content ids (RFC 2392) of pictures that a client has among its own files: each path has one, and no two share it. */

/** What follows `cid:`; only what a dot-atom may hold (RFC 5322, 3.2.3). */
export const contentIdOf = (path: string, client: string): string =>
  `${encodeURIComponent(path)
    .replace(/[!'()*~]/g, (letter) => `%${letter.charCodeAt(0).toString(16).toUpperCase()}`)
    .replace(/\./g, "%2E")
    .replaceAll("%", "=")}@${client}.invalid`;
