/** Where recipients find the pictures: the setting, and the check that fetches a test picture through it. */
import type { AddressCheck, PublicAddress } from "@/contract";
import { isPrivateHost, hostedPath } from "@/core/addresses";
import type { FetchFailure } from "@/core/links";
import { choice, count, object, optional, text } from "@/core/values";
import { configuredBase } from "../configuration";
import { Refusal } from "../http/refusal";
import { testPicture } from "../hosting/test-picture";
import { setting } from "../settings/settings";
import { pictureStore } from "../store/store";
import { fetchOwn } from "../web/web";

const kept = setting(
  "public address",
  object({
    /** As somebody set it; null for the environment's. */
    base: optional(text(300)),
    check: optional(
      object({ verdict: choice("reached", "here-only", "failed"), message: text(500), at: count(0, 1e15) }),
    ),
  }),
);

interface Facts {
  readonly base: string | null;
  readonly check: AddressCheck | null;
}

const facts = async (): Promise<Facts> => (await kept.find()) ?? { base: null, check: null };

/** The public address of hosted pictures, without a slash at its end. */
export const publicBase = async (): Promise<string> => (await facts()).base ?? configuredBase();

export async function findPublicAddress(): Promise<PublicAddress> {
  const { base, check } = await facts();
  return { base: base ?? configuredBase(), set: base !== null, check };
}

/** Sets the address, or with null goes back to the one of the environment. Refuses what is no web address. */
export async function setPublicBase(asked: string | null): Promise<PublicAddress> {
  if (asked === null) {
    await kept.keep({ base: null, check: null });
    return findPublicAddress();
  }
  const written = asked.trim();
  const url = URL.canParse(written) ? new URL(written) : null;
  if (!url || !/^https?:$/.test(url.protocol) || url.search !== "" || url.hash !== "" || url.username !== "")
    throw new Refusal(
      422,
      "bad-address",
      `“${written.slice(0, 80)}” is no base address: write it as https://pictures.harrowfen.example, with nothing after the path.`,
    );
  await kept.keep({ base: url.href.replace(/\/+$/, ""), check: null });
  return findPublicAddress();
}

const failures: Readonly<Record<FetchFailure, string>> = {
  "not-an-address": "It leads to something that is no web address.",
  "private-address": "It leads into a private network, where no recipient can follow.",
  "no-such-host": "There is no server of that name: look at the spelling, or wait until the name is known.",
  "no-connection": "No server answered there: see whether it runs and can be reached from outside.",
  certificate: "Its certificate is not in order, so mail clients refuse its pictures.",
  "too-slow": "It did not answer within 10 seconds.",
  "too-many-redirects": "It leads round in circles.",
  "too-many-bytes": "It answered with something far larger than the test picture.",
};

async function look(base: string): Promise<Omit<AddressCheck, "at">> {
  const { hash, fileName, bytes: own } = testPicture;
  // A bucket that is the public address itself serves only what lies in it.
  await pictureStore().put({ kind: "cut", hash, fileName, type: "png" }, own);
  const result = await fetchOwn(base + hostedPath(testPicture));
  if (!result.ok) return { verdict: "failed", message: failures[result.failure] };
  const { status, headers, bytes } = result.fetched;
  if (status !== 200)
    return {
      verdict: "failed",
      message: `It answered ${status} instead of the test picture: pictures are not served from there.`,
    };
  if (Buffer.compare(bytes, own) !== 0)
    return {
      verdict: "failed",
      message: `It answered with something else than the test picture (${headers["content-type"] ?? "of no type"}): another site is at this address.`,
    };
  return isPrivateHost(base)
    ? {
        verdict: "here-only",
        message: "The test picture came, but only this machine or its network can reach this address.",
      }
    : { verdict: "reached", message: "The test picture came through: recipients find the pictures here." };
}

/** Fetches the test picture through the public address, and keeps what came of it. */
export async function checkPublicAddress(): Promise<AddressCheck> {
  const { base } = await facts();
  const check = { ...(await look(base ?? configuredBase())), at: Date.now() };
  await kept.keep({ base, check });
  return check;
}
