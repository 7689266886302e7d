import { linksOf, parseSignature, placeOf } from "@/core/signature";
import { FindingList } from "@/ui/signature/finding-list";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Links of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function LinksPage({ params }: Props) {
  const [signature, people] = await Promise.all([openOrNotFound((await params).id), peopleChoices()]);
  const document = parseSignature(signature.document);
  const links = linksOf(document);
  return (
    <Station signature={signature} people={people} current="links">
      <div className="grid grid-cols-[minmax(0,1fr)_320px] gap-8">
        <div>
          <div className="flex items-baseline gap-3 pb-3">
            <h1 className="font-serif text-2xl">Where it leads</h1>
            <p className="text-soft">fields of the directory link themselves and are not listed</p>
          </div>
          {links.length === 0 ? (
            <p className="border-t border-pine py-8 text-soft">
              It has no link of its own yet. Select text or a picture under Build and choose Link.
            </p>
          ) : (
            <table className="w-full table-fixed border-t border-pine">
              <thead>
                <tr className="text-left text-xs text-soft">
                  <th className="w-56 py-1.5 font-normal">What leads there</th>
                  <th className="font-normal">Address</th>
                  <th className="w-56 font-normal">Place</th>
                </tr>
              </thead>
              <tbody>
                {links.map(({ position, href, text }) => (
                  <tr key={position} className="border-t border-hairline align-top">
                    <td className="truncate py-2 pr-4">{text || "(a picture without alt text)"}</td>
                    <td className="break-all py-2 pr-4 font-mono text-[13px]">{href}</td>
                    <td className="py-2 text-soft">{placeOf(document, position)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
        <aside aria-label="Findings">
          <h2 className="mb-3 font-serif text-2xl">Findings</h2>
          <FindingList
            findings={signature.findings.filter(({ station }) => station === "links")}
            empty="Every address is well formed."
          />
        </aside>
      </div>
    </Station>
  );
}
