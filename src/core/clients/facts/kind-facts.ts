/** The tables as one kind of client reads them: what becomes of a declaration, an attribute, a picture, a media query. */
import { readValue, type Declaration } from "../../html";
import { remember } from "../../memory";
import type { StandInId } from "../stand-in";
import { standIns } from "../stand-ins";
import { attributeLimits, pictureLimits, type AttributeOutcome } from "./attribute-limits";
import {
  declarationLimits,
  markLimits,
  markRefused,
  refusals,
  type Outcome,
  type Place,
} from "./declaration-limits";
import {
  attributeFeature,
  declarationFeatures,
  pictureFeatures,
  readPictureAddress,
  supportOf,
  type Feature,
} from "./features";
import { limitsIn, reasonOf, type Account } from "./limits";
import { ownDeclarationRules } from "./own-rules";
import { queryLimits, type MediaQuery } from "./query-limits";

/** What a fact did to something, and why; the end of a sentence. */
export interface Effect<O> {
  readonly outcome: O;
  readonly reason: string;
}

/** Said where the table gives no more than "no". */
export const notKept = "this kind does not keep it";

interface Carried<L> {
  readonly limit: L;
  readonly reason: string;
}

/** The limits of a kind on each feature, with what carries them out. */
function carried<L>(
  client: StandInId,
  account: Account,
  table: Partial<Readonly<Record<Feature, Readonly<Record<string, L>>>>>,
): ReadonlyMap<Feature, readonly Carried<L>[]> {
  const found = new Map<Feature, Carried<L>[]>();
  for (const limit of limitsIn(client, account)) {
    const carriesOut = table[limit.feature]?.[limit.says];
    if (!carriesOut) continue;
    found.set(limit.feature, [
      ...(found.get(limit.feature) ?? []),
      { limit: carriesOut, reason: reasonOf(limit) },
    ]);
  }
  return found;
}

export interface KindFacts {
  readonly client: StandInId;
  /** What became of a declaration: null where it is kept as it is. */
  readonly declaration: (
    declaration: Declaration,
    place: Place,
  ) => Effect<Exclude<Outcome, null | "kept">> | null;
  /** Whether attributes of a name are ever changed by this kind. */
  readonly touchesAttribute: (name: string) => boolean;
  readonly attribute: (
    name: string,
    value: string,
    tagName: string,
  ) => Effect<Exclude<AttributeOutcome, null | "kept">> | null;
  /** By its address. */
  readonly picture: (address: string) => Effect<"dropped" | "served-as-jpeg"> | null;
  readonly query: (query: MediaQuery) => Effect<"dropped" | { readonly condition: string }> | null;
  /** Whether a style sheet in a message's head is read. */
  readonly readsStyleSheets: boolean;
}

