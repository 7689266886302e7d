import { cache } from "react";
import { openSignature } from "@/server/signatures/open-signature";
import { orNotFound } from "../../or-not-found";

/** The signature of a page, read once a request; the page for what is gone when it is not there. */
export const openOrNotFound = cache((id: string) => orNotFound(() => openSignature(id)));
