import { Check, TriangleAlert } from "lucide-react";
import Link from "next/link";
import { compareInstall } from "@/server/install/installs";
import { howItCame, whereItIs } from "@/ui/install/installs/install-words";
import { SideBySide } from "@/ui/install/installs/side-by-side";
import { Sightings } from "@/ui/install/sightings/sightings";
import { buttonClass } from "@/ui/parts/button";
import { SiteHeader } from "@/ui/parts/site-header";
import { orNotFound } from "../../or-not-found";

export const metadata = { title: "An install" };

interface Props {
  readonly params: Promise<{ id: string }>;
}

/** What the owner of an install sees: whether it is current, and if not, what to do. */
export default async function OwnInstallPage({ params }: Props) {
  const install = await orNotFound(async () => compareInstall((await params).id));
  const { changes, kind, form, signatureId, signatureName } = install;
  return (
    <>
      <SiteHeader current="Installs" />
      <main className="mx-auto max-w-[1120px] px-5 pb-10">
        <h1 className="pt-3 font-serif text-[34px] leading-10 tracking-tight">
          {changes === null ? "Your signature is current" : "Your signature is out of date"}
        </h1>
        <p className="pb-4 text-soft">
          “{signatureName}”, {whereItIs(install)}. {howItCame(install)}.
        </p>
        {changes === null ? (
          <p className="flex items-center gap-1.5 pb-4 text-lichen">
            <Check size={16} aria-hidden />
            There is nothing to do.
          </p>
        ) : (
          <>
            <ul className="space-y-1 pb-4">
              {changes.map((change) => (
                <li key={change} className="flex items-start gap-1.5">
                  <TriangleAlert size={15} aria-hidden className="mt-1 shrink-0 text-clay" />
                  {change}
                </li>
              ))}
            </ul>
            <Link
              href={`/signatures/${signatureId}/install?kind=${kind}&form=${form}`}
              className={`${buttonClass("primary")} mb-5`}
            >
              Update it, step by step
            </Link>
          </>
        )}
        <SideBySide install={install} />
        <Sightings install={install} />
      </main>
    </>
  );
}
