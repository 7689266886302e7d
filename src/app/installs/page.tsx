import { listInstalls } from "@/server/install/installs";
import { InstallsPage } from "@/ui/install/installs/installs-page";
import { SiteHeader } from "@/ui/parts/site-header";

export const metadata = { title: "Installs" };

export default async function AllInstallsPage() {
  return (
    <>
      <SiteHeader current="Installs" />
      <InstallsPage installs={await listInstalls()} />
    </>
  );
}
