/** People's pages as the office sees them: who was written to, who opened theirs, copied from it and installed. */
import type { PageCounts, PersonWithPage } from "@/contract";
import { signaturesOf } from "@/core/people";
import { peopleWithInstalls, standingOfInstalls } from "../install/installs";
import { directory } from "../people/directory";
import { listGiven } from "../people/who-gets-what";
import { listPages } from "./pages";
import { lettersOf } from "./write-letters";

/** Those of some people who are in the directory, in the order that they are named in. */
export async function peopleWithPages(ids: readonly string[]): Promise<readonly PersonWithPage[]> {
  const [given, pages, { typedById }, standing] = await Promise.all([
    listGiven(),
    listPages(),
    directory(),
    standingOfInstalls(ids),
  ]);
  const letters = await lettersOf(ids.flatMap((id) => pages.get(id)?.secret ?? []));
  return ids.flatMap((id): PersonWithPage[] => {
    const of = typedById.get(id);
    if (!of) return [];
    const { name, title, department, mail } = of.person;
    const page = pages.get(id);
    return [
      {
        ...{ id, name, title, department, mail },
        signatures: signaturesOf(given, of).length,
        page: page
          ? {
              ...{ secret: page.secret, openedAt: page.openedAt, copiedAt: page.copiedAt },
              withdrawn: page.withdrawnAt !== null,
              letters: letters.get(page.secret) ?? {},
            }
          : null,
        installs: standing.get(id)?.all ?? 0,
        late: standing.get(id)?.late ?? 0,
      },
    ];
  });
}

/** How many people are at each step. */
export async function countPages(): Promise<PageCounts> {
  const [given, pages, { typed, typedById }] = await Promise.all([listGiven(), listPages(), directory()]);
  const open = [...pages.values()].filter(
    ({ personId, withdrawnAt }) => withdrawnAt === null && typedById.has(personId),
  );
  const ids = open.map(({ personId }) => personId);
  const installed = await peopleWithInstalls(ids);
  return {
    withSignature: typed.filter((each) => signaturesOf(given, each).length > 0).length,
    pages: open.length,
    opened: open.filter(({ openedAt }) => openedAt !== null).length,
    copied: open.filter(({ copiedAt }) => copiedAt !== null).length,
    installed: installed.size,
  };
}
