/** Lines that are ready to be put in: bound to the fields of the directory, or with words to start from. */
import type { Node } from "prosemirror-model";
import { build, style } from "../builder";

export interface ReadyLine {
  readonly id: string;
  readonly name: string;
  readonly line: Node;
}

const { comma, field, line, separator, text } = build;
const stays = { takesLine: false } as const;

export const signOff: ReadyLine = { id: "sign-off", name: "Sign-off", line: line(text("Kind regards,")) };

export const disclaimer: ReadyLine = {
  id: "disclaimer",
  name: "Disclaimer",
  line: line(
    text(
      "This message is meant for the person it is addressed to. If it reached you by mistake, please tell the sender and delete it.",
      style.size(10),
      style.color("#6B6B6B"),
    ),
  ),
};

export const titleAndDepartment: ReadyLine = {
  id: "title-department",
  name: "Title · Department",
  line: line(field("title", stays), separator("·", 6), field("department", stays)),
};

export const phoneAndMail: ReadyLine = {
  id: "phone-mail",
  name: "Phone | Mail",
  line: line(field("phone", stays), separator("|", 6), field("mail", stays)),
};

export const readyLines: readonly ReadyLine[] = [
  titleAndDepartment,
  {
    id: "title-comma-department",
    name: "Title, Department",
    line: line(field("title", stays), comma(), field("department", stays)),
  },
  {
    id: "department-title",
    name: "Department | Title",
    line: line(field("department", stays), separator("|", 6), field("title", stays)),
  },
  phoneAndMail,
  signOff,
  { id: "tagline", name: "Tagline", line: line(text("What we do, in a few words", style.italic)) },
  disclaimer,
];
