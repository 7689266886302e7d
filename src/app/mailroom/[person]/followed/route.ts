import { redirect } from "next/navigation";
import { linkFollowed } from "@/server/mailroom/letters";

interface Context {
  readonly params: Promise<{ person: string }>;
}

/** A link of a letter on its way to a page of the Mailroom: that it was followed is told where it is rehearsed. */
export async function GET(request: Request, { params }: Context): Promise<never> {
  const { person } = await params;
  const query = new URL(request.url).searchParams;
  const to = query.get("to") ?? "";
  await linkFollowed(person, query.get("letter") ?? "").catch(() => undefined);
  // Nowhere but to the Mailroom's own pages.
  redirect(/^\/mailroom\/(?!\/)/.test(to) ? to : "/mailroom");
}
