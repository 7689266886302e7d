/** The demo's signatures, built from the document's own schema. */
import type { Node } from "prosemirror-model";
import { build, schema, style, type Border } from "@/core/signature";
import { networkAddress } from "@/core/links";
import type { Giving } from "@/core/people";
import { brand } from "./brand";
import { networks } from "./networks";
import { iconLook, iconSize, rowIcons } from "./pictures";

/** A cut as a signature names it. */
export interface PlacedCut {
  readonly source: string;
  readonly width: number;
  readonly height: number;
}
export type Cuts = (key: string) => PlacedCut;

const { button, cell, divider, field, line, row, separator, signature, spacer, table, text } = build;
const { bold, color, link, size } = style;

const picture = (cut: PlacedCut, alt: string, href: string | null = null): Node =>
  build.picture({ ...cut, alt, link: href });
const icon = (cut: PlacedCut, alt: string, href: string): Node =>
  schema.nodes.inlinePicture.create({ ...cut, alt }, null, [link(href)]);

const settings = {
  font: "Arial",
  size: 13,
  lineHeight: 1.4,
  textColor: brand.grey,
  linkColor: brand.moss,
  maxWidth: 460,
  language: "en",
  visitLink: "https://harrowfen.example/visit",
};

const ochreLine: Border = { width: 1.5, style: "solid", color: brand.ochre };

/** Who it is, with what they do under it. */
const nameLines: readonly Node[] = [
  line(field("name", { fallback: "Harrow Fen Seed Library" }, size(16), color(brand.moss), bold)),
  line(field("title", { takesLine: false }), separator("·", 5), field("department", { takesLine: false })),
  spacer(6),
];

/** What an icon of the row says, and where it leads. */
function leads(name: string): [alt: string, href: string] {
  const network = networks.find(({ id }) => id === name);
  return network
    ? [`Harrow Fen on ${network.name}`, networkAddress(network, "harrowfen")!]
    : ["Harrow Fen on the web", "https://harrowfen.example"];
}

/** Photo left, text beside a hairline in ochre, icon row, and the banner across both columns. */
const full = (cut: Cuts): Node =>
  signature(
    settings,
    table(
      row(
        cell(
          { width: [114], padding: { right: 16, bottom: 10 }, border: { right: ochreLine } },
          picture(cut("portrait-tamsin-okafor-96"), "Tamsin Okafor among seedlings"),
        ),
        cell(
          { width: [306], padding: { left: 16, bottom: 10 } },
          ...nameLines,
          line(
            field("phone", { fallback: "+44 1632 960100", takesLine: false }),
            separator("|", 7, color(brand.ochre)),
            field("mail", { fallback: "desk@harrowfen.example", takesLine: false }),
          ),
          line(field("address", { fallback: "The Old Malthouse, 3 Sluice Lane, Harrow Fen" })),
          spacer(6),
          schema.nodes.iconRow.create(
            { size: iconSize, gap: 6, look: iconLook },
            rowIcons.map(({ name }) => icon(cut(`icon-${name}`), ...leads(name))),
          ),
        ),
      ),
      row(
        cell(
          { width: [114, 306], padding: { top: 10 } },
          picture(
            cut("banner"),
            "Open Store Weekend, 12 and 13 June",
            "https://harrowfen.example/open-store-weekend",
          ),
        ),
      ),
    ),
  );

/** Two lines for answers. */
const short = (): Node =>
  signature(
    { ...settings, maxWidth: 420 },
    table(
      row(
        cell(
          { width: [420] },
          line(field("name", { fallback: "Harrow Fen Seed Library" }, color(brand.moss), bold)),
          line(
            field("title", { takesLine: false }),
            separator("|", 6, color(brand.ochre)),
            field("phone", { fallback: "+44 1632 960100", takesLine: false }),
          ),
        ),
      ),
    ),
  );

