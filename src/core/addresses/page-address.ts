/** The address of somebody's own page, under the one that people reach Still Line at, with or without a closing slash. */
export const pageAddress = (base: string, secret: string): string =>
  `${base.replace(/\/+$/, "")}/mine/${secret}`;
