"use client";

/** Every destination of a signature: what answered there, what is wrong with it, and how it reads. */
import { Footprints, MousePointerClick, Square } from "lucide-react";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { applyMend } from "@/core/checks";
import { callingCodeOf, describeLink } from "@/core/links";
import { linksOf, settingsOf, type PlacedLink } from "@/core/signature";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { formatCount } from "../parts/format";
import { lazily, useAhead } from "../parts/lazily";
import { WordSwitch } from "../parts/fields/word-switch";
import { plainState } from "../signature/editing/plain-state";
import { EditingStation } from "../signature/editing/editing-station";
import type { OpenedStation } from "../signature/editing/opened-station";
import { useSignature } from "../signature/editing/use-signature";
import { FindingList } from "../signature/finding-list";
import { paletteFor } from "../signature/palette";
import { useStationFindings } from "../signature/use-station-findings";
import { LinkTable } from "./link-table";
import { openLink } from "./opening";
import { useWalk } from "../parts/walking/use-walk";

interface Props extends OpenedStation {
  readonly opened: Readonly<Record<string, number>>;
  readonly brandColors: readonly string[];
}

const openEach = lazily(() => import("./open-each").then(({ OpenEach }) => OpenEach));
const reading = lazily(() => import("../signature/reading-view").then(({ ReadingView }) => ReadingView));
const allLinks = lazily(() => import("./all-links").then(({ AllLinks }) => AllLinks));
const rooms = [allLinks, reading, openEach];

/** Findings that are put right here although they belong to another station's count. */
const alsoHere = new Set(["picture-without-alt", "picture-alt-is-a-file-name", "icons-of-different-sizes"]);

const views = { table: "Where it leads", reading: "How it reads" } as const;
const panels = { findings: "Findings", all: "All links" } as const;

const isWeb = ({ href }: PlacedLink): boolean => /^https?:\/\//i.test(href);

export function LinksPage(props: Props) {
  const { signature, person, base, brandColors } = props;
  useAhead(rooms);
  const edited = useSignature(signature, plainState);
  const walk = useWalk(props.answers);
  const [openedHere, setOpenedHere] = useState<Readonly<Record<string, number>>>({});
  const opened = { ...props.opened, ...openedHere };
  const [view, setView] = useState<keyof typeof views>("table");
  const [panel, setPanel] = useState<keyof typeof panels>("findings");
  const [stepping, setStepping] = useState(false);
  /** Whose letters they open, before the page has been made anew for a choice. */
  const [drawnFor, setDrawnFor] = useState(signature.personId);
  const document = edited.state.doc;
  const settings = settingsOf(document);
  const { answers, waiting } = walk;

  const links = useMemo(() => linksOf(document, person), [document, person]);
  const { findings, busy, mend, setAside, change } = useStationFindings(edited, props, answers);
  const shown = findings.filter(({ station, code }) => station === "links" || alsoHere.has(code));
  const toWalk = [...new Set(links.filter(isWeb).map(({ href }) => href))];

  const open = async (link: PlacedLink): Promise<void> => {
    if (!(await openLink(link.href, drawnFor)))
      return void toast(`Nothing here opened ${describeLink(link.href).shown}, so it counts as not opened.`);
    try {
      const answer = await ask(endpoints.recordOpening, {
        body: {
          address: link.href,
        },
      });
      setOpenedHere((before) => ({ ...before, [link.href]: answer.openedAt }));
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  return (
    <EditingStation
      opened={props}
      edited={edited}
      current="links"
      onDrawnFor={setDrawnFor}
      findings={findings}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_290px] gap-8">
        <div className="min-w-0">
          <div className="flex h-12 items-center gap-4">
            <h1 className="font-serif text-2xl">Links</h1>
            <WordSwitch label="View" value={view} choices={views} onChange={setView} />
            <div className="ml-auto flex items-center gap-2">
              {waiting ? (
                <>
                  <div
                    role="progressbar"
                    aria-label="Links that have answered"
                    aria-valuemin={0}
                    aria-valuemax={walk.of}
                    aria-valuenow={walk.of - waiting.size}
                    className="h-1 w-24 bg-hairline"
                  >
                    <div
                      className="h-full bg-pine"
                      style={{ width: `${(100 * (walk.of - waiting.size)) / walk.of}%` }}
                    />
                  </div>
                  <span role="status" className="text-sm text-soft">
                    {walk.of - waiting.size} of {walk.of} answered
                  </span>
                  <Button onClick={walk.stop}>
                    <Square size={13} aria-hidden />
                    Stop
                  </Button>
                </>
              ) : (
                <>
                  <Button
                    look="primary"
                    disabled={toWalk.length === 0}
                    title="The server opens every web link and says what answered"
                    onClick={() => void walk.start(toWalk)}
                  >
                    <Footprints size={15} aria-hidden />
                    Walk {formatCount(toWalk.length, "link")}
                  </Button>
                  <Button
                    disabled={links.length === 0}
                    title="Open one after the other yourself"
                    onClick={() => setStepping(true)}
                  >
                    <MousePointerClick size={15} aria-hidden />
                    Open each
                  </Button>
                </>
              )}
            </div>
          </div>
          {view === "reading" ? (
            <reading.Component document={document} person={person} base={base} />
          ) : links.length === 0 ? (
            <p className="border-t border-pine py-8 text-soft">
              It leads nowhere yet. Select text or a picture under Build and choose Link; phone numbers, mail
              and web addresses link themselves.
            </p>
          ) : (
            <LinkTable
              document={document}
              links={links}
              answers={answers}
              waiting={waiting}
              opened={opened}
              callingCode={callingCodeOf(person?.phone ?? "")}
              onOpen={(link) => void open(link)}
              onChange={({ position, end }, href) =>
                change((transform) =>
                  applyMend(transform, { kind: "lead-to", label: "", from: position, to: end, href }),
                )
              }
            />
          )}
        </div>
        <aside aria-label="Findings and settings" className="min-w-0">
          <div className="flex h-12 items-center">
            <WordSwitch label="Beside the links" value={panel} choices={panels} onChange={setPanel} />
          </div>
          <div className="border-t border-hairline pt-3">
            {panel === "all" ? (
              <allLinks.Component
                key={JSON.stringify(settings)}
                settings={settings}
                palette={paletteFor(document, brandColors)}
                change={change}
              />
            ) : (
              <FindingList
                findings={shown}
                busy={busy}
                onMend={(mends) => void mend(mends)}
                onAside={setAside}
                empty={
                  toWalk.some((address) => !answers[address])
                    ? "Every address is well written. Walk them to see what answers."
                    : "Every link is as it should be."
                }
              />
            )}
          </div>
        </aside>
      </div>
      {stepping && (
        <openEach.Component
          links={links}
          opened={opened}
          onOpen={(link) => void open(link)}
          onClose={() => setStepping(false)}
        />
      )}
    </EditingStation>
  );
}
