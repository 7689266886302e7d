"use client";

import { format } from "date-fns";
import { Trash2 } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { endpoints, type Version } from "@/contract";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { parseSignature } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { IconButton } from "../../parts/icon-button";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { TextField } from "../../parts/fields/text-field";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { FormProblem } from "../../parts/form-problem";

interface Props {
  readonly signatureId: string;
  /** Compiled HTML of what is on the sheet. */
  readonly present: string;
  readonly person: Person | null;
  readonly base: string;
  /** Whether what is on the sheet is saved, and so can be kept. */
  readonly saved: boolean;
  readonly onClose: () => void;
  readonly onGoBack: (version: Version) => void;
}

const timeOf = ({ createdAt }: Version): string => format(createdAt, "d MMM, HH:mm");
const titleOf = (version: Version): string => version.name ?? `Version ${version.revision}`;

/** Earlier versions of a signature beside the present one: looked at, named, and gone back to. */
export function VersionsDialog(props: Props) {
  const { signatureId, present, person, base, saved, onClose, onGoBack } = props;
  const [versions, setVersions] = useState<readonly Version[] | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const { problem, attempt } = useAttempt();
  const lookUp = useCallback(
    async () => setVersions((await ask(endpoints.listVersions, { params: { id: signatureId } })).versions),
    [signatureId],
  );
  useEffect(() => void attempt(lookUp), [attempt, lookUp]);

  const form = useContractForm(endpoints.nameVersion.body, { name: "" }, async (body, { reset }) => {
    await ask(endpoints.nameVersion, { params: { id: signatureId }, body });
    reset();
    toast(`Kept as “${body.name.trim()}”.`);
    await lookUp();
  });

  const shown = versions?.find(({ id }) => id === chosen) ?? versions?.[0];
  const shownHtml =
    shown && compile(parseSignature(shown.document), { destination: "webmail-paste", person, base });

  return (
    <DialogFrame title="Versions" onClose={onClose} className="flex w-[1180px] flex-col">
      <form className="mb-4 mt-2 flex items-end gap-3" onSubmit={(event) => void form.submit(event)}>
        <TextField
          label="Keep the present one under a name"
          maxLength={80}
          placeholder="Before the open weekend"
          className="w-72"
          {...form.field("name")}
        />
        <Button type="submit" disabled={form.busy || !saved}>
          Keep it
        </Button>
        {!saved && <p className="text-soft">It can be kept once it is saved.</p>}
        <FormProblem>{form.problem ?? problem}</FormProblem>
      </form>
      <div className="grid min-h-0 grid-cols-[220px_minmax(0,1fr)] gap-6">
        <ul aria-label="Kept versions" className="max-h-[440px] overflow-y-auto pr-1">
          {versions === null && <li className="text-soft">Looking them up…</li>}
          {versions?.length === 0 && (
            <li className="text-soft">
              None yet. One is kept by itself when you begin to change something, and then every five minutes.
            </li>
          )}
          {versions?.map((version) => (
            <li key={version.id} className="flex items-center border-b border-hairline">
              <button
                type="button"
                aria-pressed={version === shown}
                onClick={() => setChosen(version.id)}
                className={`min-w-0 flex-1 rounded-sm px-1.5 py-1 text-left hover:bg-kelp ${version === shown ? "bg-kelp" : ""}`}
              >
                <span className={`block truncate ${version.name ? "font-medium" : ""}`}>
                  {titleOf(version)}
                </span>
                <span className="block text-xs text-soft">{timeOf(version)}</span>
              </button>
              {version.name && (
                <IconButton
                  label={`Take “${version.name}” away`}
                  onClick={() =>
                    void attempt(async () => {
                      await ask(endpoints.deleteVersion, {
                        params: { id: signatureId, version: version.id },
                      });
                      await lookUp();
                    })
                  }
                >
                  <Trash2 size={14} aria-hidden />
                </IconButton>
              )}
            </li>
          ))}
        </ul>
        {shown && shownHtml !== undefined && (
          <div className="grid min-w-0 grid-cols-2 gap-5">
            {(
              [
                [`${titleOf(shown)}, ${timeOf(shown)}`, shownHtml],
                ["On the sheet now", present],
              ] as const
            ).map(([title, html]) => (
              <div key={title} className="min-w-0">
                <h3 className="mb-1 truncate text-sm">{title}</h3>
                <div className="border border-hairline bg-canvas p-1">
                  <SignatureFrame
                    html={localPictures(html, base)}
                    label={title}
                    width={430}
                    highest={280}
                    fit
                  />
                </div>
              </div>
            ))}
            <div>
              <Button
                look="primary"
                disabled={shownHtml === present}
                onClick={() => {
                  onGoBack(shown);
                  onClose();
                }}
              >
                {shownHtml === present ? "They look the same" : "Go back to this one"}
              </Button>
              <p className="mt-1 text-xs text-soft">Undo takes you to the present one again.</p>
            </div>
          </div>
        )}
      </div>
    </DialogFrame>
  );
}
