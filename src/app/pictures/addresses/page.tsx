import { listForeignPictures } from "@/server/addresses/foreign-pictures";
import { findPublicAddress } from "@/server/addresses/public-address";
import { publicPort } from "@/server/configuration";
import { storeInWords } from "@/server/store/store";
import { shareCases, shareHost } from "@/server/invented-sites/file-share";
import { listWebSpace, webSpaceBase } from "@/server/invented-sites/web-space";
import { CopyButton } from "@/ui/parts/copy-button";
import { formatCount } from "@/ui/parts/format";
import { AddressDesk } from "@/ui/pictures/addresses/address-desk";
import { PublicAddressPanel } from "@/ui/pictures/addresses/public-address-panel";
import { WebSpacePanel } from "@/ui/pictures/addresses/web-space-panel";
import { PicturesFrame } from "@/ui/pictures/pictures-frame";

export const metadata = { title: "Addresses of pictures" };

export default async function AddressesPage() {
  const [address, looked, files] = await Promise.all([
    findPublicAddress(),
    listForeignPictures(),
    listWebSpace(),
  ]);
  return (
    <PicturesFrame
      current="Addresses"
      count={`${formatCount(looked.length, "address", "addresses")} looked at elsewhere`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_340px] gap-8">
        <div className="min-w-0 space-y-6">
          <PublicAddressPanel address={address} store={storeInWords()} publicPort={publicPort()} />
          <AddressDesk looked={looked} />
        </div>
        <div className="min-w-0 space-y-6">
          <section aria-label="Invented file share" className="border-t border-pine pt-3">
            <h2 className="font-serif text-xl">Addresses to try it with</h2>
            <p className="mb-1 text-soft">
              Reed Basket is an invented file share that ships with Still Line. Copy one, and look at it.
            </p>
            <ul>
              {shareCases.map(({ path, title }) => (
                <li
                  key={path}
                  className="flex items-center gap-1 border-t border-hairline py-1 first:border-0"
                >
                  <span className="min-w-0 flex-1">
                    <span className="block">{title}</span>
                    <span className="block truncate font-mono text-xs text-soft">{shareHost + path}</span>
                  </span>
                  <CopyButton label={`Copy the address: ${title}`} text={shareHost + path} />
                </li>
              ))}
            </ul>
          </section>
          <WebSpacePanel base={webSpaceBase} files={files} />
        </div>
      </div>
    </PicturesFrame>
  );
}
