import { countOutOfDate } from "@/server/install/installs";
import { findStillness } from "@/server/signatures/stillness";
import { openSignatures, openWaiting } from "@/server/signatures/open-signature";
import { findOrganisation } from "@/server/settings/organisation";
import { listPeople } from "@/server/people/people";
import { SiteHeader } from "@/ui/parts/site-header";
import { openFindings } from "@/ui/signature/open-findings";
import { Shelf } from "@/ui/shelf/shelf";

export const metadata = { title: "Shelf" };

export default async function ShelfPage() {
  const [signatures, people, organisation, waiting, outOfDate] = await Promise.all([
    openSignatures(),
    listPeople(),
    findOrganisation(),
    openWaiting(),
    countOutOfDate(),
  ]);
  const still = await findStillness(signatures);
  return (
    <>
      <SiteHeader current="Shelf" />
      <Shelf
        organisation={organisation?.name ?? ""}
        waiting={waiting}
        peopleCount={people.length}
        signatures={signatures.map(({ id, name, person, html, base, weight, findings, updatedAt }) => ({
          id,
          name,
          personName: person?.name ?? null,
          html,
          base,
          weight,
          findings: openFindings(findings).length,
          stillness: still.get(id) ?? null,
          breaking: findings.filter(({ severity }) => severity === "break").length,
          updatedAt,
          lateInstalls: outOfDate.get(id) ?? 0,
        }))}
      />
    </>
  );
}
