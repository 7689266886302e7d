/** Elements around whose tags white space is nothing (WHATWG HTML 15.3, display other than inline). */
export const blockElements: ReadonlySet<string> = new Set(
  (
    "html head body title meta style table caption colgroup col thead tbody tfoot tr td th div p center " +
    "blockquote ul ol li dl dt dd h1 h2 h3 h4 h5 h6 hr article section header footer main nav aside"
  ).split(" "),
);
