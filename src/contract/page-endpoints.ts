/** The endpoints of people's own pages: those of the office, and those that whoever has the address of one can use. */
import { details } from "@/core/people";
import { picturePlaces } from "@/core/install-kinds";
import { choice, flag, list, maybe, object, text } from "@/core/values";
import { get, post, remove } from "./endpoint";
import { ownInstall, pageLetters, type LettersWritten, type PersonWithPage } from "./pages";
import { mostAtOnce } from "./shelf";

const id = text(80);

/** The most corrections that are settled at once. */
const mostCorrections = 1000;

export const pageEndpoints = {
  /** Those of some people who are in the directory, with their pages. */
  pageRows: post("/api/pages/rows")
    .body(object({ ids: list(id, { most: mostAtOnce, what: "people" }) }))
    .json<{ people: readonly PersonWithPage[] }>(),
  /** A page for somebody; another one where theirs was withdrawn. */
  makePage: post("/api/people/:id/page").json<{ secret: string }>(),
  withdrawPage: remove("/api/people/:id/page").json<void>(),
  restorePage: post("/api/people/:id/page/restore").json<void>(),
  /** Writes to everybody with a signature who was not written to before. */
  writePageLetters: post("/api/pages/letters").body(pageLetters).lines<LettersWritten>(),
  /** Accepts corrections, as one change of the directory, or declines them. */
  settleCorrections: post("/api/pages/corrections")
    .body(object({ ids: list(id, { least: 1, most: mostCorrections, what: "corrections" }), accept: flag }))
    .json<{ changed: { readonly change: string; readonly ids: readonly string[] } | null }>(),

  /** Tells that a page was opened by somebody, and that something was copied there. */
  tellPageOpened: post("/api/mine/:secret/opened").json<void>(),
  tellPageCopied: post("/api/mine/:secret/copied").json<void>(),
  ownKit: get("/api/mine/:secret/kits/:kind")
    .query(object({ signature: id, pictures: maybe(choice(...picturePlaces)) }))
    .bytes(),
  recordOwnInstall: post("/api/mine/:secret/installs").body(ownInstall).json<void>(),
  askForCorrection: post("/api/mine/:secret/corrections")
    .body(object({ said: details }))
    .json<void>(),
};
