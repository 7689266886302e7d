"use client";

/** Every destination of a signature: what answered there, what is wrong with it, and how it reads. */
import { Footprints, MousePointerClick, Square, Undo2, Wrench } from "lucide-react";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { applyMend, checkSignature, type PictureFactsBySource } from "@/core/checks";
import { compile } from "@/core/compile";
import { callingCodeOf, type NetworkKind } from "@/core/links";
import type { Person } from "@/core/people";
import { linksOf, type PlacedLink, type Settings } from "@/core/signature";
import type { KeptAnswer } from "@/server/links/answers";
import { Button } from "../parts/button";
import { formatCount } from "../parts/format";
import { localPictures } from "../parts/local-pictures";
import { request } from "../parts/request";
import { WordSwitch } from "../parts/word-switch";
import { FindingList } from "../signature/finding-list";
import { paletteFor } from "../signature/palette";
import type { PersonChoice } from "../signature/signature-header";
import { Station } from "../signature/station";
import { AllLinks } from "./all-links";
import { LinkTable } from "./link-table";
import { OpenEach } from "./open-each";
import { openLink } from "./opening";
import { ReadingView } from "./reading-view";
import { useDocument } from "./use-document";
import { useWalk } from "./use-walk";

interface Props {
  readonly signature: {
    readonly id: string;
    readonly name: string;
    readonly personId: string | null;
    readonly document: unknown;
    readonly revision: number;
  };
  readonly people: readonly PersonChoice[];
  readonly person: Person | null;
  readonly base: string;
  readonly pictures: PictureFactsBySource;
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  readonly opened: Readonly<Record<string, number>>;
  readonly organisation: string;
  readonly networks: readonly NetworkKind[];
  readonly brandColors: readonly string[];
}

/** Findings that are put right here although they belong to another station's count. */
const alsoHere = new Set(["picture-without-alt", "icons-of-different-sizes"]);

const views = { table: "Where it leads", reading: "How it reads" } as const;
const panels = { findings: "Findings", all: "All links" } as const;

const isWeb = ({ href }: PlacedLink): boolean => /^https?:\/\//i.test(href);

export function LinksPage(props: Props) {
  const { signature, people, person, base, pictures, organisation, networks, brandColors } = props;
  const steps = useDocument(signature.id, signature.document, signature.revision);
  const walk = useWalk(props.answers);
  const [openedHere, setOpenedHere] = useState<Readonly<Record<string, number>>>({});
  const opened = { ...props.opened, ...openedHere };
  const [view, setView] = useState<keyof typeof views>("table");
  const [panel, setPanel] = useState<keyof typeof panels>("findings");
  const [stepping, setStepping] = useState(false);
  const { document, change, saving } = steps;
  const { answers, waiting } = walk;

  const links = useMemo(() => linksOf(document, person), [document, person]);
  const findings = useMemo(
    () => checkSignature(document, { person, base, pictures, answers, organisation, networks }),
    [document, person, base, pictures, answers, organisation, networks],
  );
  const html = useMemo(
    () => localPictures(compile(document, { destination: "webmail-paste", person, base }), base),
    [document, person, base],
  );
  const shown = findings.filter(({ station, code }) => station === "links" || alsoHere.has(code));
  const toWalk = [...new Set(links.filter(isWeb).map(({ href }) => href))];

  const open = async (link: PlacedLink): Promise<void> => {
    openLink(link.href, signature.personId);
    try {
      const answer = await request<{ openedAt: number }>("POST", "/api/links/openings", {
        address: link.href,
      });
      setOpenedHere((before) => ({ ...before, [link.href]: answer.openedAt }));
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  /** Mends are made one at a time, each in the document that the one before left. */
  const mendAll = (): Promise<boolean> =>
    change((transform) => {
      const options = { person, base, pictures, answers, organisation, networks };
      for (let mends = 0; mends < 100; mends++) {
        const next = checkSignature(transform.doc, options).find(
          ({ station, code, mend }) => mend && (station === "links" || alsoHere.has(code)),
        );
        if (!next) break;
        applyMend(transform, next.mend!);
      }
      return transform;
    });
  const mendable = shown.filter(({ mend }) => mend).length;

  return (
    <Station
      signature={{ ...signature, revision: steps.revision, findings }}
      people={people}
      current="links"
      besideSaved={
        steps.takeBack && (
          <Button look="quiet" disabled={saving} onClick={() => void steps.takeBack!()}>
            <Undo2 size={15} aria-hidden />
            Take the last change back
          </Button>
        )
      }
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
            <ReadingView html={html} />
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
              <AllLinks
                key={steps.revision}
                settings={document.attrs as Settings}
                palette={paletteFor(document, brandColors)}
                busy={saving}
                change={change}
              />
            ) : (
              <>
                {mendable > 1 && (
                  <Button className="mb-3" disabled={saving} onClick={() => void mendAll()}>
                    <Wrench size={14} aria-hidden />
                    Mend {mendable} at once
                  </Button>
                )}
                <FindingList
                  findings={shown}
                  busy={saving}
                  onMend={(mend) => void change((transform) => applyMend(transform, mend))}
                  empty={
                    toWalk.some((address) => !answers[address])
                      ? "Every address is well written. Walk them to see what answers."
                      : "Every link is as it should be."
                  }
                />
              </>
            )}
          </div>
        </aside>
      </div>
      {stepping && (
        <OpenEach
          links={links}
          opened={opened}
          onOpen={(link) => void open(link)}
          onClose={() => setStepping(false)}
        />
      )}
    </Station>
  );
}
