import { notFound } from "next/navigation";
import { Refusal } from "@/server/http/refusal";

/** What is found, or the page that says that there is none. */
export async function orNotFound<T>(find: () => Promise<T>): Promise<T> {
  try {
    return await find();
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
}