function makeFacts(client: StandInId, account: Account): KindFacts {
  const declarations = carried(client, account, declarationLimits);
  const marks = carried(client, account, { "css-important": markLimits });
  const attributes = carried(client, account, attributeLimits);
  const pictures = carried(client, account, pictureLimits);
  const queries = carried(client, account, {
    "css-at-media": queryLimits,
    "css-at-media-prefers-color-scheme": queryLimits,
  });
  const refused = (feature: Feature): boolean => supportOf(feature, client) === "no";

  const own = (ownDeclarationRules[client] ?? []).map(({ rule, reason }) => ({ limit: rule, reason }));
  const ofMarks = [
    ...(marks.get("css-important") ?? []),
    ...(refused("css-important") ? [{ limit: markRefused, reason: notKept }] : []),
  ];

  const effectOn: KindFacts["declaration"] = (written, place) => {
    let now: Declaration | null = written;
    let more: readonly Declaration[] = [];
    let reason = "";
    const apply = (outcome: Outcome, why: string): "dropped" | "all-dropped" | null => {
      if (outcome === null || outcome === "kept") return null;
      reason = why;
      if (typeof outcome === "string") return outcome;
      [now = null, ...more] = outcome;
      return null;
    };
    for (const { limit, reason: why } of written.mark === "" ? own : [...own, ...ofMarks]) {
      if (!now) break;
      const gone = apply(limit(now, readValue(now.value), place), why);
      if (gone) return { outcome: gone, reason };
    }
    for (const feature of declarationFeatures(written.property, written.value)) {
      // What it became may need less.
      if (now && now !== written && !declarationFeatures(now.property, now.value).includes(feature)) continue;
      let kept = false;
      for (const { limit, reason: why } of declarations.get(feature) ?? []) {
        if (!now) break;
        const outcome = limit(now, readValue(now.value), place);
        const gone = apply(outcome, why);
        if (gone) return { outcome: gone, reason };
        kept ||= outcome !== null;
      }
      if (kept || !refused(feature) || !now) continue;
      const refusal = refusals[feature];
      if (!refusal) return { outcome: "dropped", reason: notKept };
      const gone = apply(refusal(now, readValue(now.value), place), notKept);
      if (gone) return { outcome: gone, reason };
    }
    return now === written && more.length === 0
      ? null
      : { outcome: now ? [now, ...more] : "dropped", reason };
  };

  const pictureAt = remember((address: string): ReturnType<KindFacts["picture"]> => {
    const picture = readPictureAddress(address);
    for (const feature of pictureFeatures(picture)) {
      for (const { limit, reason } of pictures.get(feature) ?? []) {
        const outcome = limit(picture);
        if (outcome) return { outcome, reason };
      }
      if (refused(feature)) return { outcome: "dropped", reason: pictureRefused(feature) };
    }
    return null;
  });

  return {
    client,
    declaration: (declaration, place) => {
      for (const { kind, name } of readValue(declaration.value).parts) {
        const effect = kind === "address" ? pictureAt(name) : null;
        if (effect?.outcome === "dropped") return { outcome: "dropped", reason: effect.reason };
      }
      return effectOn(declaration, place);
    },
    touchesAttribute: remember((name) => {
      const feature = attributeFeature(name);
      return name === "background" || (feature !== null && (attributes.has(feature) || refused(feature)));
    }),
    attribute: (name, value, tagName) => {
      const behind = name === "background" ? pictureAt(value) : null;
      if (behind?.outcome === "dropped") return { outcome: "dropped", reason: behind.reason };
      const feature = attributeFeature(name);
      if (!feature) return null;
      for (const { limit, reason } of attributes.get(feature) ?? []) {
        const outcome = limit(value, tagName);
        if (outcome === "kept") return null;
        if (outcome) return { outcome, reason };
      }
      return refused(feature) ? { outcome: "dropped", reason: notKept } : null;
    },
    picture: pictureAt,
    query: (query) => {
      for (const feature of ["css-at-media-prefers-color-scheme", "css-at-media"] as const) {
        if (feature !== "css-at-media" && !query.condition.includes("prefers-color-scheme")) continue;
        for (const { limit, reason } of queries.get(feature) ?? []) {
          const outcome = limit(query);
          if (outcome) return { outcome, reason };
        }
        if (refused(feature)) return { outcome: "dropped", reason: notKept };
      }
      return null;
    },
    // What the tables say of them is said of messages; the settings of some kinds take none at all.
    readsStyleSheets: !refused("html-style") && !standIns[client].behaviours.includes("inline-styles-only"),
  };
}

const pictureRefused = (feature: Feature): string =>
  feature === "image-base64"
    ? "pictures inside the HTML are not kept"
    : feature === "image-svg"
      ? "vector pictures are not shown"
      : `${feature.replace("image-", "").toUpperCase()} pictures are not shown`;

const made = remember((client: StandInId) => remember((account: Account) => makeFacts(client, account)));

/** The facts of a kind, with accounts of one sort. */
export const factsOf = (client: StandInId, account: Account): KindFacts => made(client)(account);
