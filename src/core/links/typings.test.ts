/** What people really type and paste where a link is asked for, and what each must become. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { followingParameters, readLink, withCampaign, withoutFollowing } from "./index";

const said = {
  scheme: "https:// is put before it.",
  begun: "The beginning is https:// now.",
  twice: "Its beginning stood there twice.",
  space: "The space in it is taken out.",
  before: "What stood before it is taken off.",
  after: "What stood after it is taken off.",
  around: "What stood around it is taken off.",
  small: "Its host is in small letters now.",
  smallBeginning: "Its beginning is in small letters now.",
  escaped: "What an address cannot hold is escaped.",
  slashes: "The slashes lean the right way now.",
  invisible: "Invisible characters are taken out.",
  comma: "The comma after www is a full stop now.",
  stops: "Two full stops in a row are one now.",
  word: "The word before it is taken off.",
  name: "The name beside it is taken off.",
  dialled: "It is written as it is dialled from anywhere.",
  mailto: "Its beginning is mailto: now.",
  isMail: "It is a mail address, so it begins with mailto:.",
} as const;
const host = (ascii: string): string => `Its host is written ${ascii}, which every client opens.`;

const home = "https://harrowfen.example";

describe("web addresses as they are typed", () => {
  it.each<[typed: string, href: string, ...changes: string[]]>([
    ["https://harrowfen.example", home],
    ["http://harrowfen.example/a?b=c#d", "http://harrowfen.example/a?b=c#d"],
    ["harrowfen.example", home, said.scheme],
    ["  harrowfen.example\n", home, said.scheme],
    ["www.harrowfen.example/visit", "https://www.harrowfen.example/visit", said.scheme],
    ["//harrowfen.example/visit", `${home}/visit`, said.scheme],
    ["https://https://harrowfen.example", home, said.twice],
    ["http://https://harrowfen.example/", `${home}/`, said.twice],
    ["https://harrowfen.example/https://harrowfen.example/visit", `${home}/visit`, said.twice],
    ["harrowfen.example/https://harrowfen.example/visit", `${home}/visit`, said.twice],
    ["https://hedgepost.example/https://hedgepost.example/fen", "https://hedgepost.example/fen", said.twice],
    [
      "https://archive.example/save/https://harrowfen.example",
      "https://archive.example/save/https://harrowfen.example",
    ],
    [
      "https://sedgeweb.example/?to=https://harrowfen.example",
      "https://sedgeweb.example/?to=https://harrowfen.example",
    ],
    ["https:/harrowfen.example", home, said.begun],
    ["https:harrowfen.example", home, said.begun],
    ["https//harrowfen.example", home, said.begun],
    ["https;//harrowfen.example", home, said.begun],
    ["htps://harrowfen.example", home, said.begun],
    ["htttps://harrowfen.example", home, said.begun],
    ["ttps://harrowfen.example", home, said.begun],
    ["httpss://harrowfen.example", home, said.begun],
    ["https ://harrowfen.example", home, said.space],
    ["https:// harrowfen.example", home, said.space],
    ["https:///harrowfen.example", home, said.begun],
    ["https:\\\\harrowfen.example\\visit", `${home}/visit`, said.begun, said.slashes],
    ["HTTPS://harrowfen.example", home, said.smallBeginning],
    ["HarrowFen.Example/Visit", `${home}/Visit`, said.scheme, said.small],
    ["https://HARROWFEN.EXAMPLE/Seeds", `${home}/Seeds`, said.small],
    ["https://harrowfen.example.", home, said.after],
    ["https://harrowfen.example,", home, said.after],
    ["https://harrowfen.example/visit!", `${home}/visit`, said.after],
    ["(https://harrowfen.example/visit)", `${home}/visit`, said.before, said.after],
    ["https://harrowfen.example/wiki/Carex_(sedge)", `${home}/wiki/Carex_(sedge)`],
    ["<https://harrowfen.example>", home, said.before, said.after],
    ["“https://harrowfen.example”", home, said.before, said.after],
    ['"harrowfen.example"', home, said.before, said.after, said.scheme],
    ["‘harrowfen.example/visit’", `${home}/visit`, said.before, said.after, said.scheme],
    ["«harrowfen.example»", home, said.before, said.after, said.scheme],
    ["URL: harrowfen.example", home, said.word, said.scheme],
    ["www: harrowfen.example", home, said.word, said.scheme],
    ["www,harrowfen.example", "https://www.harrowfen.example", said.comma, said.scheme],
    ["www. harrowfen.example", "https://www.harrowfen.example", said.space, said.scheme],
    ["harrowfen .example", home, said.space, said.scheme],
    ["harrowfen..example", home, said.scheme, said.stops],
    ["harrowfen.example/ visit", `${home}/visit`, said.space, said.scheme],
    ["harrowfen.example/annual report.pdf", `${home}/annual%20report.pdf`, said.scheme, said.escaped],
    ["https://harrowfen.example/a%20b", `${home}/a%20b`],
    ["https://harrowfen.example/graines-été", `${home}/graines-%C3%A9t%C3%A9`, said.escaped],
    ['https://harrowfen.example/?q="sedge"&n=1', `${home}/?q=%22sedge%22&n=1`, said.escaped],
    ["https://bücher.example/", "https://xn--bcher-kva.example/", host("xn--bcher-kva.example")],
    ["bücher.example", "https://xn--bcher-kva.example", said.scheme, host("xn--bcher-kva.example")],
    ["https://BÜCHER.example", "https://xn--bcher-kva.example", host("xn--bcher-kva.example")],
    ["https://пример.example", "https://xn--e1afmkfd.example", host("xn--e1afmkfd.example")],
    ["https://xn--bcher-kva.example", "https://xn--bcher-kva.example"],
    ["harrow\u00adfen.example", home, said.invisible, said.scheme],
    ["\u200bhttps://harrowfen.example\u200e", home, said.invisible],
    ["harrowfen\ufeff.example", home, said.invisible, said.scheme],
    ["https://harrowfen.example:8443/a", `${home}:8443/a`],
    ["harrowfen.example:8443", `${home}:8443`, said.scheme],
    ["http://localhost:4310/x", "http://localhost:4310/x"],
    ["http://192.168.0.9/seeds", "http://192.168.0.9/seeds"],
    ["https://seeds_2027.harrowfen.example", "https://seeds_2027.harrowfen.example"],
    ["https://harrowfen.example/visit?day=12&day=13", `${home}/visit?day=12&day=13`],
  ])("%j is %s", (typed, href, ...changes) =>
    expect(readLink(typed)).toMatchObject({ ok: true, href, changes }),
  );
});

describe("mail addresses as they are typed", () => {
  it.each<[typed: string, href: string, ...changes: string[]]>([
    ["desk@harrowfen.example", "mailto:desk@harrowfen.example"],
    ["  desk@harrowfen.example ", "mailto:desk@harrowfen.example"],
    ["mailto:desk@harrowfen.example", "mailto:desk@harrowfen.example"],
    ["MAILTO:desk@harrowfen.example", "mailto:desk@harrowfen.example", said.mailto],
    ["mailto: desk@harrowfen.example", "mailto:desk@harrowfen.example", said.mailto],
    ["mailto://desk@harrowfen.example", "mailto:desk@harrowfen.example", said.mailto],
    ["mailto:mailto:desk@harrowfen.example", "mailto:desk@harrowfen.example", said.twice],
    ["https://desk@harrowfen.example", "mailto:desk@harrowfen.example", said.isMail],
    ["Ada Brook <desk@harrowfen.example>", "mailto:desk@harrowfen.example", said.name],
    ["<desk@harrowfen.example>", "mailto:desk@harrowfen.example", said.name],
    ["desk@harrowfen.example.", "mailto:desk@harrowfen.example", said.around],
    ["“desk@harrowfen.example”", "mailto:desk@harrowfen.example", said.around],
    ["desk @ harrowfen.example", "mailto:desk@harrowfen.example", said.around],
    ["ada+seeds@harrowfen.example", "mailto:ada+seeds@harrowfen.example"],
    ["zoë@harrowfen.example", "mailto:zo%C3%AB@harrowfen.example"],
    ["mailto:desk@harrowfen.example?subject=Seeds", "mailto:desk@harrowfen.example?subject=Seeds"],
    [
      "mailto:desk@harrowfen.example?subject=Seed list",
      "mailto:desk@harrowfen.example?subject=Seed%20list",
      "The spaces in it are escaped.",
    ],
  ])("%j is %s", (typed, href, ...changes) =>
    expect(readLink(typed)).toMatchObject({ ok: true, href, changes }),
  );
});

describe("phone numbers as they are typed", () => {
  it.each<[typed: string, href: string, ...changes: string[]]>([
    ["+44 1632 960100", "tel:+441632960100"],
    ["+44 (0)1632 960-100", "tel:+441632960100"],
    ["+44.1632.960100", "tel:+441632960100"],
    ["0044 1632 960100", "tel:+441632960100", said.dialled],
    ["01632 960100", "tel:+441632960100", said.dialled],
    ["(01632) 960100", "tel:+441632960100", said.dialled],
    ["T: 01632 960100", "tel:+441632960100", said.word, said.dialled],
    ["phone +44 1632 960100", "tel:+441632960100", said.word],
    ["tel:+441632960100", "tel:+441632960100"],
    ["tel: +44 1632 960100", "tel:+441632960100"],
    ["sms:+447700900123", "sms:+447700900123"],
    ["+44 1632 960100 ext. 12", "tel:+441632960100;ext=12"],
    ["01632 960100 x12", "tel:+441632960100;ext=12", said.dialled],
    ["+44 1632 960100,", "tel:+441632960100"],
    ["+33 1 99 00 12 34", "tel:+33199001234"],
  ])("%j is %s", (typed, href, ...changes) =>
    expect(readLink(typed, { callingCode: "44" })).toMatchObject({ ok: true, href, changes }),
  );

  it("keep to their country where none is known", () =>
    expect(readLink("01632 960100")).toMatchObject({ href: "tel:01632960100", changes: [] }));
});

describe("what stands around an address where it is copied from", () => {
  const both = "Both addresses go into one letter.";
  it.each<[typed: string, href: string, ...changes: string[]]>([
    ["Email: ada@harrowfen.example", "mailto:ada@harrowfen.example", said.word],
    ["E-mail: ada@harrowfen.example", "mailto:ada@harrowfen.example", said.word],
    ["Tel.: 01632 960100", "tel:+441632960100", said.word, said.dialled],
    ["Tel: 01632 960100", "tel:+441632960100", said.dialled],
    ["Mob: 01632 960100", "tel:+441632960100", said.word, said.dialled],
    ["Direct: +44 1632 960100", "tel:+441632960100", said.word],
    ["Direct line: +44 1632 960100", "tel:+441632960100", said.word],
    ["☎ +44 1632 960100", "tel:+441632960100", "The sign before it is taken off."],
    ["☎️+44 1632 960100", "tel:+441632960100", "The sign before it is taken off."],
    ["\u200e+44 1632 960100\u200e", "tel:+441632960100", said.invisible],
    ["\u2066ada@harrowfen.example\u2069", "mailto:ada@harrowfen.example", said.invisible],
    ["+44 1632 960100 (office)", "tel:+441632960100", said.after],
    ["Ada (ada@harrowfen.example)", "mailto:ada@harrowfen.example", said.name],
    [
      '<a href="https://harrowfen.example/?a=1&amp;b=2">Us</a>',
      `${home}/?a=1&b=2`,
      "Only the address of the pasted link is taken.",
      "&amp; is & now.",
    ],
    ["https://harrowfen.example/?a=1&amp;b=2", `${home}/?a=1&b=2`, "&amp; is & now."],
    ["ada@harrowfen.example?subject=Seeds", "mailto:ada@harrowfen.example?subject=Seeds"],
    [
      "ada@harrowfen.example, ben@harrowfen.example",
      "mailto:ada@harrowfen.example,ben@harrowfen.example",
      both,
    ],
    [
      "ada@harrowfen.example; ben@harrowfen.example",
      "mailto:ada@harrowfen.example,ben@harrowfen.example",
      both,
    ],
    [
      "mailto:ada@harrowfen.example?subject=A & B",
      "mailto:ada@harrowfen.example?subject=A%20%26%20B",
      "The spaces in it are escaped.",
    ],
    ["00 44 1632 960100", "tel:+441632960100", said.dialled],
    ["011 44 1632 960100", "tel:+441632960100", said.dialled],
    ["+44 1632 960100 / 101", "tel:+441632960100", "These were two numbers: the first is taken."],
    ["www.https://harrowfen.example", home, said.before],
    [
      "sms:+441632960100?body=See you soon",
      "sms:+441632960100?body=See%20you%20soon",
      "The spaces in it are escaped.",
    ],
  ])("%j is %s", (typed, href, ...changes) =>
    expect(readLink(typed, { callingCode: "44" })).toMatchObject({ ok: true, href, changes }),
  );

  it.each([
    "office-supplies.example",
    "home-page.example/visit",
    "mail-archive.example",
    "web-space.example",
    "main-street.example",
  ])("is no part of the host %s", (host) =>
    expect(readLink(host)).toMatchObject({ href: `https://${host}`, changes: [said.scheme] }),
  );

  it("is no port", () =>
    expect(readLink("http://home:8080/tray")).toMatchObject({ href: "http://home:8080/tray", changes: [] }));

  it("hides nothing that runs", () => {
    for (const typed of [
      "Email: javascript:alert(1)",
      '<a href="javascript:alert(1)">x</a>',
      "☎ javascript:alert(1)",
      "\u200bjava\u200bscript:alert(1)",
    ])
      expect(readLink(typed)).toEqual({ ok: false, message: only });
  });

  it("is no second number where a slash parts a number's own digits", () =>
    expect(readLink("030/901820", { callingCode: "49" })).toMatchObject({ href: "tel:+4930901820" }));

  it("leaves a host with two full stops in a mail address to be put right by hand", () =>
    expect(readLink("ada@host..example").ok).toBe(false));
});

const only = "A link can lead to a page, a mail address, a phone number or a text message only.";

describe("what cannot be right", () => {
  it.each<[typed: string, message: string]>([
    ["", "Type where the link leads."],
    ["   ", "Type where the link leads."],
    ["seeds", "“seeds” is neither a web address, a mail address nor a phone number."],
    ["harrowfen", "“harrowfen” is neither a web address, a mail address nor a phone number."],
    ["Harrow Fen Seed Library", "“Harrow Fen Seed Library” has spaces in it, so it is no address."],
    ["harrow fen.example", "“harrow fen.example” has spaces in it, so it is no address."],
    ["https://", "“https://” is no web address: something like harrowfen.example is."],
    ["https://harrowfen", "“https://harrowfen” is no web address: something like harrowfen.example is."],
    [
      "desk@harrowfen",
      "“desk@harrowfen” is no whole mail address: something like desk@harrowfen.example is.",
    ],
    [
      "desk@@harrowfen.example",
      "“desk@@harrowfen.example” is no whole mail address: something like desk@harrowfen.example is.",
    ],
    ["@harrowfen", "“@harrowfen” is no whole mail address: something like desk@harrowfen.example is."],
    ["mailto:", "“mailto:” is neither a web address, a mail address nor a phone number."],
    [
      "mailto:ada quill@a.example",
      "“mailto:ada quill@a.example” is no whole mail address: something like desk@harrowfen.example is.",
    ],
    ["1234", "“1234” has too few or too many digits for a phone number."],
    ["+4416329601001234567", "“+4416329601001234567” has too few or too many digits for a phone number."],
    ["geo:52.4,0.1", "Few mail clients open geo: addresses: choose “A place” and a map instead."],
    ["javascript:alert(1)", only],
    ["JavaScript:alert(1)", only],
    [" java\tscript:alert(1)", only],
    ["java\u200bscript:alert(1)", only],
    ["javascript&colon;alert(1)", only],
    ["javascript&#58;alert(1)", only],
    ["javascript%3Aalert(1)", only],
    ['"javascript:alert(1)"', only],
    ["vbscript:msgbox(1)", only],
    ["data:text/html,<script>alert(1)</script>", only],
    ["file:///home/office/photo.png", only],
    ["ftp://harrowfen.example/seeds", only],
    ["C:\\Users\\desk\\logo.png", only],
  ])("%j is refused", (typed, message) => expect(readLink(typed)).toEqual({ ok: false, message }));
});

/** Pieces of which slips are made, so that the random ones come near to real ones. */
const pieces = fc.constantFrom(
  "https://",
  "http:",
  "//",
  "www.",
  "harrowfen",
  ".",
  "example",
  "/",
  "?",
  "&",
  "=",
  "#",
  ":",
  "@",
  " ",
  "“",
  "”",
  "javascript:",
  "data:",
  "mailto:",
  "tel:",
  "+44",
  "0",
  "1632",
  "ü",
  "\u200b",
  "%",
  "%20",
  "\\",
  "(",
  ")",
  "<",
  ">",
  "\t",
  "a",
);
const slip = fc.oneof(
  fc.string({ unit: "binary" }),
  fc.array(pieces, { maxLength: 9 }).map((parts) => parts.join("")),
);
const twiceAsMany = { numRuns: 2000 };

