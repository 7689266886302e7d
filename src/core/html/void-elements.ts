/** Elements without an end tag (WHATWG HTML 13.1.2). */
export const voidElements: ReadonlySet<string> = new Set(
  "area base br col embed hr img input link meta param source track wbr".split(" "),
);