/** Logo over text with a button, for the press. */
const press = (cut: Cuts): Node =>
  signature(
    { ...settings, font: "Georgia", size: 14 },
    table(
      row(
        cell(
          {
            width: [400],
            padding: { bottom: 12 },
            border: { bottom: { width: 1, style: "solid", color: brand.moss } },
          },
          picture(cut("logo"), "Harrow Fen Seed Library", "https://harrowfen.example"),
        ),
      ),
      row(
        cell(
          { width: [400], padding: { top: 12 } },
          line(field("name", { fallback: "Press Desk" }, size(18), color(brand.moss))),
          line(
            field("title", { takesLine: false }),
            separator("|", 7, color(brand.ochre)),
            field("department", { takesLine: false }),
          ),
          line(
            field("phone", { fallback: "+44 1632 960132", takesLine: false }),
            separator("|", 7, color(brand.ochre)),
            field("mobile", { takesLine: false }),
            separator("|", 7, color(brand.ochre)),
            field("mail", { fallback: "press@harrowfen.example", takesLine: false }),
          ),
          spacer(10),
          button(
            {
              link: "https://harrowfen.example/press/pictures",
              background: brand.moss,
              color: brand.bone,
              width: 190,
              radius: 3,
            },
            text("Pictures for the press", size(13)),
          ),
          spacer(10),
          divider({ color: "#D9D5C8" }),
          spacer(6),
          line(
            text(
              "Seed sent with a letter may be quarantined. Please write before you post anything that grows.",
              size(11),
            ),
          ),
        ),
      ),
    ),
  );

/** The same family for a person who writes from right to left. */
const rightToLeft = (cut: Cuts): Node =>
  signature(
    { ...settings, direction: "rtl", language: "ar" },
    table(
      row(
        cell(
          { width: [104], padding: { left: 16 }, border: { left: ochreLine } },
          picture(cut("portrait-layla-mansour-88"), "Layla Mansour in a field margin"),
        ),
        cell(
          { width: [300], padding: { right: 16 }, verticalAlign: "middle" },
          line(field("name", { fallback: "Harrow Fen Seed Library" }, size(18), color(brand.moss), bold)),
          line(field("title", { takesLine: false })),
          line(field("phone", { fallback: "+44 1632 960100", takesLine: false })),
          line(field("mail", { fallback: "desk@harrowfen.example", takesLine: false })),
        ),
      ),
    ),
  );

/** What last year's looked like: each fault in it is one that practitioners send every day. */
const fromLastYear = (cut: Cuts): Node =>
  signature(
    // A grey that was chosen on white paper.
    { ...settings, font: "Fenland Sans", maxWidth: 420, visitLink: null, textColor: "#5D6358" },
    table(
      row(
        cell(
          {
            width: [180],
            padding: { right: 12, top: 14 },
            border: { right: { width: 3, style: "solid", color: "#111111" } },
          },
          build.picture({ ...cut("logo-black"), width: 160, height: 44, alt: "" }),
          build.picture({
            source: "file:///home/office/desktop/photo-final-2.png",
            width: 90,
            height: 120,
            alt: "Photo",
          }),
        ),
        cell(
          { width: [320], padding: { left: 12, top: 2 } },
          line(text("Bram Üzel", size(22), bold)),
          line(text("Cold Store Technician")),
          line(),
          line(text("www.harrowfen.example", link("https://https://harrowfen.example"))),
          line(text("harrowfen.example/cold-store", link("https://harrowfen/cold-store"))),
          line(
            schema.nodes.inlinePicture.create({ ...cut("found-web"), alt: "" }, null, [
              link("https://harrowfen.example"),
            ]),
            schema.nodes.inlinePicture.create({ ...cut("found-plotline"), alt: "Plotline" }, null, [
              link("https://plotline.example/harrowfen"),
            ]),
            schema.nodes.inlinePicture.create({ ...cut("found-hedgepost"), alt: "Hedgepost" }, null, [
              link("https://hedgepost.example/https://hedgepost.example/harrowfen"),
            ]),
          ),
        ),
      ),
    ),
  );

/**
 * Put together by hand in ten minutes: pale text, room made by empty lines and spaces, small type, a dark logo. It reads in
 * hardly any client, and one command makes it still in nearly all.
 */
