/** A desk as pages open it: one that there is not leads to the page for what is not found. */
import { notFound } from "next/navigation";
import { cache } from "react";
import type { Desk } from "@/contract";
import { Refusal } from "@/server/http/refusal";
import { openDesk } from "@/server/mailroom/desk";

/** Turns the refusal of what is not there into that page. */
export async function orNotFound<T>(opening: Promise<T>): Promise<T> {
  try {
    return await opening;
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
}

/** Read once for a page and the layout around it. */
export const openedDesk = cache((personId: string, client: string): Promise<Desk> =>
  orNotFound(openDesk(personId, client)),
);
