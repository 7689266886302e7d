/** The HTML of a message's body as a page that says its character set. */
export const messagePage = (body: string): string =>
  `<!DOCTYPE html>\n<html><head><meta charset="utf-8"></head><body>${body}</body></html>\n`;
