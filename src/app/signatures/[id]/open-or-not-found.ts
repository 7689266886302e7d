import { notFound } from "next/navigation";
import { cache } from "react";
import { Refusal } from "@/server/http/refusal";
import { openSignature } from "@/server/signatures/open-signature";

/** The signature of a page, read once a request; the page for what is gone when it is not there. */
export const openOrNotFound = cache(async (id: string) => {
  try {
    return await openSignature(id);
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
});
