"use client";

import { useState, type RefObject } from "react";
import { drawnFrom } from "@/contract";
import { received } from "@/core/clients";

interface Props {
  readonly label: string;
  readonly box: RefObject<HTMLDivElement | null>;
  /** What stands in it at first: HTML that has been cleaned. */
  readonly initial: string;
  readonly onChange?: () => void;
  readonly className?: string;
}

/** Puts HTML in place of what is selected in an editable box, with the cursor after it. */
function insertAtSelection(box: HTMLElement, html: string): void {
  const selection = getSelection();
  if (!selection) return;
  const range = selection.rangeCount > 0 ? selection.getRangeAt(0) : document.createRange();
  if (!box.contains(range.commonAncestorContainer)) {
    range.selectNodeContents(box);
    range.collapse(false);
  }
  range.deleteContents();
  const parts = range.createContextualFragment(html);
  const last = parts.lastChild;
  range.insertNode(parts);
  if (last) range.setStartAfter(last);
  range.collapse(true);
  selection.removeAllRanges();
  selection.addRange(range);
}

const asHtml = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(/\r?\n/g, "<br>");

/** The attribute that holds where a picture truly is, while it is drawn from somewhere here. */
const trueAddress = "data-address";

/** HTML as it is drawn in a box: pictures at invented addresses come from the invented sites. */
const drawn = (html: string): string =>
  html.replace(/ src="(https?:\/\/[^"]+)"/g, (whole, address: string) => {
    const here = drawnFrom(address);
    return here === address ? whole : ` src="${here}" ${trueAddress}="${address}"`;
  });

/** What is written in a box, as it is sent: with pictures at their true addresses; empty before there is one. */
export function writtenIn(box: HTMLElement | null): string {
  if (!box) return "";
  const copy = box.cloneNode(true) as HTMLElement;
  for (const picture of copy.querySelectorAll(`[${trueAddress}]`)) {
    picture.setAttribute("src", picture.getAttribute(trueAddress) ?? "");
    picture.removeAttribute(trueAddress);
  }
  // Each line says in which direction it was typed; few mail clients read it off the letters.
  const lines = box.querySelectorAll<HTMLElement>("[dir=auto]");
  copy.querySelectorAll("[dir=auto]").forEach((line, index) => {
    const typed = lines[index];
    if (typed && getComputedStyle(typed).direction === "rtl") line.setAttribute("dir", "rtl");
    else line.removeAttribute("dir");
  });
  return copy.innerHTML;
}

/** An editable box that takes a real paste and cleans it as this kind of webmail does. */
export function RichBox({ label, box, initial, onChange, className = "" }: Props) {
  // Set once: from then on it is the writer who changes it.
  const [first] = useState({ __html: drawn(initial) });
  return (
    <div
      ref={box}
      role="textbox"
      aria-multiline
      aria-label={label}
      tabIndex={0}
      contentEditable
      suppressContentEditableWarning
      dangerouslySetInnerHTML={first}
      onInput={onChange}
      onPaste={(event) => {
        event.preventDefault();
        const html = event.clipboardData.getData("text/html");
        const pasted = html || asHtml(event.clipboardData.getData("text/plain"));
        insertAtSelection(event.currentTarget, drawn(received(pasted, "webmail-inline").html.trim()));
        onChange?.();
      }}
      className={`mm-box ${className}`}
    />
  );
}
