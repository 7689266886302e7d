/** Where the rooms of a desk are. */
import { deskPath, type Desk, type LetterBox } from "@/contract";

const asked = (parts: Readonly<Record<string, string | undefined>>): string => {
  const query = new URLSearchParams(
    Object.entries(parts).flatMap(([name, value]) => (value ? [[name, value]] : [])),
  ).toString();
  return query === "" ? "" : `?${query}`;
};

export interface DeskPaths {
  readonly letters: (box?: LetterBox, search?: string) => string;
  readonly letter: (id: string) => string;
  readonly write: string;
  readonly answer: (id: string, all?: boolean) => string;
  readonly handOn: (id: string) => string;
  readonly draft: (id: string) => string;
  readonly settings: string;
}

export function pathsOf({ person, client }: Pick<Desk, "person" | "client">): DeskPaths {
  const write = deskPath(person.id, client, "write");
  return {
    letters: (box = "in", search = "") =>
      deskPath(person.id, client) + asked({ box: box === "in" ? "" : box, search }),
    letter: (id) => deskPath(person.id, client, `letters/${id}`),
    write,
    answer: (id, all = false) => write + asked({ answer: id, all: all ? "1" : "" }),
    handOn: (id) => write + asked({ forward: id }),
    draft: (id) => write + asked({ draft: id }),
    settings: deskPath(person.id, client, "settings"),
  };
}
