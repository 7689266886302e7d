import { publicBase } from "@/server/configuration";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { formatBytes } from "@/ui/parts/format";
import { PictureList } from "@/ui/pictures/picture-list";
import { UploadArea } from "@/ui/pictures/upload-area";
import { FindingList } from "@/ui/signature/finding-list";
import { Station } from "@/ui/signature/station";
import { openOrNotFound } from "../open-or-not-found";
import { peopleChoices } from "../people-choices";

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Pictures of ${(await openOrNotFound((await params).id)).name}` };
}

export default async function SignaturePicturesPage({ params }: Props) {
  const [signature, people, catalogue] = await Promise.all([
    openOrNotFound((await params).id),
    peopleChoices(),
    pictureCatalogue(),
  ]);
  const own = new Set(signature.cuts.map(({ source }) => source));
  const placed = catalogue
    .map(({ original, cuts }) => ({ original, cuts: cuts.filter(({ source }) => own.has(source)) }))
    .filter(({ cuts }) => cuts.length > 0);
  const findings = signature.findings.filter(({ station }) => station === "pictures");
  return (
    <Station signature={signature} people={people} current="pictures">
      <div className="grid grid-cols-[minmax(0,1fr)_280px] gap-8">
        <div>
          <div className="flex items-baseline gap-3 pb-3">
            <h1 className="font-serif text-2xl">Pictures in this signature</h1>
            <p className="text-soft">{formatBytes(signature.weight)} together</p>
          </div>
          {placed.length === 0 ? (
            <p className="mb-6 border-t border-pine py-8 text-soft">
              There is none yet. Click into a cell under Build and choose Picture.
            </p>
          ) : (
            <PictureList pictures={placed} base={publicBase()} />
          )}
          <UploadArea />
        </div>
        <aside aria-label="Findings">
          <h2 className="mb-3 font-serif text-2xl">Findings</h2>
          <FindingList findings={findings} empty="Every picture is hosted and says what it shows." />
        </aside>
      </div>
    </Station>
  );
}
