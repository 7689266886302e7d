/**
 * The starter patterns: layouts that people ask for, each with the reason for its shape. They are documents like
 * any other, whose fields are filled from the directory and whose pictures are still to be chosen. Lengths in px.
 */
import type { Node } from "prosemirror-model";
import { build, style } from "../builder";
import { disclaimer, phoneAndMail, signOff, titleAndDepartment } from "../parts/ready-lines";
import { signatureSettings } from "../settings";
import type { Border } from "../values";

export interface StarterPattern {
  readonly id: string;
  readonly name: string;
  /** When to take it. */
  readonly reason: string;
  readonly document: Node;
}

const {
  button,
  cell,
  comma,
  divider,
  field,
  line,
  picturePlace,
  row,
  separator,
  signature,
  spacer,
  table,
  text,
} = build;
const { bold, color, size, upperCase } = style;

const accent = signatureSettings.attributes.linkColor.default;
const rule: Border = { width: 1.5, style: "solid", color: accent };
const hairline: Border = { width: 1, style: "solid", color: "#D9D5C8" };

/** Where a field may be empty, the rest of its line stays. */
const stays = { takesLine: false } as const;

const name = line(field("name", {}, size(16), color(accent), bold));
const phone = line(field("phone"));
const mail = line(field("mail"));
const web = line(field("web"));
const address = line(field("address"));
const contact = phoneAndMail.line;

export const starterPatterns: readonly StarterPattern[] = [
  {
    id: "photo-left",
    name: "Photo left",
    reason: "A face beside a few lines: the layout that most people know.",
    document: signature(
      {},
      table(
        row(
          cell({ width: [110], padding: { right: 12 }, border: { right: rule } }, picturePlace(96, 96)),
          cell(
            { width: [310], padding: { left: 12 } },
            name,
            titleAndDepartment.line,
            spacer(6),
            contact,
            web,
          ),
        ),
      ),
    ),
  },
  {
    id: "photo-right",
    name: "Photo right",
    reason: "The name comes first, at the edge where the letter's text begins.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [310], padding: { right: 12 }, verticalAlign: "middle" },
            name,
            titleAndDepartment.line,
            contact,
          ),
          cell({ width: [110], padding: { left: 12 } }, picturePlace(96, 96)),
        ),
      ),
    ),
  },
  {
    id: "logo-over-text",
    name: "Logo over text",
    reason: "For a wide logo, and for narrow phone screens.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [310], padding: { bottom: 10 }, border: { bottom: hairline } },
            picturePlace(160, 56),
          ),
        ),
        row(cell({ width: [310], padding: { top: 10 } }, name, titleAndDepartment.line, phone, mail)),
      ),
    ),
  },
  {
    id: "three-columns",
    name: "Three columns",
    reason: "Logo, person and contact side by side: wide, but only a few lines high.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [132], padding: { right: 12 }, border: { right: rule }, verticalAlign: "middle" },
            picturePlace(120, 60),
          ),
          cell(
            {
              width: [210],
              padding: { left: 12, right: 12 },
              border: { right: rule },
              verticalAlign: "middle",
            },
            name,
            line(field("title")),
            line(field("department")),
          ),
          cell({ width: [200], padding: { left: 12 }, verticalAlign: "middle" }, phone, mail, web),
        ),
      ),
    ),
  },
  {
    id: "one-line",
    name: "One line",
    reason: "As short as it gets, for people who write all day.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [560] },
            line(
              field("name", stays, bold),
              separator("|", 6),
              field("title", stays),
              separator("|", 6),
              field("phone", stays),
              separator("|", 6),
              field("mail", stays),
            ),
          ),
        ),
      ),
    ),
  },
  {
    id: "card-with-banner",
    name: "Card with banner",
    reason: "A framed card, with a banner across both columns for what is on.",
    document: signature(
      {},
      table(
        row(
          cell(
            {
              width: [122],
              padding: { top: 12, right: 12, bottom: 12, left: 12 },
              border: { top: hairline, left: hairline },
            },
            picturePlace(96, 96),
          ),
          cell(
            {
              width: [298],
              padding: { top: 12, right: 12, bottom: 12 },
              border: { top: hairline, right: hairline },
              verticalAlign: "middle",
            },
            name,
            titleAndDepartment.line,
            contact,
          ),
        ),
        row(
          cell(
            { width: [122, 298], border: { right: hairline, bottom: hairline, left: hairline } },
            picturePlace(418, 80),
          ),
        ),
      ),
    ),
  },
  {
    id: "disclaimer-across",
    name: "Disclaimer across",
    reason: "Small print under a line, across all columns, where it disturbs least.",
    document: signature(
      {},
      table(
        row(
          cell({ width: [110], padding: { right: 12, bottom: 10 } }, picturePlace(96, 96)),
          cell(
            { width: [310], padding: { left: 12, bottom: 10 } },
            name,
            titleAndDepartment.line,
            contact,
            web,
          ),
        ),
        row(cell({ width: [110, 310], padding: { top: 8 }, border: { top: hairline } }, disclaimer.line)),
      ),
    ),
  },
  {
    id: "short-reply",
    name: "Short reply",
    reason: "For answers, where everything else has been said in the first letter.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [310] },
            signOff.line,
            line(field("name", {}, bold)),
            line(field("title", stays), comma(), field("department", stays)),
          ),
        ),
      ),
    ),
  },
  {
    id: "right-to-left",
    name: "Right to left",
    reason: "For languages written from right to left: the first column stands at the right.",
    document: signature(
      { direction: "rtl" },
      table(
        row(
          cell({ width: [110], padding: { left: 12 }, border: { left: rule } }, picturePlace(96, 96)),
          cell(
            { width: [310], padding: { right: 12 }, verticalAlign: "middle" },
            name,
            titleAndDepartment.line,
            phone,
            mail,
          ),
        ),
      ),
    ),
  },
  {
    id: "no-pictures",
    name: "No pictures",
    reason: "Shows whole even where pictures are blocked, and weighs nothing.",
    document: signature(
      {},
      table(
        row(
          cell(
            {
              width: [210],
              padding: { left: 12, right: 12 },
              border: { left: { ...rule, width: 4 }, right: hairline },
            },
            name,
            line(field("title", {}, upperCase, size(11))),
            line(field("department")),
          ),
          cell({ width: [210], padding: { left: 12 } }, phone, mail, address),
        ),
      ),
    ),
  },
  {
    id: "call-to-action",
    name: "Call to action",
    reason: "One thing to ask for, as a button under the details.",
    document: signature(
      {},
      table(
        row(
          cell(
            { width: [310] },
            name,
            titleAndDepartment.line,
            contact,
            spacer(10),
            button({ width: 160 }, text("Book a visit")),
            spacer(10),
            divider(),
          ),
        ),
      ),
    ),
  },
];
