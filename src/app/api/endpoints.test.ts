import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { endpoints, type AnyEndpoint, type Endpoint } from "@/contract";
import { plainRecipe } from "@/core/pictures";
import { blankSignature } from "@/core/signature";
import { closeImaging } from "@/server/imaging/imaging";

type Name = keyof typeof endpoints;
type BodyOf<E> =
  E extends Endpoint<string, unknown, infer Body, unknown, "json" | "lines" | "bytes"> ? Body : never;

const hash = "0123456789abcdef0123";
const cut = `/h/${hash}/press.png`;
const recipe = plainRecipe({ x: 0, y: 0, width: 10, height: 10 }, { width: 5, height: 5 });
const loop = {
  source: { kind: "pictures", originals: [hash] },
  frames: [{ picture: 0, time: 100 }],
  repeats: 0,
  colors: 16,
  crop: null,
  width: 10,
  height: 10,
  density: 2,
  fill: "#FFFFFF",
  solid: false,
} as const;

const server = {
  host: "127.0.0.1",
  port: "9",
  security: "tls",
  user: "ada",
  password: "",
  from: "ada@harrowfen.example",
} as const;

/** A body that each endpoint takes; what it names is not there. */
const letter = {
  from: "ada@harrowfen.example",
  to: ["nobody@harrowfen.example"],
  cc: [],
  subject: "Seeds",
  html: "<p>Hello</p>",
  about: null,
  draft: null,
};

