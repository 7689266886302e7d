/** The code to scan of the person that a signature is for. */
import { fileNameOf } from "@/core/compile";
import { codeOf } from "@/core/install";
import type { CodeContent } from "@/core/install-kinds";
import { codePng, codeSvg, largestCode, smallestCode } from "@/core/qr";
import { Refusal } from "../http/refusal";
import { findDetails } from "../people/people";
import { findSignature } from "../signatures/signatures";
import type { DownloadedKit } from "./download-kit";

export interface WantedCode {
  readonly of: CodeContent;
  readonly form: "png" | "svg";
  /** px. */
  readonly size: number;
}

/** Refuses a size that nobody can scan or that is larger than anybody needs, and a person who has no such thing. */
export async function drawCode(signatureId: string, { of, form, size }: WantedCode): Promise<DownloadedKit> {
  if (size < smallestCode || size > largestCode)
    throw new Refusal(400, "bad-size", `A code is ${smallestCode} to ${largestCode} px large.`);
  const { personId } = await findSignature(signatureId);
  const person = await findDetails(personId);
  const text = codeOf(of, person);
  if (person === null || text === null)
    throw new Refusal(404, "no-code", of === "card" ? "It is drawn for nobody." : "This person has no page.");
  try {
    const name = fileNameOf(`${person.name} ${of} code ${size}`, `.${form}`);
    return form === "png"
      ? { name, type: "image/png", bytes: codePng(text, size) }
      : { name, type: "image/svg+xml", bytes: new TextEncoder().encode(codeSvg(text, size)) };
  } catch (error) {
    if (error instanceof RangeError) throw new Refusal(422, "too-long", error.message);
    throw error;
  }
}
