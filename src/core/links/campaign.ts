/** The parameters of a campaign, added to each web link when a signature is compiled. */
import { complain, describeValue, object, text, type TypeOf } from "../values";

const part = text(60);
const parts = object({ source: part, medium: part, name: part });

export type Campaign = TypeOf<typeof parts>;

/** A short text each, of which one at least says something. */
export const campaign = describeValue<Campaign, "campaign">("campaign", (value) => {
  const complaint = parts.check(value);
  if (complaint !== null) return complaint;
  return Object.values(parts.read(value)).some((said) => said !== "")
    ? null
    : complain("a campaign that says something", value);
});

/** A web address with a campaign's parameters; one that it has already keeps its value. Other addresses stay. */
export function withCampaign(href: string, { source, medium, name }: Campaign): string {
  const [whole, page = "", query = "", fragment = ""] =
    /^(https?:\/\/[^?#]*)(?:\?([^#]*))?(#.*)?$/i.exec(href) ?? [];
  if (whole === undefined) return href;
  const given = query.split("&").filter((pair) => pair);
  const has = new Set(given.map((pair) => pair.split("=", 1)[0]));
  const added = Object.entries({ utm_source: source, utm_medium: medium, utm_campaign: name })
    .filter(([key, value]) => value && !has.has(key))
    .map(([key, value]) => `${key}=${encodeURIComponent(value.toWellFormed())}`);
  const all = [...given, ...added].join("&");
  return page + (all ? `?${all}` : "") + fragment;
}