const bodies = {
  lookAtAddress: { address: "not an address" },
  takePictureIn: { address: "not an address" },
  forgetAddress: { address: "https://sedgeweb.example/x.png" },
  changePeople: { changes: [{ id: "nobody", from: { title: "Head" }, to: { title: "Lead" } }] },
  keepColumns: { columns: [{ key: "who", target: "name" }] },
  addOwnField: { kind: "phone", name: "Direct line" },
  removeOwnField: { field: "text:Room" },
  makeOwnPictures: {
    name: "Ada Quill",
    pictures: [
      {
        ...{ source: "", width: 96, height: 96 },
        of: { kind: "detail", original: hash, focus: { x: 5, y: 5, side: 10 } },
      },
    ],
  },
  keepPhoneForm: { style: "national", extension: true, callingCode: "" },
  peopleRows: { ids: ["nobody"] },
  portraitRows: { ids: ["nobody"] },
  makeKits: { whom: { kind: "theirs" }, pictures: "hosted" },
  pageRows: { ids: ["nobody"] },
  writePageLetters: {
    letter: { subject: "Yours", text: "Without its place", base: "https://mine.harrowfen.example" },
    way: "mailroom",
    department: null,
  },
  settleCorrections: { ids: ["none"], accept: true },
  recordOwnInstall: { signature: "none", revision: 1, kind: "webmail", form: "full" },
  askForCorrection: { said: { title: "Head" } },
  peopleGiven: { ids: ["nobody"] },
  giveSignature: { audience: { kind: "everybody" }, purpose: "full" },
  shelfCards: { ids: ["nobody"] },
  pictureEntries: { hashes: [hash] },
  makeCut: { kind: "at-width", source: cut, width: 50 },
  previewCut: { original: hash, recipe },
  describeIcon: { name: "Reed", note: "" },
  drawIcons: {
    icons: [{ kind: "own", hash }],
    look: { style: "line", color: null, plate: "#FFFFFF" },
    size: 24,
  },
  keepLetterType: { font: "Georgia", size: 16, color: "#111111" },
  hostCalendar: { title: "Open day", start: "soon", end: "", place: "", description: "" },
  hostCard: { personId: "nobody" },
  recordOpening: { address: "https://harrowfen.example" },
  walkLinks: { addresses: [] },
  makeLoop: { loop, name: "" },
  previewLoop: { loop },
  previewLoopPicture: { loop, picture: 0 },
  startLoop: { source: loop.source },
  keepDesk: {
    signatures: [{ id: "one", name: "Full", html: "<p>Ada</p>" }],
    choices: [
      {
        address: "ada@harrowfen.example",
        underNew: "one",
        underAnswers: null,
        place: "above",
        delimiter: false,
      },
    ],
  },
  sendLetter: letter,
  keepDraft: letter,
  placeFiles: { files: [{ path: "Full.htm", base64: "PGI+QWRhPC9iPg==" }] },
  placeKit: { signature: "none" },
  changeHeld: { kind: "rename", id: "Full.htm", name: "Full" },
  runDesk: { running: true },
  beginRehearsal: { signature: "none" },
  mailKit: { signature: "none" },
  tellRehearsal: { happened: "pasted" },
  saveNetwork: {
    network: { id: "plotline", name: "Plotline", glyph: "", pattern: "https://plotline.example/" },
  },
  deleteNetwork: { id: "nowhere" },
  savePattern: { signatureId: "none", name: "Two lines" },
  findPictureColors: { sources: [cut] },
  renamePicture: { name: "Press" },
  removePictures: { cuts: [cut], originals: [] },
  restorePictures: { cuts: [cut], originals: [] },
  setPublicAddress: { base: "harrowfen" },
  startSignature: { kind: "pattern", pattern: "none" },
  saveSignature: { document: blankSignature(1, 1).toJSON() as object, revision: 1 },
  describeSignature: { name: "Press desk" },
  settleRefusedSave: { refusedId: "none", keep: "mine" },
  setAside: { code: "many-lines", message: "It has 9 lines.", reason: "All are needed." },
  keepStillness: { revision: 1, still: 24, all: 28 },
  nameVersion: { name: "Before" },
  swapPicture: { from: cut, to: cut },
  recordInstall: {
    revision: 1,
    form: "full",
    kind: "webmail",
    account: "",
    use: "both",
    by: "Ada",
    note: "",
  },
  tickInstall: { says: "It begins with it.", seen: true },
  renewInstall: { revision: 1 },
  tellSighting: {
    place: { scale: 1.5, left: 12, top: -3.25 },
    ground: "#FFFFFF",
    parts: [
      {
        id: 1,
        kind: "picture",
        text: "Photo",
        moved: 0,
        resized: 0,
        wrapped: false,
        missing: true,
        recolored: 0,
        contrast: null,
        visibility: null,
        otherFont: false,
        clear: true,
        box: { left: 0, top: 0, width: 90, height: 90 },
      },
    ],
  },
  sendTest: { to: "ada@harrowfen.example", form: "full", pictures: "hosted" },
  keepOutgoing: server,
  tryOutgoing: server,
  publishPictures: { base: "https://sedgeweb.example/pictures" },
} as const satisfies { readonly [K in Name]?: BodyOf<(typeof endpoints)[K]> };

/** What must follow a path. */
const queries: Readonly<Record<string, string>> = {
  "/api/cuts": `?source=${encodeURIComponent(cut)}`,
  "/api/signatures/:id/code": "?of=card&form=png&size=300",
  "/api/icons": "?pack=Fen&note=",
  "/api/mine/:secret/kits/:kind": "?signature=none",
  "/api/people/details": "?field=department",
  "/api/people/choices": "?look=ada",
  "/api/people/file": "?form=cards",
  "/api/mailroom/:person/letters/:letter/part": "?id=part-1",
  "/api/mailroom/:person/desks/:client/file": "?path=Full.htm",
};

/** Those that take what the sample says, since nothing in it has to be there. */
const taken = new Set<Name>([
  "makeOwnPictures",
  "portraitRows",
  "lookAtAddress",
  "keepLetterType",
  "recordOpening",
  "walkLinks",
  "saveNetwork",
  "keepOutgoing",
  "findPictureColors",
  "keepColumns",
  "addOwnField",
  "removeOwnField",
  // Of some, those that there are.
  "peopleRows",
  "peopleGiven",
  "pageRows",
  "settleCorrections",
  "shelfCards",
  "pictureEntries",
]);