const inAHurry = (cut: Cuts): Node => {
  const pale = color("#A8A8A0");
  return signature(
    { ...settings, textColor: "#8A8F86", linkColor: "#B58A3A", visitLink: null },
    table(
      row(
        cell(
          { width: [180], padding: { right: 16 } },
          build.picture({ ...cut("logo-black"), alt: "Harrow Fen Seed Library" }),
        ),
        cell(
          { width: [240], padding: { left: 12 } },
          line(text("Jo Li", size(16), bold, pale)),
          line(text("Intern\u00a0\u00a0 —\u00a0\u00a0 Press")),
          line(),
          line(text("Write to jo@harrowfen.example", link("mailto:jo@harrowfen.example"))),
          line(text("harrowfen.example", link("https://harrowfen.example"))),
          line(),
          line(),
          line(text("Seed is posted on Tuesdays and on no other day.", size(9), pale)),
        ),
      ),
    ),
  );
};

/** A newsletter's foot: one link of each kind, and each way in which a page can fail its reader. */
const growingSeason = (): Node => {
  const site = "https://harrowfen.example";
  const linkLine = (...links: readonly (readonly [said: string, href: string])[]): Node =>
    line(
      ...links.flatMap(([said, href], index) =>
        index === 0
          ? [text(said, link(href))]
          : [separator("|", 7, color(brand.ochre)), text(said, link(href))],
      ),
    );
  return signature(
    { ...settings, maxWidth: 460 },
    table(
      row(
        cell(
          { width: [440], padding: { left: 14 }, border: { left: ochreLine } },
          ...nameLines,
          linkLine(
            ["Visit us", `${site}/visit`],
            ["Seed list", `${site}/seed-list`],
            ["Workshops", `${site}/workshops`],
            ["Field diary", `${site}/diary`],
          ),
          linkLine(
            ["Volunteers’ rota", `${site}/rota`],
            ["Minutes", `${site}/minutes`],
            ["Bulletin", `${site}/bulletin`],
            ["Old shop", "https://shop.harrowfen.example"],
          ),
          spacer(6),
          linkLine(
            [
              "Ask for seed",
              "mailto:desk@harrowfen.example?subject=Seed%20request&body=Dear%20library%2C%0D%0A%0D%0A",
            ],
            ["Call the desk", "tel:+441632960100"],
            [
              "Where we are",
              "https://fenmap.example/?at=The%20Old%20Malthouse%2C%203%20Sluice%20Lane%2C%20Harrow%20Fen",
            ],
          ),
        ),
      ),
    ),
  );
};

export interface DemoSignature {
  readonly file: string;
  readonly name: string;
  /** The id of the person that it is drawn for. */
  readonly person: string | null;
  readonly build: (cut: Cuts) => Node;
  /** Whom it is given to, and what for; left out where that is nobody. */
  readonly giving?: Giving;
}

/** On purpose nobody of the front desk has one, and somebody of the press desk has two of the same. */
const scientific = ["Collections", "Germination Lab", "Cold Store", "Learning"];
const given = (
  purpose: Giving["purpose"],
  departments: readonly string[],
  people: readonly string[] = [],
): Giving => ({
  purpose,
  audience: { kind: "some", departments, people },
});

export const demoSignatures: readonly DemoSignature[] = [
  {
    file: "full.json",
    name: "Full",
    person: "tamsin-okafor",
    build: full,
    giving: given("full", scientific),
  },
  {
    file: "short.json",
    name: "Short, for answers",
    person: "tamsin-okafor",
    build: short,
    giving: given("short", [...scientific, "Press"]),
  },
  {
    file: "press-desk.json",
    name: "Press desk",
    person: "siobhan-okeeffe",
    build: press,
    giving: given("full", ["Press"]),
  },
  {
    file: "right-to-left.json",
    name: "Right to left",
    person: "layla-mansour",
    build: rightToLeft,
    giving: given("full", [], ["layla-mansour"]),
  },
  { file: "from-last-year.json", name: "From last year", person: "bram-uzel", build: fromLastYear },
  {
    file: "in-a-hurry.json",
    name: "In a hurry",
    person: "jo-li",
    build: inAHurry,
    giving: given("full", [], ["jo-li"]),
  },
  {
    file: "growing-season.json",
    name: "Growing season",
    person: "anjali-rao",
    build: growingSeason,
    giving: given("occasion", ["Collections", "Learning"]),
  },
];
