import { compile } from "@/core/compile";
import { parseSignature } from "@/core/signature";
import { publicBase } from "@/server/addresses/public-address";
import { listPatterns } from "@/server/patterns/patterns";
import { listPeople } from "@/server/people/people";
import { SiteHeader } from "@/ui/parts/site-header";
import { StartPage } from "@/ui/start/start-page";

export const metadata = { title: "Start a signature" };

export default async function Start() {
  const [patterns, people] = await Promise.all([listPatterns(), listPeople()]);
  // Patterns are drawn for somebody of the directory, so that they look as signatures do.
  const person = people[0]?.person ?? null;
  const base = await publicBase();
  return (
    <>
      <SiteHeader current="Shelf" />
      <StartPage
        base={base}
        people={people}
        patterns={patterns.map(({ document, ...pattern }) => ({
          ...pattern,
          html: compile(parseSignature(document), {
            destination: "webmail-paste",
            person,
            base,
            picturePlaces: true,
          }),
        }))}
      />
    </>
  );
}