const routes = import.meta.glob<Record<string, unknown>>("./**/route.ts");
const all = Object.entries(endpoints) as readonly (readonly [Name, AnyEndpoint])[];
const fileOf = ({ path: at }: AnyEndpoint): string =>
  `./${at.replace("/api/", "").replace(/:([a-z]+)/g, "[$1]")}/route.ts`;

type RouteHandler = (request: Request, context: { params: Promise<unknown> }) => Promise<Response>;

async function answer(
  endpoint: AnyEndpoint,
  init: RequestInit,
): Promise<{ status: number; message: string }> {
  const params = Object.fromEntries(
    [...endpoint.path.matchAll(/:([a-z]+)/g)].map(([, name = ""]) => [name, "none"] as const),
  );
  const module = await routes[fileOf(endpoint)]?.();
  const handler = module?.[endpoint.method] as RouteHandler;
  const address = `http://127.0.0.1:4310${endpoint.path}${queries[endpoint.path] ?? ""}`;
  const response = await handler(new Request(address, { method: endpoint.method, ...init }), {
    params: Promise.resolve(params),
  });
  const { error } = (await response.json().catch(() => ({}))) as { error?: { message: string } };
  return { status: response.status, message: error?.message ?? "" };
}

const asJson = (body: unknown): RequestInit => ({
  body: JSON.stringify(body),
  headers: { "content-type": "application/json" },
});

const sentence = /^[A-Z“].*[.!?…]$/s;

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});
afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

describe("the contract", () => {
  // The first time that a route is asked for it is loaded, with all that it is made of.
  it("has a handler for each endpoint, and there is none beside them", { timeout: 120_000 }, async () => {
    const found: string[] = [];
    for (const [file, load] of Object.entries(routes))
      for (const method of Object.keys(await load())) found.push(`${method} ${file}`);
    expect(found.sort()).toEqual(all.map(([, endpoint]) => `${endpoint.method} ${fileOf(endpoint)}`).sort());
  });

  it("has a sample of every body", () => {
    expect(Object.keys(bodies).sort()).toEqual(
      all.flatMap(([name, { body }]) => (body ? [name] : [])).sort(),
    );
  });
});

describe.each(all.filter(([, { body }]) => body))("%s", (name, endpoint) => {
  const sample: Readonly<Record<string, unknown>> = bodies[name as keyof typeof bodies];

  it("refuses what is no JSON, and what is no object", async () => {
    for (const init of [{ body: "{" }, asJson(7), asJson([1]), asJson(null)]) {
      const { status, message } = await answer(endpoint, init);
      expect(status).toBe(400);
      expect(message).toMatch(sentence);
    }
  });

  it.each(Object.keys(sample))("refuses a wrong %s by its name", async (field) => {
    const { status, message } = await answer(endpoint, asJson({ ...sample, [field]: [[7]] }));
    expect(status).toBe(400);
    expect(message).toMatch(sentence);
  });

  it("refuses a field that it does not know by its name", async () => {
    const { status, message } = await answer(endpoint, asJson({ ...sample, misspelt: true }));
    expect(status).toBe(400);
    expect(message).toContain("misspelt");
    expect(message).toMatch(sentence);
  });

  if (!taken.has(name))
    it("refuses what is not there", async () => {
      const { status, message } = await answer(endpoint, asJson(sample));
      expect([400, 404, 409, 422]).toContain(status);
      expect(message).toMatch(sentence);
    });
});

describe.each(all.filter(([, { file }]) => file !== null))("%s", (_name, endpoint) => {
  it("refuses a request without a file", async () => {
    const { status, message } = await answer(endpoint, { body: "x", headers: { "content-length": "1" } });
    expect(status).toBe(400);
    expect(message).toMatch(sentence);
  });
});

const unnamed = all.filter(([, { body, file, path: at }]) => !body && file === null && at.includes(":"));
it.each(unnamed)("%s refuses an id that is not there", async (_name, endpoint) => {
  const { status, message } = await answer(endpoint, {});
  expect(status).toBe(404);
  expect(message).toMatch(sentence);
});