describe("reading any text", () => {
  it("never gives an address that runs, or one with spaces", () => {
    fc.assert(
      fc.property(slip, (typed) => {
        const reading = readLink(typed);
        if (reading.ok) expect(reading.href).toMatch(/^(?:https?:\/\/|mailto:|tel:|sms:|\/h\/)[\x21-\x7e]+$/);
        else expect(reading.message).toMatch(/[.]$/);
      }),
      twiceAsMany,
    );
  });

  it("changes nothing the second time", () => {
    fc.assert(
      fc.property(slip, (typed) => {
        const once = readLink(typed);
        if (once.ok) expect(readLink(once.href)).toEqual({ ...once, changes: [] });
      }),
      twiceAsMany,
    );
  });

  it("changes nothing silently: what differs by more than white space is said", () => {
    fc.assert(
      fc.property(slip, (typed) => {
        const reading = readLink(typed);
        if (reading.ok && /^https?:/.test(reading.href) && reading.href !== typed.trim())
          expect(reading.changes.length).toBeGreaterThan(0);
      }),
      twiceAsMany,
    );
  });
});

describe("parameters", () => {
  it("that follow a reader are named and taken out, the others stay", () => {
    const href = "https://harrowfen.example/visit?utm_source=x&day=12&abclid=9#where";
    expect(followingParameters(href)).toEqual(["utm_source", "abclid"]);
    expect(withoutFollowing(href)).toBe("https://harrowfen.example/visit?day=12#where");
    expect(withoutFollowing("https://harrowfen.example/?utm_source=x")).toBe("https://harrowfen.example/");
    expect(withoutFollowing("mailto:a@b.example?utm_source=x")).toBe("mailto:a@b.example?utm_source=x");
  });

  it("of a campaign are added to pages only, and never twice", () => {
    const campaign = { source: "signature", medium: "mail", name: "Open Store" };
    const once = withCampaign("https://harrowfen.example/visit?utm_medium=own#a", campaign);
    expect(once).toBe(
      "https://harrowfen.example/visit?utm_medium=own&utm_source=signature&utm_campaign=Open%20Store#a",
    );
    expect(withCampaign(once, campaign)).toBe(once);
    expect(withCampaign("tel:+441632960100", campaign)).toBe("tel:+441632960100");
  });
});
