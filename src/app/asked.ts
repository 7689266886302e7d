/** What a page's address asks for after its question mark. */
export type Asked = Promise<Readonly<Record<string, string | readonly string[] | undefined>>>;
